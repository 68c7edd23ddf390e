import type { ConsistencyRule } from './entered.ts';

/** An instrument that shows the impossible on one axis is doubted on all. */
export const beyondPlan: ConsistencyRule = {
  id: 'beyond-plan',
  title: 'Faster than the line was sold',
  find: ({ doubts }) =>
    doubts.map(({ path, products, instrument, readMbps, planMbps, direction }) => ({
      products,
      path,
      what: `${instrument ?? 'An instrument that nobody named'} read ${readMbps.toFixed(0)} Mbit/s ${direction === 'fixed-to-mobile' ? 'down' : 'up'} through a line sold as ${planMbps.toFixed(0)}: it is in doubt on all it read`,
      mend: 'Enter the plan as it is in Paths; say there if the server stands inside the network; else read again with another instrument.',
    })),
};
