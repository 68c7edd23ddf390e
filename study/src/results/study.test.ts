import { describe, expect, test } from '@jest/globals';
import type { WalkEvent } from '@urvek/core';
import {
  claimFlags,
  findWalks,
  intervalRows,
  pathLinkOf,
  plannedWalks,
  planState,
  rangesByPath,
  unitsWalked,
  judgeClaims,
} from '@urvek/study';
import {
  type BadEvent,
  validateBatch,
  validateEvent,
  newRig,
  EMPTY_SETUP,
  setupSchema,
  type Setup,
  type StoredWalk,
} from '@urvek/contract';
import { logOf } from '@urvek/core/test';

const WALK = '11111111-1111-4111-8111-111111111111';
const DEVICE = '22222222-2222-4222-8222-222222222222';
const time = { walkS: 1, rate: 1, inputMs: 1, originMs: 1, wallMs: 1 };
const event = (seq: number, kind: string, body: object): unknown => ({
  walkId: WALK,
  deviceId: DEVICE,
  seq,
  version: 1,
  kind,
  time,
  body,
});

describe('events', () => {
  test.each<[string, object]>([
    [
      'begin',
      {
        baselineGrade: 5,
        direction: 'mobile-to-fixed',
        reading: { travelledM: 0, method: 'wheel', pressed: false },
        playoutDelayS: 0,
      },
    ],
    ['dropoutBegin', {}],
    ['dropoutEnd', {}],
    ['grade', { grade: 3 }],
    ['turn', {}],
    ['end', { reason: 'time' }],
    ['turn', { reading: { travelledM: 80, method: 'wheel', pressed: false } }],
    ['mark', { reading: { travelledM: 20, method: 'marked line', pressed: true }, name: 'post 1' }],
    ['reconnected', { how: 'after re-pairing' }],
    ['note', { text: 'wind' }],
    ['gap', { fromWallMs: 5 }],
    ['correction', { amends: { deviceId: DEVICE, seq: 1 }, action: 'move', walkS: 3, reason: 'late' }],
  ])('%s is taken as it is', (kind, body) => {
    expect(validateEvent(event(1, kind, body))).toEqual(event(1, kind, body));
  });

  test.each<[string, object]>([
    ['grade', { grade: 6 }],
    ['grade', { grade: '3' }],
    ['grade', {}],
    ['dropoutBegin', { extra: 1 }],
    ['mark', { reading: { travelledM: -1, method: 'wheel', pressed: true } }],
    ['mark', { reading: { travelledM: Number.NaN, method: 'wheel', pressed: true } }],
    ['teleport', {}],
    ['end', { reason: 'bored' }],
    ['correction', { amends: { deviceId: DEVICE, seq: 1 }, action: 'withdraw', reason: ' ' }],
    ['correction', { amends: { deviceId: DEVICE, seq: 1 }, action: 'regrade', reason: 'x' }],
  ])('%s %j is refused', (kind, body) => {
    expect(() => validateEvent(event(1, kind, body))).toThrow();
  });

  test('a batch is refused whole, by the place of what is wrong', () => {
    const good = event(1, 'grade', { grade: 4 }) as WalkEvent;
    const refuse = (batch: unknown[]): number => {
      try {
        validateBatch(WALK, batch);
      } catch (error) {
        return (error as BadEvent).position;
      }
      return -1;
    };
    expect(refuse([good, event(2, 'grade', { grade: 9 })])).toBe(1);
    expect(refuse([good, { ...good, walkId: DEVICE, seq: 2 }])).toBe(1);
    expect(refuse([good, good])).toBe(1);
    expect(refuse([{ ...good, version: 2 }])).toBe(0);
    expect(refuse([good, 'text'])).toBe(1);
    expect(refuse([good])).toBe(-1);
  });
});

const product = (id: string): Setup['products'][number] => ({
  id,
  name: `Product ${id}`,
  kindId: 'microphone',
  bandMHz: 2400,
  powerMw: 10,
  claims: [{ id: `${id}c`, form: 'distance', entered: '100 m', upTo: true, condition: 'open', source: '' }],
  units: [{ id: `${id}u`, label: 'A', history: '' }],
  rigs: [newRig(`${id}r`, `${id}u`)],
  simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
});
const path: Setup['paths'][number] = {
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'free-space',
  distanceMethod: 'marked line',
  hazards: '',
  permission: '',
  legs: [{ lengthM: 200, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [{ name: 'post', atM: 20 }],
};
const setup: Setup = {
  products: [product('a'), product('b')],
  paths: [path],
  plan: { ...EMPTY_SETUP.plan, walksEach: 2 },
};

describe('the set-up', () => {
  test('a whole one is taken, an empty one too', () => {
    expect(setupSchema.isValidSync(setup, { strict: true })).toBe(true);
    expect(setupSchema.isValidSync(EMPTY_SETUP, { strict: true })).toBe(true);
  });

  test.each<[string, Setup]>([
    [
      'a claim without a distance',
      {
        ...setup,
        products: [
          {
            ...product('a'),
            claims: [{ ...(product('a').claims[0] as never as object), entered: 'far' } as never],
          },
        ],
      },
    ],
    [
      'two products of one name',
      { ...setup, products: [product('a'), { ...product('b'), name: 'Product a' }] },
    ],
    [
      'a checkpoint beyond the path',
      { ...setup, paths: [{ ...path, checkpoints: [{ name: 'far post', atM: 201 }] }] },
    ],
    [
      'a leg that rises more than it is long',
      { ...setup, paths: [{ ...path, legs: [{ lengthM: 10, bearingDeg: 0, riseM: 11, exposure: 'open' }] }] },
    ],
    ['a power that is not a number', { ...setup, products: [{ ...product('a'), powerMw: Number.NaN }] }],
  ])('%s is refused', (_, bad) => {
    expect(setupSchema.isValidSync(bad, { strict: true })).toBe(false);
  });

  test.each<[string, string, boolean]>([
    ['ratio', '8 % farther', true],
    ['ratio', '100 m', false],
    ['throughput', '300 Mbit/s', true],
    ['latency', '50 ms', true],
    ['latency', 'quick', false],
  ])('a claim of %s %j: %s', (form, entered, taken) => {
    const claim = { ...product('a').claims[0], form, entered };
    expect(
      setupSchema.isValidSync(
        { ...setup, products: [{ ...product('a'), claims: [claim] }] },
        { strict: true },
      ),
    ).toBe(taken);
  });

  test('planned walks alternate who goes first; without walks every claim is not tested', () => {
    expect(plannedWalks(setup).map((s) => `${s.round}${s.item.product.id}`)).toEqual([
      '1a',
      '1b',
      '2b',
      '2a',
    ]);
    expect(planState(setup, []).every((s) => s.walk === undefined)).toBe(true);
    const verdicts = judgeClaims(setup, rangesByPath(setup, [], 'first dropout'));
    expect(verdicts.map((v) => v.verdict.outcome)).toEqual(['not tested', 'not tested']);
  });
});

describe('what follows from set-up and logs', () => {
  const log = (walkId: string, product: string, startedMs: number, lostAtS: number): StoredWalk => ({
    header: {
      id: walkId,
      comparisonId: WALK,
      productId: product,
      rigId: `${product}r`,
      pathId: 'p',
      startedMs,
    },
    log: logOf(
      [
        [
          0,
          'begin',
          {
            baselineGrade: 5,
            direction: 'mobile-to-fixed',
            reading: { travelledM: 0, method: 'wheel', pressed: false },
            playoutDelayS: 0,
          },
        ],
        [lostAtS, 'dropoutBegin', {}],
        [100, 'mark', { reading: { travelledM: 140, method: 'wheel', pressed: false } }],
        [101, 'end', { reason: 'time' }],
      ],
      { walkId, deviceId: DEVICE },
    ),
  });
  const walks = [
    log('w3', 'a', 3000, 60),
    log('w1', 'a', 1000, 50),
    log('w2', 'b', 2000, 80),
    log('w4', 'gone', 4000, 10),
  ];
  const findings = findWalks(setup, walks);

  test('walks are numbered by their start, within product and path; those of a removed product are left out', () => {
    expect(findings.map((f) => [f.walkId, f.product, f.label])).toEqual([
      ['w1', 'Product a', '1'],
      ['w2', 'Product b', '1'],
      ['w3', 'Product a', '2'],
    ]);
  });

  test('finished walks fill the plan in order', () => {
    expect(planState(setup, findings).map((s) => s.walk?.walkId)).toEqual(['w1', 'w2', undefined, 'w3']);
    expect(planState(setup, []).map((s) => s.walk)).toEqual([undefined, undefined, undefined, undefined]);
  });

  test('the rows of the file carry criterion and direction; units are counted by what was carried', () => {
    const rows = intervalRows(findings, 'first dropout');
    expect(rows.map((r) => [r.product, r.walk, r.criterion, r.direction])).toEqual([
      ['Product a', '1', 'first dropout', 'mobile-to-fixed'],
      ['Product b', '1', 'first dropout', 'mobile-to-fixed'],
      ['Product a', '2', 'first dropout', 'mobile-to-fixed'],
    ]);
    // At 1.4 m/s, pressed 0.6 s late.
    expect(rows[0]?.heldM).toBeCloseTo(1.4 * 49.4, 3);
    expect(rows[0]?.failedM).toBe(rows[0]?.heldM);
    expect(rows[0]?.failedUM).toBeGreaterThan(0);
    expect(unitsWalked(setup.products[0] as Setup['products'][number], findings)).toBe(1);
  });

  test('claims stand on the tapes of their own condition; a link needs the level that its receiver wants', () => {
    const [a] = setup.products as [Setup['products'][number]];
    expect(claimFlags(setup, path)).toHaveLength(2);
    expect(claimFlags(setup, { ...path, condition: 'obstructed' })).toEqual([]);
    expect(pathLinkOf(a, a.rigs[0] as Setup['products'][number]['rigs'][number])).toBeUndefined();
    expect(
      pathLinkOf(
        { ...a, sensitivityDbm: -90 },
        {
          ...newRig('r', 'u'),
          heightFixedM: 1.5,
          heightMobileM: 1.5,
          feederLossDb: 2,
          bodyLossDb: 8,
          antennaGainDbi: 3,
        },
      ),
    ).toMatchObject({ eirpDbm: 0, receiveGainDbi: 3, requiredDbm: -90 });
  });
});

test('claims of every form are judged, or it is said why not', () => {
  const [first, second] = setup.products as [Setup['products'][number], Setup['products'][number]];
  const claims = (
    [
      ['ratio', '2×', second.id],
      ['ratio', '2×', undefined],
      ['throughput', '300 Mbit/s', undefined],
      ['latency', '50 ms', undefined],
    ] as const
  ).map(([form, entered, against], i) => ({
    id: `c${i}`,
    form,
    entered,
    upTo: false,
    condition: 'open' as const,
    source: '',
    ...(against === undefined ? {} : { against }),
  }));
  const asked: Setup = { ...setup, products: [{ ...first, claims: [...claims] }, second] };
  const reasons = judgeClaims(asked, rangesByPath(asked, [], 'by kind'))
    .filter((v) => v.product.id === first.id)
    .map((v) => v.verdict);
  expect(reasons.map((r) => r.outcome)).toEqual(['not tested', 'not tested', 'not tested', 'not tested']);
  expect(reasons.map((r) => r.reason).join(' ')).toMatch(
    new RegExp(
      'has no walk with an outcome.*choose one in Kit.*No throughput of this product was read.*' +
        'No latency of this product was measured',
    ),
  );
});
