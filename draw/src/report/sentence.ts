import type { Finding, RangeView } from '@urvek/study';
import * as phrases from './phrases.ts';

/** A datum that a sentence rests on: what it is, and its id. A cell is one product's walks in one range. */
export type Rest =
  | 'disclosure'
  | `${'walk' | 'cell' | 'path' | 'product' | 'claim' | 'need' | 'latency' | 'interference' | 'station'}:${string}`;

/** What a report says, with the data that it says it by: no sentence stands without any. */
export interface Sentence {
  readonly text: string;
  readonly rests: readonly Rest[];
}

/** @throws RangeError for a sentence that rests on nothing. */
export function say(text: string, rests: readonly Rest[]): Sentence {
  if (rests.length === 0) throw new RangeError(phrases.invalidSentenceItRestsOnNothing(text));
  return { text, rests: [...new Set(rests)] };
}

export const walkRest = ({ walkId }: Pick<Finding, 'walkId'>): Rest => `walk:${walkId}`;

export const walkRests = (walks: readonly Pick<Finding, 'walkId'>[]): Rest[] => walks.map(walkRest);

/** The walks of some of those compared in a range; of all of them where none is named. */
export const cellRests = (
  { id, subjects }: Pick<RangeView, 'id' | 'subjects'>,
  names?: readonly string[],
): Rest[] => subjects.filter((s) => names?.includes(s.name) ?? true).map((s): Rest => `cell:${id}/${s.id}`);

export const textsOf = (sentences: readonly Sentence[]): string[] => sentences.map((s) => s.text);
