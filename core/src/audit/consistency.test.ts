import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { auditConsistency, CONSISTENCY_RULES } from './audit.ts';
import type { Entered, EnteredWalk, Quoted } from './consistency/entered.ts';
import { meanBounds } from './consistency/impossibleMean.ts';

const quoted = (more: Partial<Quoted>): Quoted => ({
  productId: 'a',
  product: 'A',
  path: 'Incline',
  source: 'a notebook',
  walks: undefined,
  meanM: undefined,
  bestM: undefined,
  worstM: undefined,
  spreadM: undefined,
  failedWithoutDistance: false,
  ...more,
});
const mark = (atM: number, atS: number, name?: string): EnteredWalk['marks'][number] => ({
  atM,
  atS,
  name,
  method: 'wheel',
});
const walk: EnteredWalk = {
  productId: 'a',
  product: 'A',
  path: 'Incline',
  label: '1',
  marks: [mark(20, 20, 'post 1'), mark(20, 40, 'post 1'), mark(40, 60, 'post 2')],
  notes: [{ text: 'a dog on the path', atS: 30 }],
  readingsS: [25, 65],
  figures: [],
  atStands: true,
  reports: [],
  impossible: [],
  unplacedFailures: 0,
  endS: 80,
};
const sound: Entered = {
  quoted: [quoted({ walks: 3, meanM: 102, bestM: 105, spreadM: 5 })],
  walks: [walk],
  ranges: [{ productId: 'a', path: 'Incline', lowM: 90, highM: 120, walks: 6 }],
  doubts: [],
};

const report = (by: string, heldM: number, failedM: number | undefined): EnteredWalk['reports'][number] => ({
  ...{ by, direction: 'mobile-to-fixed', heldM, failedM, uM: 1 },
});

const read = (direction: 'fixed-to-mobile' | 'mobile-to-fixed', value: number, atM: number) => ({
  ...{ quantity: 'throughput' as const, direction, value, atM },
});

const CASES: readonly [rule: string, wrong: Entered, says: RegExp][] = [
  [
    'impossible-reading',
    { ...sound, walks: [{ ...walk, impossible: ['throughput of -5'] }] },
    /walk 1: throughput of -5/,
  ],
  [
    'two-ends',
    { ...sound, walks: [{ ...walk, reports: [report('this', 40, 60), report('that', 90, undefined)] }] },
    /walk 1, mobile-to-fixed: this says held to 40\.0 m, failed by 60\.0 m; that says more than 90\.0 m/,
  ],
  [
    'impossible-mean',
    { ...sound, quoted: [quoted({ walks: 3, meanM: 100, bestM: 105, spreadM: 5 })] },
    /between 101\.67 and 103\.33 m; 100 m is stated/,
  ],
  [
    'impossible-mean',
    {
      ...sound,
      quoted: [quoted({ walks: 3, meanM: 91.44, bestM: 96.012, spreadM: 4.572, unit: 'yd' })],
    },
    /best 105 yd and spread 5 yd of 3 put the mean between 101\.67 and 103\.33 yd; 100 yd is stated/,
  ],
  [
    'impossible-mean',
    { ...sound, quoted: [quoted({ meanM: 110, bestM: 105 })] },
    /mean 110 m is beyond best 105 m/,
  ],
  [
    'impossible-mean',
    { ...sound, quoted: [quoted({ bestM: 105, worstM: 95, spreadM: 5 })] },
    /is not the spread of 5 m/,
  ],
  [
    'same-figure',
    { ...sound, walks: [{ ...walk, marks: [mark(40, 20, 'gate'), mark(40, 60, 'bridge')] }] },
    /“gate” and “bridge” both stand at 40\.0 m/,
  ],
  [
    'same-figure',
    { ...sound, walks: [{ ...walk, marks: [mark(40, 20, 'gate'), mark(60, 65, 'gate')] }] },
    /“gate” stands at 40\.0 m, at 60\.0 m/,
  ],
  [
    'log-against-table',
    { ...sound, quoted: [quoted({ meanM: 140 })] },
    /a mean of 140 m, where 6 logged walks put the median within 90\.0 m to 120\.0 m/,
  ],
  [
    'announced',
    { ...sound, walks: [{ ...walk, notes: [{ text: 'reading at the bridge, 38 Mbit/s', atS: 500 }] }] },
    /stands in the notes, and no reading of its own there/,
  ],
  [
    // Another reading came 15 s later, farther on: it is not this one.
    'announced',
    { ...sound, walks: [{ ...walk, notes: [{ text: 'a speed test here', atS: 50 }] }] },
    /“a speed test here” stands in the notes/,
  ],
  [
    'same-reading',
    {
      ...sound,
      walks: [{ ...walk, figures: [read('fixed-to-mobile', 46.2, 20), read('mobile-to-fixed', 46.2, 40)] }],
    },
    /46\.2 is throughput down, Mbit\/s at 20\.0 m, and throughput up, Mbit\/s at 40\.0 m/,
  ],
  [
    'beyond-plan',
    {
      ...sound,
      doubts: [
        {
          ...{ path: 'Incline', products: ['a'], instrument: 'phone app', readMbps: 75, planMbps: 40 },
          direction: 'mobile-to-fixed',
        },
      ],
    },
    /phone app read 75 Mbit\/s up through a line sold as 40: it is in doubt on all it read/,
  ],
  ['announced', { ...sound, walks: [{ ...walk, readingsS: [25] }] }, /nothing was entered at “post 2”/],
  [
    'failed-without-distance',
    { ...sound, quoted: [quoted({ failedWithoutDistance: true })] },
    /it failed, and where is not said/,
  ],
  [
    'failed-without-distance',
    { ...sound, walks: [{ ...walk, unplacedFailures: 2 }] },
    /2 failures have no place/,
  ],
];

describe('each rule of consistency', () => {
  test('finds nothing where all belongs together', () => {
    expect(auditConsistency(sound)).toEqual([]);
  });

  test('half-yard steps are two figures; one place with three distances stands once, however many walks', () => {
    const halfYards = { ...walk, marks: [mark(40, 20, 'gate'), mark(40.457, 30, 'hedge')] };
    expect(
      auditConsistency({ ...sound, walks: [halfYards] }).filter((f) => f.rule === 'same-figure'),
    ).toEqual([]);
    const many = Array.from({ length: 12 }, (_, i) => ({
      ...walk,
      label: `${i + 1}`,
      marks: [mark([40, 50, 60][i % 3] as number, 20, 'gate')],
    }));
    const found = auditConsistency({ ...sound, walks: many }).filter((f) => f.rule === 'same-figure');
    expect(found.map((f) => f.what)).toEqual([
      '“gate” stands at 40.0 m, at 50.0 m, at 60.0 m (A, walk 1; A, walk 2; A, walk 3 and 9 more)',
    ]);
  });

  test.each(CASES)('%s', (rule, wrong, says) => {
    expect(
      auditConsistency(wrong)
        .filter((f) => f.rule === rule)
        .map((f) => f.what)
        .join('\n'),
    ).toMatch(says);
  });

  test('has a case here', () => {
    expect([...new Set(CASES.map(([rule]) => rule))].sort()).toEqual(
      CONSISTENCY_RULES.map((r) => r.id).sort(),
    );
  });
});

test(
  'the mean of any figures lies within the bounds that best, spread and count give, and no true ' +
    'one is questioned',
  () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 2000 }), { minLength: 1, maxLength: 12 }), (figures) => {
        const [best, worst] = [Math.max(...figures), Math.min(...figures)];
        const mean = figures.reduce((a, b) => a + b, 0) / figures.length;
        const [low, high] = meanBounds(figures.length, best, best - worst);
        expect(mean).toBeGreaterThanOrEqual(low - 1e-9);
        expect(mean).toBeLessThanOrEqual(high + 1e-9);
        expect(
          auditConsistency({
            quoted: [
              quoted({
                walks: figures.length,
                meanM: mean,
                bestM: best,
                worstM: worst,
                spreadM: best - worst,
              }),
            ],
            walks: [],
            ranges: [],
            doubts: [],
          }),
        ).toEqual([]);
      }),
    );
    expect(() => meanBounds(0, 1, 1)).toThrow('invalid n: 0');
  },
);
