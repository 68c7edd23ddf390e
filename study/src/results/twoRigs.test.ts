import { expect, test } from '@jest/globals';
import { EMPTY_SETUP, newRig, type Setup, type StoredWalk } from '@urvek/contract';
import { clopperPearson, PLAIN_HABITS, seeded, walkAsPeopleDo } from '@urvek/core';
import { findWalks } from './findings.ts';
import { rangesByPath } from './ranges.ts';

// One product in two rigs that differ, walked in turn by people: each rig's interval holds its own truth, and the
// two are never pooled.

const TRUTH_M = { open: 130, body: 100 } as const;
const SPREAD = 0.2;
const SETS = 60;

const setup: Setup = {
  ...EMPTY_SETUP,
  products: [
    {
      ...{ id: 'p', name: 'Clip', kindId: 'remote', claims: [] },
      units: [{ id: 'u', label: 'A', history: '' }],
      rigs: [
        { ...newRig('open', 'u'), name: 'in the open', bodyPosition: 'open' },
        { ...newRig('body', 'u'), name: 'behind the body', bodyPosition: 'behind the body' },
      ],
      simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
    },
  ],
  paths: [
    {
      ...{ id: 'l', name: 'Lane', condition: 'open', model: 'free-space', distanceMethod: 'wheel' },
      ...{ hazards: '', permission: '', obstructions: [], checkpoints: [] },
      legs: [{ lengthM: 900, bearingDeg: 0, riseM: 0, exposure: 'open' }],
    },
  ] as unknown as Setup['paths'],
};

function walksOf(set: number): StoredWalk[] {
  const random = seeded('two rigs', set);
  return Array.from({ length: 5 }).flatMap((_, i) =>
    (['open', 'body'] as const).map((rigId, r): StoredWalk => {
      const id = `00000000-0000-4000-8000-0000000000${2 * i + r}${r}`;
      const failsM = TRUTH_M[rigId] * Math.exp(SPREAD * random.normal());
      return {
        header: {
          ...{ id, comparisonId: id, productId: 'p', rigId, pathId: 'l' },
          startedMs: 1e12 + (2 * i + r) * 86_400_000,
        },
        log: walkAsPeopleDo(failsM, PLAIN_HABITS, 1, random).map((e) => ({ ...e, walkId: id })),
      };
    }),
  );
}

test('each rig’s median holds its own truth as often as it says', () => {
  let [given, covering] = [0, 0];
  for (let set = 0; set < SETS; set++) {
    const [range] = rangesByPath(setup, findWalks(setup, walksOf(set)), 'last usable');
    expect(range?.subjects.map((s) => s.name)).toEqual(['Clip, in the open', 'Clip, behind the body']);
    for (const cell of range?.summary.fitted ?? []) {
      const truth = cell.product === 'Clip, in the open' ? TRUTH_M.open : TRUTH_M.body;
      const ends = cell.withScale95M.median;
      if (!ends) continue;
      given++;
      if ((ends.low ?? 0) <= truth && truth <= (ends.high ?? Infinity)) covering++;
    }
  }
  expect(given).toBeGreaterThan(1.9 * SETS);
  expect(clopperPearson(covering, given, 0.998).high).toBeGreaterThanOrEqual(0.95);
}, 60_000);
