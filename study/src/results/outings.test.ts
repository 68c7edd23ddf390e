import { expect, test } from '@jest/globals';
import { EMPTY_SETUP, newRig, type Setup, type StoredWalk } from '@urvek/contract';
import { logOf, type TestEntry } from '@urvek/core/test';
import { findWalks } from './findings.ts';

const HOUR_MS = 3_600_000;
const setup: Setup = {
  ...EMPTY_SETUP,
  products: [
    {
      ...{ id: 'p', name: 'Clip', kindId: 'remote', claims: [] },
      units: [{ id: 'u', label: 'A', history: '' }],
      rigs: [newRig('r', 'u')],
      simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
    },
  ],
  paths: [
    {
      ...{ id: 'l', name: 'Lane', condition: 'open', model: 'free-space', distanceMethod: 'wheel' },
      ...{ hazards: '', permission: '', obstructions: [], checkpoints: [] },
      legs: [{ lengthM: 300, bearingDeg: 0, riseM: 0, exposure: 'open' }],
    },
  ] as unknown as Setup['paths'],
};

const walk = (k: number, hour: number, header: object = {}, said: TestEntry[] = []): StoredWalk => {
  const id = `00000000-0000-4000-8000-00000000000${k}`;
  return {
    header: {
      ...{ id, comparisonId: id, productId: 'p', rigId: 'r', pathId: 'l' },
      startedMs: Date.UTC(2026, 4, 12) + hour * HOUR_MS,
      ...header,
    },
    log: logOf([[0, 'begin', { direction: 'mobile-to-fixed' }], ...said, [60, 'end', { reason: 'time' }]], {
      walkId: id,
    }),
  };
};
const outingsOf = (walks: StoredWalk[]): (string | undefined)[] =>
  findWalks(setup, walks).map((f) => f.outing);

test('an evening that goes on past midnight is one outing, and a night parts two', () => {
  expect(outingsOf([walk(1, 21), walk(2, 23), walk(3, 25), walk(4, 34), walk(5, 41)])).toEqual([
    'day 1',
    'day 1',
    'day 1',
    'day 2',
    'day 2',
  ]);
});

test('what somebody says who was there counts, the latest; without a time nobody knows', () => {
  const said: TestEntry[] = [[61, 'outing', { name: 'second set-up' }]];
  expect(
    outingsOf([
      walk(1, 10),
      walk(2, 11, {}, said),
      walk(3, 12, { outing: 'from the notebook' }),
      walk(4, 13, { undated: true }),
      walk(5, 14, { startedMs: 1e300 }),
    ]),
  ).toEqual(['day 1', 'second set-up', 'from the notebook', undefined, undefined]);
});
