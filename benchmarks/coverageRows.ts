import {
  capSharesIn,
  decidedWithMoreWalks,
  figureReachIn,
  PLAIN_WORLD,
  publishedIn,
  STATEMENTS,
  throughputVerdictsIn,
  trialDistancesIn,
  type Told,
  type World,
} from '@urvek/core';

/** A line of the table: what was simulated, and the shares that were true. */
export interface PublishedRow {
  readonly head: readonly string[];
  readonly run: (comparisons: number) => string;
}

const NAME = 52;
const percent = ({ made, true: right }: Told): string =>
  (made === 0 ? '–' : ((100 * right) / made).toFixed(1)).padStart(10);

const WALKS = ['', `${''.padEnd(NAME)}${STATEMENTS.map((s) => s.padStart(10)).join('')}`];
const world = (name: string, more: Partial<World>): PublishedRow => ({
  head: WALKS,
  run: (comparisons) => {
    const found = publishedIn({ ...PLAIN_WORLD, ...more }, comparisons, 'bench');
    return `${name.padEnd(NAME)}${STATEMENTS.map((s) => percent(found[s])).join('')}`;
  },
});

const SIGMAS = [0.1, 0.25] as const;
const both = (sigma: number): World['sigmas'] => [sigma, sigma];
const days = { dayU: 0.2, setUpU: 0.1 };

const walks: PublishedRow[] = [
  ...[2, 3, 5, 10, 30].map((walksEach) => world(`${walksEach} walks, stands every 10 m`, { walksEach })),
  ...[1.05, 1.12, 1.25].flatMap((ratio) =>
    SIGMAS.map((sigma) =>
      world(`5 walks, stands every ${Math.round(100 * (ratio - 1))} %, spread ${sigma}`, {
        stands: { ratio },
        sigmas: both(sigma),
      }),
    ),
  ),
  ...[20, 50].flatMap((everyM) =>
    SIGMAS.flatMap((sigma) =>
      [5, 10].map((walksEach) =>
        world(`${walksEach} walks, stands every ${everyM} m, spread ${sigma}`, {
          walksEach,
          stands: { everyM },
          sigmas: both(sigma),
        }),
      ),
    ),
  ),
  ...[0.2, 0.4].flatMap((tooShort) =>
    [3, 5, 10].map((walksEach) =>
      world(`${walksEach} walks, path too short for ${100 * tooShort} %`, { walksEach, tooShort }),
    ),
  ),
  ...(['satellite', 'paces', 'by eye'] as const).map((method) =>
    world(`5 walks, distances by ${method.replace('by ', '')}, stands every 20 m`, {
      method,
      stands: { everyM: 20 },
    }),
  ),
  ...[3, 5, 10].flatMap((walksEach) => [
    world(`${walksEach} walks, loose beside tight (0.35, 0.1)`, { walksEach, sigmas: [0.35, 0.1] }),
    world(`${walksEach} walks, tight beside loose (0.1, 0.35)`, { walksEach, sigmas: [0.1, 0.35] }),
  ]),
  world('6 walks of 2 units each', { walksEach: 6, units: 2, unitU: 0.15 }),
  world('5 walks of one day', { ...days, days: 'one' }),
  world('6 walks on two days, both on each', { ...days, walksEach: 6, days: { both: 2 } }),
  world('8 walks on four days, both on each', { ...days, walksEach: 8, days: { both: 4 } }),
  world('9 walks on three days of its own each', { ...days, walksEach: 9, days: { apart: 3 } }),
  world('5 walks on one day of its own each', { ...days, days: { apart: 1 } }),
  world('10 walks, one in five bad', { walksEach: 10, bad: 0.2 }),
  world('10 walks, most end at a wall', { walksEach: 10, wallM: 92 }),
  ...[5, 14].map((drivenMps) =>
    world(`5 drives at ${drivenMps} m/s, spread 0.05`, { drivenMps, sigmas: both(0.05) }),
  ),
];

const PRESSES = ['', `${''.padEnd(NAME)}${['D50', 'D90'].map((s) => s.padStart(10)).join('')}`];
const presses = [3, 5, 10].map((walksEach): PublishedRow => ({
  head: PRESSES,
  run: (comparisons) => {
    const { d50, d90 } = trialDistancesIn(walksEach, comparisons, 'bench');
    return `${`${walksEach} walks of 10 presses a stand, walks differ`.padEnd(NAME)}${percent(d50)}${percent(d90)}`;
  },
}));

const LINE = ['', `${''.padEnd(NAME)}${['supported', 'refuted'].map((s) => s.padStart(10)).join('')}`];
const lines = [6, 10].map((visits): PublishedRow => ({
  head: LINE,
  run: (comparisons) => {
    const { supported, refuted } = throughputVerdictsIn(visits, comparisons, 'bench');
    return `${`throughput claim at the truth, ${visits} visits`.padEnd(NAME)}${percent(supported)}${percent(refuted)}`;
  },
}));

const REACH = ['', `${''.padEnd(NAME)}${['median'].map((s) => s.padStart(10)).join('')}`];
const reaches = [3, 5, 10].map((walksEach): PublishedRow => ({
  head: REACH,
  run: (comparisons) =>
    `${`how far 40 Mbit/s reach, ${walksEach} walks`.padEnd(NAME)}` +
    `${percent(figureReachIn(walksEach, comparisons, 'bench'))}`,
}));

const CAP = ['', `${''.padEnd(NAME)}${['called cap'].map((s) => s.padStart(10)).join('')}`];
const caps = (
  [
    ['a true cap, readings within 3 %', 0.03, 0],
    ['a true cap, readings within 10 %', 0.1, 0],
    ['a link that falls by 2 % a stand, 3 %', 0.03, 0.02],
  ] as const
).map(([name, scatter, fall]): PublishedRow => ({
  head: CAP,
  run: (comparisons) => `${name.padEnd(NAME)}${percent(capSharesIn(scatter, fall, comparisons, 'bench'))}`,
}));

const MORE = ['', `${''.padEnd(NAME)}${['decided'].map((s) => s.padStart(10)).join('')}`];
const more = (
  [
    [0.2, 0.15],
    [0.2, 0.25],
  ] as const
).map(([gap, sigma]): PublishedRow => ({
  head: MORE,
  run: (comparisons) =>
    `${`“about n walks”, gap ${gap}, spread ${sigma} (80 meant)`.padEnd(NAME)}` +
    `${percent(decidedWithMoreWalks(gap, sigma, comparisons, 'bench'))}`,
}));

export const PUBLISHED_ROWS: readonly PublishedRow[] = [
  ...walks,
  ...presses,
  ...lines,
  ...reaches,
  ...caps,
  ...more,
];
