import { answerTo, type Held, type Question } from '@urvek/draw';
import { Study } from '@urvek/study';
import type { Storage } from '../storage/port.ts';
import { entriesOf } from './keeper.ts';
import { stateOf } from './state.ts';

/** The last study that was asked, in a thread of its own: what is asked next is mostly asked of it too. */
let held: (Held & { readonly tag: string }) | undefined;

/** What a stage asks of a comparison, as JSON. */
export async function answerOf(
  storage: Storage,
  comparisonId: string,
  question: Question,
  open: boolean,
): Promise<string> {
  const { comparison, tag } = await stateOf(storage, comparisonId);
  if (held?.tag !== tag || held.comparison.id !== comparisonId) {
    const entries = await entriesOf(storage, comparisonId, comparison.setup);
    held = { comparison, tag, study: new Study(comparison.setup, entries) };
  }
  return JSON.stringify(answerTo(held, question, open));
}
