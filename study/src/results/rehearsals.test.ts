import { expect, test } from '@jest/globals';
import { EMPTY_SETUP, type Setup, type WalkHeader } from '@urvek/contract';
import { logOf } from '@urvek/core/test';
import { setupFromTemplate, TEMPLATES, type Template } from '../plan/templates.ts';
import { planState } from '../plan/plannedWalks.ts';
import { Study } from '../study.ts';
import { deriveEntry, type DerivedEntry } from './findings.ts';

// Simulated walks beside real ones, and walks that another device made.

let ids = 0;
const setup: Setup = {
  ...EMPTY_SETUP,
  ...setupFromTemplate(
    {
      template: TEMPLATES.find((t) => t.kindId === 'microphone') as Template,
      ...{ names: ['A', 'B'], lengthM: 100, walksEach: 1 },
    },
    () => `i${++ids}`,
  ),
};
const header = (n: number, product = 0): WalkHeader => ({
  id: `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
  comparisonId: '00000000-0000-4000-8000-0000000000ff',
  productId: setup.products[product]?.id ?? '',
  rigId: setup.products[product]?.rigs[0]?.id ?? '',
  pathId: setup.paths[0]?.id ?? '',
  startedMs: n * 1000,
});
const walk = (n: number, simulated: boolean, ended = true, leftOut = false): DerivedEntry =>
  deriveEntry(setup, {
    header: header(n),
    log: logOf([
      [0, 'begin', { direction: 'mobile-to-fixed', ...(simulated ? { simulatedSeed: 's' } : {}) }],
      [9, 'mark', { reading: { travelledM: 50, method: 'wheel', pressed: false } }],
      ...(ended ? ([[10, 'end', { reason: 'time' }]] as const) : []),
      ...(leftOut ? ([[10, 'leftOut', { reason: 'the receiver was off' }]] as const) : []),
    ]),
  });
const counting = (...entries: DerivedEntry[]): string[] =>
  new Study(setup, entries).findings.map((f) => String(Number(f.walkId.slice(-12))));

test('once a real walk is finished, simulated ones are rehearsals: in no result, and named', () => {
  expect(counting(walk(1, true), walk(2, true))).toEqual(['1', '2']);
  // One under way, and one that was left out, change nothing.
  expect(counting(walk(1, true), walk(2, false, false))).toEqual(['1', '2']);
  expect(counting(walk(1, true), walk(2, false, true, true))).toEqual(['1']);
  expect(counting(walk(1, true), walk(2, false))).toEqual(['2']);
  const study = new Study(setup, [walk(1, true), walk(2, false)]);
  expect(study.all.map((f) => f.leftOut)).toEqual(['simulated gear, beside real walks', undefined]);
  expect(planState(setup, study.rows).flatMap((s) => s.walk?.walkId ?? [])).toEqual([header(2).id]);
});

test('what another device made fills its place of the plan, and is nothing else', () => {
  const study = new Study(setup, [
    walk(1, false),
    { header: header(2, 1), derived: undefined, withheld: true },
  ]);
  expect(study.findings).toHaveLength(1);
  expect(study.rows.map((r) => [r.product, r.withheld ?? false])).toEqual([
    ['A', false],
    ['B', true],
  ]);
  expect(planState(setup, study.rows).every((s) => s.walk)).toBe(true);
  expect(new Study(setup, [{ header: header(2), derived: undefined }]).rows).toEqual([]);
});
