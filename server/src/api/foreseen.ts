import { addressOf } from '@urvek/draw';
import { firstOf } from '../findings/answers.ts';

const STAGE = /^\/c\/([0-9a-f-]{36})(?:\/([a-z]+))?/i;

/**
 * What a page will ask as soon as its program is there: the browser is told of it with the page, and fetches both at
 * once. As values of a Link header (RFC 8288); none for a page that begins with nothing.
 */
export function foreseenBy(path: string, isAnswered: (comparisonId: string) => boolean): string[] {
  const [, id, stage = ''] = STAGE.exec(path) ?? [];
  if (id === undefined) return [];
  const answers = isAnswered(id) ? firstOf(stage).map((question) => addressOf(id, question, true)) : [];
  return [`/comparisons/${id}`, `/comparisons/${id}/state`, ...answers].map(
    (address) => `</api${address}>; rel=preload; as=fetch; crossorigin`,
  );
}
