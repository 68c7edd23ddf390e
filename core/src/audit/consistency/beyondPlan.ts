import type { ConsistencyRule } from './entered.ts';
import * as phrases from './phrases.ts';

/** An instrument that shows the impossible on one axis is doubted on all. */
export const beyondPlan: ConsistencyRule = {
  id: 'beyond-plan',
  title: phrases.fasterThanTheLineWasSold,
  find: ({ doubts }) =>
    doubts.map(({ path, products, instrument, readMbps, planMbps, direction }) => ({
      products,
      path,
      what: phrases.readMbitSThroughALine(
        instrument ?? phrases.anInstrumentThatNobodyNamed,
        readMbps.toFixed(0),
        direction === 'fixed-to-mobile' ? 'down' : 'up',
        planMbps.toFixed(0),
      ),
      mend: phrases.enterThePlanAsItIs,
    })),
};
