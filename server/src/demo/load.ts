import { entriesOf } from '../findings/keeper.ts';
import { BATCH_LIMIT } from '@urvek/contract';
import type { Storage } from '../storage/port.ts';
import { DEMO_ID, DEMO_QUESTION, DEMO_SETUP, DEMO_TITLE, demoWalks } from './cindermoor.ts';
import { SLATE_WORKS_ID, SLATE_WORKS_QUESTION, SLATE_WORKS_TITLE } from './slateWorks.ts';
import { SLATE_WORKS_SHOWN, slateWorksShownWalks } from './slateWorksShown.ts';

const DEMOS = [
  {
    fact: 'demo',
    head: { id: DEMO_ID, title: DEMO_TITLE, question: DEMO_QUESTION },
    setup: DEMO_SETUP,
    walks: demoWalks,
  },
  {
    fact: 'demo slate works',
    head: { id: SLATE_WORKS_ID, title: SLATE_WORKS_TITLE, question: SLATE_WORKS_QUESTION },
    setup: SLATE_WORKS_SHOWN,
    walks: slateWorksShownWalks,
  },
] as const;

/** How much of the demo: nothing, the small comparison that most tests need, or all. */
export type DemoSize = 'none' | 'small' | 'whole';

const COUNT: Readonly<Record<DemoSize, number>> = { none: 0, small: 1, whole: DEMOS.length };

/** Loads the demos once; what the user changes in them afterwards stays. */
export async function loadDemo(store: Storage, size: DemoSize): Promise<void> {
  for (const { fact, head, setup, walks } of DEMOS.slice(0, COUNT[size])) {
    if ((await store.fact(fact)) !== undefined) continue;
    await store.createComparison(head, setup, true);
    for (const { header, log } of walks()) {
      await store.registerWalk(header);
      for (let at = 0; at < log.length; at += BATCH_LIMIT)
        await store.append(header.id, log.slice(at, at + BATCH_LIMIT));
    }
    // What they say is worked out at once, so that the first look at the demo is as quick as the second.
    await entriesOf(store, head.id, setup);
    // Last, so that a start that was cut short loads the rest the next time; doing it twice is doing it once.
    await store.stateFact(fact, 'loaded');
  }
}
