import { expect, test } from '@jest/globals';
import {
  atLeastShare,
  boundWithScaleError,
  bytesOf,
  constantRatioBounds,
  distanceRatios,
  fallOf,
  findWalk,
  formatLength,
  hangsOn,
  judgeClaim,
  latencyOfFrames,
  medianInterval,
  METHOD_UNCERTAINTY,
  outcomeOf,
  parsePlace,
  positionAt,
  rateOfTransfer,
  ratioInDb,
  scaleUOf,
  signTest,
  summariseRanges,
  walksFor,
  walksToTell,
  wallOf,
  withScaleError,
  type EventKind,
  type Path,
  type WalkInterval,
} from '@urvek/core';
import { readFileSync } from 'node:fs';
import { endsText, intervalText } from './tape/rangeLanes.ts';
import { logOf } from '@urvek/core/test';

const path: Path = {
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM: 500, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
};
type Entry = readonly [EventKind, object];
const at = (travelledM: number): Entry => [
  'mark',
  { reading: { travelledM, method: 'marked line', pressed: true } },
];
const answered = (hits: number): Entry => ['hits', { hits, presses: 3 }];
function bracketOf(...entries: Entry[]): string {
  const log = logOf(
    [['begin', { direction: 'mobile-to-fixed', mode: 'hits' }] as Entry, ...entries].map(
      ([kind, body], i) => [20 * i, kind, body] as const,
    ),
  );
  const found = findWalk({ walkId: 'w', label: '1', product: 'A', path, log });
  const interval = found && outcomeOf(found, 'last usable').interval;
  return interval ? intervalText(interval, 'm') : 'none';
}
const rows = (ends: readonly (readonly [number, number])[], more: object = {}): WalkInterval[] =>
  ends.map(([heldM, failedM], i) => ({ product: 'A', path: 'P', walk: `${i}`, heldM, failedM, ...more }));
const BY_EYE = scaleUOf('by eye');
const percent = (share: number): string => `at least ${(100 * share).toFixed(0)} %`;

/** Every worked value of docs/methods.md, worked out again. */
const WORKED: Readonly<Record<string, () => string>> = {
  'marks at 10, 20, 30 and 40 m, answered to 30': () =>
    bracketOf(...[10, 20, 30, 40].flatMap((m) => [at(m), answered(m <= 30 ? 3 : 0)])),
  'middle of a 71 s gap': () => {
    const fix = (atS: number, travelledM: number) =>
      ({ atS, travelledM, uncertaintyM: 0, method: 'marked line' }) as const;
    return `${positionAt([fix(0, 0), fix(71, 99.4)], 35.5)?.uncertaintyM.toFixed(1)} m`;
  },
  'odometer step': () => `${METHOD_UNCERTAINTY.odometer.independentM.toFixed(1)} m`,
  'about 40 yd': () => {
    const { reading } = parsePlace('about 40 yd', 'wheel');
    return `${formatLength(reading?.travelledM ?? 0)} ± ${formatLength(reading?.uncertaintyM ?? 0)}`;
  },
  'held at 30 m, failed at an unknown place, ended at 120 m': () =>
    bracketOf(at(30), answered(3), ['mark', {}], answered(0), [
      'end',
      { reason: 'time', reading: { travelledM: 120, method: 'marked line', pressed: true } },
    ]),
  'first failures at 100, 100, 100, 120 and 100 m, stands every 20 m': () => {
    const fails = [100, 100, 100, 120, 100];
    const [cell] = summariseRanges(
      rows(
        fails.map((f) => [f - 20, f] as const),
        { heldUM: 0.1, failedUM: 0.1 },
      ),
    ).fitted;
    const { low, high } = cell?.interval95M.median ?? { low: undefined, high: undefined };
    return endsText(low, high, (m) => formatLength(m)) ?? '';
  },
  '9 of 10 hold to, of 80, 92, 100, 111 and 130 m': () => {
    const [cell] = summariseRanges(rows([80, 92, 100, 111, 130].map((m) => [m, m] as const))).fitted;
    const { low, high } = cell?.withScale95M.p10 ?? { low: undefined, high: undefined };
    return endsText(low, high, (m) => formatLength(m)) ?? '';
  },
  '118, 121, 125, 122, 119 m over 60, 95, 150, 88, 120 m': () => {
    const of = (product: string, places: readonly number[]): WalkInterval[] =>
      rows(
        places.map((m) => [m, m] as const),
        { product },
      );
    const [ratio] = summariseRanges([
      ...of('A', [60, 95, 150, 88, 120]),
      ...of('B', [118, 121, 125, 122, 119]),
    ]).productRatios;
    return endsText(ratio?.interval95?.low, ratio?.interval95?.high, (v) => v.toFixed(2)) ?? '';
  },
  'walks for a gap of 0.2 at a spread of 0.15': () => String(walksToTell(0.2, 0.15)),
  'held to the end in 5 walks': () =>
    walksFor(0.5) === 5 ? 'more than the median, 95 %' : `${walksFor(0.5)} walks are wanted`,
  '202 to 213 m about 207.4 m by eye': () => {
    const { low, high } = withScaleError({ low: 202, high: 213 }, 207.4, BY_EYE);
    return `${low?.toFixed(0)} m to ${high?.toFixed(0)} m`;
  },
  'held to 90 m by eye': () => `at least ${boundWithScaleError(90, -1, BY_EYE).toFixed(1)} m`,
  '100, 101 and 102 m on each of four days 1, 1.3, 0.8 and 1.1 times as far': () => {
    const walks = [1, 1.3, 0.8, 1.1].flatMap((day, i) =>
      rows(
        [100, 101, 102].map((m) => [m * day, m * day] as const),
        { outing: `${i}` },
      ),
    );
    const { low, high } = summariseRanges(walks).fitted[0]?.interval95M.median ?? {};
    return endsText(low, high, (m) => formatLength(m)) ?? '';
  },
  'six walks, four of them between 40 and 50 m with a corner at 44 m, one from 30 m and one to 60 m': () => {
    const ends = [...Array.from({ length: 4 }, () => [40, 50] as const), [30, 40], [50, 60]] as const;
    const { low, high } = wallOf(rows(ends), [{ label: '', atM: 44 }], [])?.median95M ?? {};
    return endsText(low, high, (m) => formatLength(m)) ?? '';
  },
  'units A 100, 104, 98 and 120, 125, 118 m; B 130, 128, 135 and 112, 110, 115 m': () => {
    const of = (product: string, unit: string, places: readonly number[]): WalkInterval[] =>
      rows(
        places.map((m) => [m, m] as const),
        { product, unit },
      );
    const [ratio] = summariseRanges([
      ...of('A', '1', [100, 104, 98]),
      ...of('A', '2', [120, 125, 118]),
      ...of('B', '1', [130, 128, 135]),
      ...of('B', '2', [112, 110, 115]),
    ]).productRatios;
    return endsText(ratio?.interval95?.low, ratio?.interval95?.high, (v) => v.toFixed(2)) ?? '';
  },
  'six visits of 180, 182, 185, 186, 188 and 190 Mbit/s': () => {
    const found = medianInterval([180, 182, 185, 186, 188, 190]);
    return `${found?.low} to ${found?.high} Mbit/s`;
  },
  '620 falling to 300 Mbit/s': () => {
    const fall = fallOf([
      { distanceM: 10, mbps: 620 },
      { distanceM: 800, mbps: 300 },
    ]);
    return `${(100 * (fall?.share ?? 0)).toFixed(0)} %`;
  },
  'a transfer of 100 MB in 38 s': () => `${rateOfTransfer(bytesOf('100 MB'), 38).toFixed(1)} Mbit/s`,
  '10 dB between the exponents 2 and 4': () =>
    distanceRatios(10)
      .map((r) => `x${r.toFixed(2)}`)
      .join(' to '),
  '3 dB at exponent 2': () => (10 ** (3 / 20)).toFixed(3),
  '+8 % at exponent 4': () => `${ratioInDb(1.08, 4).toFixed(2)} dB`,
  '8 of 8 outings': () => `p ${signTest(8, 8).toFixed(4)}`,
  'A in (2, 3] and B in (3, 3.3]': () => {
    const ends = constantRatioBounds([{ a: { heldM: 2, failedM: 3 }, b: { heldM: 3, failedM: 3.3 } }]);
    return `${ends?.low?.toFixed(2)} to ${ends?.high?.toFixed(2)}`;
  },
  '+8 % with A in (3, 3.3] and B lost by 3.3': () =>
    `A ends before ${hangsOn(1.08, { heldM: 3, failedM: 3.3 }, { heldM: 3, failedM: 3.3 })?.endsBeforeM.toFixed(3)}`,
  '1 of 1': () => percent(atLeastShare(1, 1)),
  '10 of 10': () => percent(atLeastShare(10, 10)),
  '500 ft against six walks near 207 m by eye': () => {
    const [cell] = summariseRanges(
      rows(
        [205, 206, 207, 208, 209, 210].map((m) => [m, m] as const),
        { method: 'by eye', scaleU: BY_EYE, failedUM: 1 },
      ),
    ).fitted;
    return judgeClaim(
      { entered: '500 ft', distanceM: 152.4, upTo: false, condition: 'open' },
      { criterion: 'lost', cell, unitsTested: 1, pathReachM: 400 },
    ).outcome;
  },
  'walks that must all hold for 9 of 10': () => String(walksFor(0.9)),
  'one count at 24 frames a second': () => `± ${(1000 * latencyOfFrames([3], 24).halfWidthS).toFixed(0)} ms`,
};

const text = readFileSync(new URL('../../docs/methods.md', import.meta.url), 'utf8');
const stated = [...text.matchAll(/^- Worked: (.+) = (.+)$/gm)].map(
  ([, what = '', value = '']) => [what, value] as const,
);

test.each(stated)('%s', (what, value) => {
  expect(WORKED[what]?.()).toBe(value);
});

test('no worked value stands in the tests that the page does not tell', () => {
  expect(Object.keys(WORKED).sort()).toEqual(stated.map(([what]) => what).sort());
});
