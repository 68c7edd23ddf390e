import type { Kind } from '../kind.ts';
import { microphone } from './microphone.ts';

export const KINDS: readonly Kind[] = [microphone];

/** @throws RangeError for a kind that is not there. */
export function kindOf(id: string): Kind {
  const kind = KINDS.find((k) => k.id === id);
  if (!kind) throw new RangeError(`invalid kind: ${JSON.stringify(id)}`);
  return kind;
}
