import { describe, expect, test } from '@jest/globals';
import type { WalkEvent } from '@urvek/core';
import { newRig, EMPTY_SETUP, setupSchema, type Setup, type StoredWalk } from '@urvek/contract';
import { findWalks } from '../results/findings.ts';
import { rangesByPath } from '../results/ranges.ts';
import { plannedWalks, planState, slotOf } from './plannedWalks.ts';
import { logOf } from '@urvek/core/test';
import { nextPoints, planDaylight, planTroubles, timedPlan } from './planning.ts';
import { isSealed, seal } from './seal.ts';

const product = (id: string): Setup['products'][number] => ({
  id,
  name: `Name ${id}`,
  kindId: 'microphone',
  bandMHz: 2400,
  powerMw: 10,
  claims: [],
  units: [
    { id: `${id}1`, label: 'A', history: '' },
    { id: `${id}2`, label: 'B', history: '' },
  ],
  rigs: [
    { ...newRig(`${id}r`, `${id}1`), unitMobileId: `${id}2`, batteryWh: 1, loadW: 1 },
    { ...newRig(`${id}s`, `${id}1`), name: 'Hand' },
  ],
  simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
});
const path = (id: string): Setup['paths'][number] => ({
  id,
  name: `Path ${id}`,
  condition: 'open',
  model: 'free-space',
  distanceMethod: 'marked line',
  hazards: '',
  permission: '',
  legs: [{ lengthM: 210, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
  fixedEnd: { latitudeDeg: 52.97, longitudeDeg: -4 },
});
const setup: Setup = {
  products: [product('p'), product('q')],
  paths: [path('a'), path('b')],
  plan: { ...EMPTY_SETUP.plan, walksEach: 2, day: '2026-05-12', startTime: '10:00' },
};
const walkHour = (): number => 22 * 60;

const walk = (
  id: string,
  productId: string,
  grade: number,
  atS: number,
  slot?: StoredWalk['header']['slot'],
): StoredWalk => {
  const event = (seq: number, kind: string, walkS: number, body: object): WalkEvent =>
    ({
      walkId: id,
      deviceId: 'd',
      seq,
      version: 1,
      kind,
      body,
      time: { walkS, rate: 1, inputMs: 0, originMs: 0, wallMs: seq },
    }) as unknown as WalkEvent;
  const mark = (seq: number, walkS: number, m: number): WalkEvent =>
    event(seq, 'mark', walkS, { reading: { travelledM: m, method: 'marked line', pressed: false } });
  return {
    header: {
      id,
      comparisonId: 'c',
      productId,
      rigId: `${productId}r`,
      pathId: 'a',
      startedMs: Number(id),
      slot,
    },
    log: [
      event(1, 'begin', 0, {
        baselineGrade: 5,
        direction: 'mobile-to-fixed',
        reading: { travelledM: 0, method: 'marked line', pressed: false },
        playoutDelayS: 0,
      }),
      mark(2, 100, 140),
      event(3, 'grade', atS, { grade }),
      mark(4, 150, 210),
      event(5, 'end', 150, { reason: 'path ended' }),
    ],
  };
};

describe('what a plan takes', () => {
  test('chosen rigs and paths, a walk each with swapped ends, the first again; all in the schema', () => {
    const chosen: Setup = {
      ...setup,
      plan: { ...setup.plan, rigIds: ['pr', 'qs'], pathIds: ['b'], swapEnds: true, repeatBaseline: true },
    };
    const slots = plannedWalks(chosen);
    expect(slots.map((s) => `${s.item.rig.id} ${s.item.path.id} ${s.item.variant}`)).toEqual([
      'pr b plain',
      'qs b plain',
      'qs b plain',
      'pr b plain',
      'pr b ends swapped',
      'qs b ends swapped',
      'pr b baseline',
    ]);
    expect(slots[4]?.item.rig).toMatchObject({ unitFixedId: 'p2', unitMobileId: 'p1' });
    expect(setupSchema.validateSync(chosen, { strict: true })).toEqual(chosen);
  });

  test('a walk fills the place that it was made for; one with swapped ends is kept out of the estimate', () => {
    const swapping: Setup = { ...setup, plan: { ...setup.plan, pathIds: ['a'], swapEnds: true } };
    const slots = plannedWalks(swapping);
    const swap = slots.find((s) => s.item.variant === 'ends swapped' && s.item.product.id === 'p');
    const walks = [
      walk('1', 'p', 1, 60, slotOf(swapping, swap as NonNullable<typeof swap>)),
      walk('2', 'p', 1, 70),
    ];
    const findings = findWalks(swapping, walks);
    const filled = planState(swapping, findings).filter((s) => s.walk);
    expect(filled.map((s) => `${s.item.variant} ${s.walk?.walkId}`)).toEqual(['plain 2', 'ends swapped 1']);
    expect(rangesByPath(swapping, findings, 'first dropout')[0]?.summary.n).toBe(1);
  });

  test('names are sealed until the walks are in, and letters give nothing away', () => {
    const blind: Setup = { ...setup, plan: { ...setup.plan, pathIds: ['a'], walksEach: 1, blind: true } };
    expect(isSealed(blind, [])).toBe(true);
    const sealed = seal(blind, 'key');
    expect(JSON.stringify(sealed)).not.toContain('Name p');
    expect(sealed.products.map((p) => p.name).sort()).toEqual(['Product A', 'Product B']);
    const done = findWalks(blind, [walk('1', 'p', 1, 60), walk('2', 'q', 1, 60)]);
    expect(isSealed(blind, done)).toBe(false);
    expect(isSealed({ ...blind, plan: { ...blind.plan, blind: false } }, [])).toBe(false);
  });
});

describe('what cannot be done as planned', () => {
  test('batteries, time at hand and daylight', () => {
    expect(planTroubles(setup, walkHour).join(' ')).toContain('the battery lasts 1.0 h');
    expect(planTroubles({ ...setup, plan: { ...setup.plan, hoursAtHand: 1 } }, walkHour).join(' ')).toContain(
      'more than are available',
    );
    expect(planTroubles(setup, () => 11 * 60).join(' ')).toContain('after sunset at the site');
    expect(planTroubles(setup, walkHour).join(' ')).toContain('begins before sunrise');
    expect(planDaylight(setup)?.path.id).toBe('a');
    expect(planTroubles({ ...setup, products: [] }, walkHour)).toEqual([]);
  });

  test('side by side, two rigs that share a unit clash; alone they do not', () => {
    const plan = { ...setup.plan, rigIds: ['pr', 'ps'], pathIds: ['a'] };
    const clash = (sideBySide: boolean): string[] =>
      planTroubles({ ...setup, plan: { ...plan, sideBySide } }, walkHour).filter((t) =>
        t.includes('two walks at once'),
      );
    expect(clash(true).length).toBeGreaterThan(0);
    expect(clash(false)).toEqual([]);
    const times = timedPlan({ ...setup, plan: { ...plan, sideBySide: true } });
    expect(times[0]?.fromMin).toBe(times[1]?.fromMin);
  });
});

test('after a failure the next point is the geometric mean, until the bracket is narrow enough', () => {
  const findings = findWalks(setup, [walk('1', 'p', 1, 110)]);
  const wide: Setup = { ...setup, plan: { ...setup.plan, ratio: 1.0001 } };
  const [point] = nextPoints(wide, findings, 'first dropout');
  // Noticed on the move: the place itself is known, and there is nothing to look at between.
  expect(point?.heldM).toBe(point?.failedM);
  expect(point?.nextM).toBeUndefined();
  expect(
    nextPoints({ ...setup, plan: { ...setup.plan, ratio: 4 } }, findings, 'first dropout')[0]?.nextM,
  ).toBeUndefined();
  expect(nextPoints(setup, findWalks(setup, [walk('1', 'p', 4, 110)]), 'first dropout')[0]).toMatchObject({
    failedM: undefined,
    nextM: undefined,
  });
});

test('a claim of a smaller ratio wants the bracket narrower than the plan: Plan and Verdict have one threshold', () => {
  const planned: Setup = { ...setup, plan: { ...setup.plan, ratio: 2 } };
  const { header } = walk('1', 'p', 1, 110);
  const mark = (m: number): object => ({ reading: { travelledM: m, method: 'wheel', pressed: true } });
  const call = (grade: number): object => ({
    ...{ checkpoint: 'here', direction: 'mobile-to-fixed', grade, tries: 3 },
  });
  const log = logOf(
    [
      [0, 'begin', { direction: 'mobile-to-fixed', mode: 'stop and call' }],
      [10, 'mark', mark(100)],
      [20, 'call', call(5)],
      [30, 'mark', mark(130)],
      [40, 'call', call(1)],
      [50, 'end', { reason: 'link failed' }],
    ],
    { walkId: header.id },
  );
  const findings = findWalks(planned, [{ header, log }]);
  const claimed: Setup = {
    ...planned,
    products: planned.products.map((p) => ({
      ...p,
      claims: [
        {
          ...{ id: 'c', form: 'ratio', entered: '+8 %', upTo: false, source: '' },
          ...{ condition: 'open', against: p.id },
        } as (typeof p.claims)[number],
      ],
    })),
  };
  expect(nextPoints(planned, findings, 'last usable')[0]?.nextM).toBeUndefined();
  expect(nextPoints(claimed, findings, 'last usable')[0]?.nextM).toBeCloseTo(Math.sqrt(100 * 130), 6);
});
