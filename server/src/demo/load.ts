import { BATCH_LIMIT } from '@urvek/contract';
import type { Store } from '../storage/store.ts';
import { DEMO_ID, DEMO_QUESTION, DEMO_SETUP, DEMO_TITLE, demoWalks } from './cindermoor.ts';

/** Loads the demo once; what the user changes in it afterwards stays. */
export async function loadDemo(store: Store): Promise<void> {
  if ((await store.fact('demo')) !== undefined) return;
  await store.createComparison({ id: DEMO_ID, title: DEMO_TITLE, question: DEMO_QUESTION }, DEMO_SETUP, true);
  for (const { header, log } of demoWalks()) {
    await store.registerWalk(header);
    for (let at = 0; at < log.length; at += BATCH_LIMIT) await store.append(header.id, log.slice(at, at + BATCH_LIMIT));
  }
  // Last, so that a start that was cut short loads the rest the next time; doing it twice is doing it once.
  await store.stateFact('demo', 'loaded');
}
