import { accessory } from './accessory.ts';
import type { Kind } from './kind.ts';
import { microphone } from './microphone.ts';
import { remote } from './remote.ts';
import { router } from './router.ts';
import { speaker } from './speaker.ts';
import { twoWayRadio } from './twoWayRadio.ts';
import { videoLink } from './videoLink.ts';

export const KINDS: readonly Kind[] = [
  microphone,
  videoLink,
  speaker,
  router,
  remote,
  twoWayRadio,
  accessory,
];

/** @throws RangeError for a kind that is not there. */
export function kindOf(id: string): Kind {
  const kind = KINDS.find((k) => k.id === id);
  if (!kind) throw new RangeError(`invalid kind: ${JSON.stringify(id)}`);
  return kind;
}
