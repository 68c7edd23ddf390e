import { answerTo, type Held, type Question } from '@urvek/draw';
import { Study } from '@urvek/study';
import type { Storage } from '../storage/port.ts';
import { entriesOf } from './keeper.ts';
import { stateOf } from './state.ts';

/** The last study that was asked, in a thread of its own: what is asked next is mostly asked of it too. */
let held: (Held & { readonly tag: string }) | undefined;

/** What stages ask of a comparison, as JSON. */
export async function answersOf(
  storage: Storage,
  comparisonId: string,
  asked: readonly { readonly question: Question; readonly open: boolean }[],
): Promise<string[]> {
  const { comparison, tag } = await stateOf(storage, comparisonId);
  if (held?.tag !== tag || held.comparison.id !== comparisonId) {
    const entries = await entriesOf(storage, comparisonId, comparison.setup);
    held = { comparison, tag, study: new Study(comparison.setup, entries) };
  }
  const here = held;
  return asked.map(({ question, open }) => JSON.stringify(answerTo(here, question, open)));
}
