import { describe, expect, test } from '@jest/globals';
import type { RatioFinding } from '../estimate/range/ratioFinding.ts';
import type { RigSettings } from '../kit/rig.ts';
import type { Grade } from '../grade/grade.ts';
import { auditFairness, FAIRNESS_RULES } from './audit.ts';
import type { AuditCase, AuditedProduct, AuditedWalk } from './case/auditCase.ts';

const rig: RigSettings = {
  channel: '6',
  widthMHz: 20,
  powerMw: 10,
  gain: '',
  squelch: '',
  firmware: '1',
  antenna: '',
  antennaPlace: 'on the body',
  orientation: 'upright',
  bodyPosition: 'chest',
  bodyLossDb: 8,
  heightFixedM: 1.6,
  heightMobileM: 1.5,
  cables: 'none',
  playoutDelayS: 0,
  feederLossDb: 0,
};

const HOUR = 3_600_000;
const walk = (
  label: string,
  unit: string,
  startedMs: number,
  round: number,
  more: Partial<AuditedWalk> = {},
): AuditedWalk => ({
  label,
  rig,
  rigName: 'Standard',
  unit,
  startedMs,
  round,
  baseline: false,
  finished: true,
  mode: 'continuous',
  conditions: {
    weather: 'dry',
    leaf: 'bare',
    load: 'one stream',
    instrument: 'meter 1',
    otherTransmitters: 'none',
  },
  startM: 0,
  graded: [],
  baselineStated: true,
  undated: false,
  methods: ['marked line'],
  directions: ['mobile-to-fixed', 'fixed-to-mobile'],
  calls: 0,
  readBacks: 0,
  interval: { heldM: 100, failedM: 103 },
  ...more,
});
const product = (id: string, firstMs: number, ahead: number): AuditedProduct => ({
  id,
  model: id,
  name: id.toUpperCase(),
  bandMHz: 2400,
  powerMw: 10,
  rigs: [rig],
  pathsWalked: ['Incline'],
  quoted: [],
  cap: undefined,
  oneWay: [],
  walks: [
    walk('1', 'A', firstMs, 1),
    walk('2', 'B', firstMs + HOUR * (1 - ahead), 2),
    walk('3', 'A', firstMs + HOUR * 2, 3),
    walk('4', 'B', firstMs + HOUR * (3 - ahead), 4),
  ],
});
const ratio = (value: number, low: number, high: number): RatioFinding => ({
  numerator: 'B',
  denominator: 'A',
  method: 'shared',
  basis: undefined,
  forTheseSetUps: false,
  spreadsInDoubt: false,
  estimable: true,
  reason: undefined,
  estimate: { ratio: value, logRatio: Math.log(value), seLog: 0.1, wald95: [low, high], waldP: 0.01 },
  interval95: { low, high },
  scale: { u: 0, method: undefined },
  withScale95: { low, high },
  p: 0.01,
  holmP: 0.01,
  walks: [4, 4],
  bounds: undefined,
});

/** Two products, walked alike in every way: nothing to find. */
const fair: AuditCase = {
  pathId: 'p',
  pathName: 'Incline',
  criterion: 'first dropout',
  kindName: 'Two-way radio',
  judgedBy: 'sense',
  bothWays: true,
  products: [product('a', 0, 0), product('b', HOUR / 2, 0.8)],
  ratios: [ratio(1.5, 1.2, 1.9)],
  ratioClaims: [],
  blind: true,
  exponent: 3,
};

type Change = (p: AuditedProduct) => AuditedProduct;
const second = (change: Change): AuditCase => ({
  ...fair,
  products: fair.products.map((p, i) => (i === 1 ? change(p) : p)),
});
const rigged = (more: Partial<RigSettings>): AuditCase =>
  second((p) => ({ ...p, rigs: [{ ...rig, ...more }] }));
const walked = (change: (w: AuditedWalk, i: number) => Partial<AuditedWalk>): AuditCase =>
  second((p) => ({ ...p, walks: p.walks.map((w, i) => ({ ...w, ...change(w, i) })) }));
const day = (conditions: AuditedWalk['conditions']): AuditCase =>
  walked((w) => ({ conditions: { ...w.conditions, ...conditions } }));

/** A was graded by the one, B by the other, whose grades of clips lie so far below. */
const gradedApart = (lower: readonly number[]): AuditCase => ({
  ...fair,
  products: fair.products.map((p, i) => ({
    ...p,
    walks: p.walks.map((w) => ({
      ...w,
      conditions: { ...w.conditions, gradedBy: i === 0 ? 'Ann' : w.round === 2 ? 'ben ' : 'Ben' },
      graded: lower.map((by, k) => ({
        clips: 'speech',
        graded: [{ level: k / 10, grade: (5 - (k % 4) - (i === 0 ? 0 : by)) as Grade }],
      })),
    })),
  })),
});

const CASES: readonly [rule: string, unfair: AuditCase, says: RegExp, sizeDb?: number][] = [
  ['heights', rigged({ heightFixedM: 0.7 }), /fixed end: A at 1.6 m, B at 0.7 m/, 20 * Math.log10(1.6 / 0.7)],
  ['antenna-place', rigged({ antennaPlace: 'inside a vehicle' }), /B: inside a vehicle/],
  ['orientation', rigged({ bodyPosition: 'in a pocket', bodyLossDb: 14 }), /B in a pocket/, 6],
  ['orientation', rigged({ orientation: 'sideways' }), /B sideways/],
  ['channel', rigged({ channel: '11' }), /A: 6; B: 11/],
  ['width', rigged({ widthMHz: 40 }), /20 MHz, B 40 MHz/, 10 * Math.log10(2)],
  ['power', rigged({ powerMw: 100 }), /A set to 10 mW, B to 100 mW/, 10],
  ['instrument', day({ instrument: 'meter 2' }), /meter 1; B: meter 2/],
  [
    'cap',
    second((p) => ({ ...p, cap: { levelMbps: 94, points: 4, toM: 20, measured: false } })),
    /B reads 94 Mbit\/s at 4 nearest points, and what is behind it was not measured/,
  ],
  ['load', day({ load: 'four streams' }), /four streams/],
  ['weather', day({ weather: 'rain', groundWet: true }), /rain, ground wet/],
  [
    'not-stated',
    rigged({ heightFixedM: undefined, channel: ' ' }),
    /B: the height of the fixed end, the channel/,
  ],
  [
    'not-stated',
    walked(() => ({ baselineStated: false, startM: undefined })),
    /B: where the walks begin, how/,
  ],
  ['foliage', day({ leaf: 'wet leaf' }), /wet leaf/],
  ['time-of-day', walked((w) => ({ startedMs: w.startedMs + 3 * HOUR })), /hours apart/],
  [
    'order',
    { ...fair, products: [product('a', 0, 0), product('b', HOUR / 2, 0)] },
    /A was walked first in all 4 rounds/,
  ],
  [
    'path-and-mode',
    second((p) => ({ ...p, walks: [], pathsWalked: ['Shed'] })),
    /A was walked on Incline, B only on Shed/,
  ],
  ['path-and-mode', walked(() => ({ mode: 'stop and call', readBacks: 1 })), /continuous; B: stop and call/],
  ['distance-method', walked(() => ({ methods: ['paces'] })), /B by paces/],
  [
    'step',
    { ...walked(() => ({ interval: { heldM: 80, failedM: 130 } })), ratios: [ratio(1.1, 1.05, 1.15)] },
    /differ by less than the marks are apart/,
  ],
  [
    'step',
    { ...fair, ratioClaims: [{ product: 'a', against: 'b', ratio: 1.02, entered: '2 % farther' }] },
    /“2 % farther” is smaller than the marks are apart/,
  ],
  ['units', walked(() => ({ unit: 'A' })), /One unit of B was walked/],
  ['direction', walked(() => ({ directions: ['mobile-to-fixed'] })), /B was tested mobile-to-fixed only/],
  [
    'deaf-end',
    second((p) => ({
      ...p,
      oneWay: [
        { checkpoint: 'post 3', deaf: 'fixed end', gradesApart: 3 },
        { checkpoint: 'post 4', deaf: 'fixed end', gradesApart: 3 },
      ],
    })),
    /at post 3, post 4 the fixed end is heard and does not hear/,
  ],
  ['start', walked((_, i) => ({ startM: i === 0 ? 20 : 0 })), /1 of 4 walks began 20 m out/],
  ['playout', rigged({ playoutDelayS: 5 }), /A 0 s, B 5 s/],
  ['other-transmitters', day({ otherTransmitters: 'a crane' }), /a crane/],
  ['connectors', rigged({ cables: 'two adapters', feederLossDb: 2 }), /two adapters/],
  [
    'best-of',
    {
      ...fair,
      products: fair.products.map((p, i) => ({
        ...p,
        quoted: [
          {
            source: 's',
            walks: 3,
            meanM: i === 0 ? 100 : undefined,
            bestM: i === 0 ? undefined : 120,
            worstM: undefined,
            spreadM: undefined,
          },
        ],
      })),
    },
    /Of B the best is quoted, of A the mean/,
  ],
  ['best-of', walked((_, i) => ({ finished: i !== 2 })), /1 of 4 walks of B were begun and not finished/],
  ['known-phrase', walked(() => ({ calls: 5 })), /nothing was read back/],
  [
    'two-things',
    walked((_, i) => (i > 1 ? { rigName: 'Mast', rig: { ...rig, heightMobileM: 3, powerMw: 50 } } : {})),
    /“Standard” to “Mast” power, height, mobile end changed together/,
  ],
  [
    'surprise',
    walked((_, i) => ({
      interval: i === 3 ? { heldM: 10, failedM: 11 } : { heldM: 100 + i, failedM: 103 + i },
    })),
    /B, walk 4: 0\.10 times as far as the others/,
  ],
  [
    'repeatability',
    {
      ...walked((_, i) => (i === 3 ? { baseline: true, interval: { heldM: 180, failedM: 182 } } : {})),
      ratios: [ratio(1.2, 1.1, 1.3)],
    },
    /B walked again at the end went 1\.78 times as far/,
  ],
  ['knowing', { ...fair, blind: false }, /with the names known/],
  ['graders', gradedApart([]), /: Ann graded A \(4 walks\); Ben graded B \(4 walks\)$/],
];

describe('each rule of fairness', () => {
  test('finds nothing where nothing differs', () => {
    expect(auditFairness([fair])).toEqual([]);
  });

  test('people who grade are told with how far they agree on the same clips, where that is known', () => {
    const sizeOf = (of: AuditCase): string | undefined =>
      auditFairness([of]).find((f) => f.rule === 'graders')?.size;
    expect(sizeOf(gradedApart([]))).toBe('not known');
    expect(sizeOf(gradedApart(Array.from({ length: 12 }, () => 0)))).toMatch(
      /^on 12 clips of the grade trainer Ann and Ben agree with a weighted kappa of 1\.00/,
    );
    const apart = Number(
      /kappa of (-?[\d.]+)/.exec(sizeOf(gradedApart(Array.from({ length: 12 }, () => 1))) ?? '')?.[1],
    );
    expect(apart).toBeGreaterThan(0);
    expect(apart).toBeLessThan(0.9);
    // Figures of an instrument are nobody's ear.
    expect(auditFairness([{ ...gradedApart([]), judgedBy: 'figures' }]).map((f) => f.rule)).not.toContain(
      'graders',
    );
  });

  test.each(CASES.map(([rule, unfair, says, sizeDb]) => [rule, unfair, says, { sizeDb }] as const))(
    '%s: finds what differs, its size, and what would mend it',
    (rule, unfair, says, { sizeDb }) => {
      const found = auditFairness([unfair]).filter((f) => f.rule === rule);
      expect(found.map((f) => f.what).join('\n')).toMatch(says);
      const [finding] = found.filter((f) => says.test(f.what));
      expect(finding?.mend).not.toBe('');
      if (sizeDb !== undefined) expect(finding?.sizeDb).toBeCloseTo(sizeDb, 9);
    },
  );

  test('has a case here', () => {
    expect([...new Set(CASES.map(([rule]) => rule))].sort()).toEqual(FAIRNESS_RULES.map((r) => r.id).sort());
  });
});

describe('the findings together', () => {
  test('those that could turn the verdict come first, unknown sizes next, small ones last', () => {
    const found = auditFairness([
      { ...rigged({ heightFixedM: 0.7, powerMw: 12, channel: '11' }), ratios: [ratio(1.3, 1.1, 1.5)] },
    ]);
    expect(found.map((f) => f.rule)).toEqual(['heights', 'heights', 'channel', 'power']);
  });

  test('one thing on two paths stands once, under both names, and its key does not hang on the path', () => {
    const both = auditFairness([
      rigged({ channel: '11' }),
      { ...rigged({ channel: '11' }), pathId: 'q', pathName: 'Shed' },
    ]);
    expect(both).toHaveLength(1);
    expect(both[0]).toMatchObject({ path: 'Incline, Shed', key: 'channel/a/b' });
    expect(auditFairness([rigged({ channel: '11' })])[0]?.key).toBe('channel/a/b');
  });
});
