import { describe, expect, test } from '@jest/globals';
import { EMPTY_SETUP, readInterchange, writeInterchange, type Setup } from '@urvek/contract';
import { outcomeOf, type Criterion } from '@urvek/core';
import fc from 'fast-check';
import { findWalks } from '../results/findings.ts';
import { COLUMNS, type Column, type NotebookRow } from './columns.ts';
import { rowsOfWalks } from './rowsOfWalks.ts';
import { takeNotebook, type TakenNotebook } from './takeNotebook.ts';

const ID = '00000000-0000-4000-8000-000000000001';
let ids = 0;
const newId = (): string => `${String(++ids).padStart(8, '0')}-0000-4000-8000-000000000000`;
type Cells = NotebookRow['cells'];
const take = (rows: readonly Cells[], setup: Setup = EMPTY_SETUP): TakenNotebook =>
  takeNotebook(
    setup,
    ID,
    { rows: rows.map((cells, i) => ({ line: i + 1, cells })), unknown: [], units: new Map() },
    { newId, nowMs: 1e12, unit: 'm', kindId: 'two-way-radio' },
  );
const read = ({ setup, walks }: TakenNotebook) =>
  readInterchange(
    JSON.parse(
      JSON.stringify(
        writeInterchange({ id: ID, title: 'Notes', question: '', simulated: false }, setup, walks),
      ),
    ),
  );
const intervals = ({ setup, walks }: TakenNotebook, criterion: Criterion) =>
  findWalks(setup, walks).map((f) => {
    const { interval } = outcomeOf(f, criterion);
    return interval && [interval.heldM, interval.failedM];
  });
const asked = ({ problems }: TakenNotebook): string[] => problems.map((p) => `${p.line} ${p.column}`);

/** What people write under each column, and what nobody should. */
const TEXT: Readonly<Partial<Record<Column, readonly string[]>>> = {
  date: ['2026-05-12', 'yesterday'],
  time: ['14:05', '14:06:30', '23:59', '25:00'],
  product: ['A', 'B', 'x'.repeat(300)],
  rig: ['short aerial', 'long', 'x'.repeat(300)],
  unit: ['1', '2', 'x'.repeat(300)],
  path: ['Lane', 'x'.repeat(300)],
  direction: ['to-mobile', 'to-fixed', 'both', 'up'],
  at: [
    '0',
    '0 m',
    '150',
    'about 40 yd',
    '30-40',
    'over 300',
    'under 2',
    '?',
    'the hedge',
    '1e9',
    '2000000',
    '-4',
  ],
  method: ['wheel', 'by eye', 'guess'],
  point: ['post 1', 'x'.repeat(300)],
  grade: ['1', '3', '5', '6'],
  words: ['loud and clear', 'no answer', 'dropped out a couple of times', 'x'.repeat(5000)],
  tries: ['0', '1', '3', '99', '100', '5000'],
  hits: ['0', '1', '3', '1000'],
  rung: ['voice', 'tone failed', 'smoke'],
  down_mbps: ['40', '-5', 'no connection', '1e9'],
  level_dbm: ['-70', '-230', '400'],
  band: ['5 GHz', 'x'.repeat(300)],
  event: [
    'begin',
    'first reached',
    'fixed end moved',
    'dropout',
    'back',
    'turn',
    'reset',
    'tried',
    'end: time',
    'end',
    'failed',
    'mark',
    'x',
  ],
  remark: ['windy', 'x'.repeat(5000)],
};
const row = fc
  .record(Object.fromEntries(COLUMNS.map((c) => [c, fc.constantFrom(...(TEXT[c] ?? ['1', 'some words']))])), {
    requiredKeys: [],
  })
  .map((cells) => cells as Cells);
/** Few cells of a row are filled: otherwise every row would have something wrong. */
const sparse = fc
  .tuple(row, fc.uniqueArray(fc.constantFrom(...COLUMNS), { minLength: 1, maxLength: 5 }))
  .map(
    ([cells, kept]) =>
      Object.fromEntries(Object.entries(cells).filter(([c]) => kept.includes(c as Column))) as Cells,
  );

describe('walks out of a notebook', () => {
  test('whatever stands in the cells, what is taken is a comparison that can be read, and what is not is named', () => {
    fc.assert(
      fc.property(fc.array(sparse, { minLength: 1, maxLength: 12 }), (rows) => {
        const taken = take(rows);
        const lines = new Set(taken.problems.map((p) => p.line));
        expect(taken.rows + lines.size).toBe(rows.filter((r) => Object.keys(r).length > 0).length);
        const again = read(taken);
        expect(again.walks).toHaveLength(taken.walks.length);
        findWalks(again.setup, again.walks);
        const used = new Set(taken.walks.map((w) => w.header.rigId));
        for (const p of taken.setup.products)
          for (const r of p.rigs) expect([r.name, used.has(r.id)]).toEqual([r.name, true]);
      }),
      { numRuns: 400 },
    );
  });

  test('begun out of reach and first reached: a bracket between the two places', () => {
    const taken = take([
      { product: 'A', at: '500', event: 'begin' },
      { at: '320', event: 'first reached' },
      { at: '200', words: 'loud and clear' },
      { event: 'end' },
    ]);
    expect(asked(taken)).toEqual([]);
    expect(intervals(taken, 'first reached')).toEqual([[320, 500]]);
  });

  test('what says nothing is asked about, never dropped', () => {
    expect(asked(take([{ product: 'A', at: '40', tries: '5' }]))).toEqual(['1 hits']);
    expect(
      asked(take([{ product: 'A', event: 'begin', at: '0' }, { event: 'dropout' }, { event: 'back' }])),
    ).toEqual(['3 grade']);
    expect(asked(take([{ product: 'A', at: '40', level_dbm: '-230' }]))).toEqual([]);
    expect(asked(take([{ product: 'A', at: '40', level_dbm: '-260' }]))).toEqual(['1 level_dbm']);
  });

  test('two rigs and two units of one product are told apart, and known again', () => {
    const rows = [
      { product: 'A', rig: 'short', unit: '1', at: '40', grade: '5' },
      { rig: 'long', unit: '1', at: '60', grade: '5' },
      { rig: 'long', unit: '2', at: '60', grade: '1' },
    ];
    const first = take(rows);
    const [product] = first.setup.products;
    expect(first.setup.products).toHaveLength(1);
    expect(product?.rigs.map((r) => r.name)).toEqual(['short', 'long', 'long, unit 2']);
    expect(new Set(first.walks.map((w) => w.header.rigId)).size).toBe(3);
    const second = take(rows, first.setup);
    expect([second.made, second.setup]).toEqual([[], first.setup]);
    expect(EMPTY_SETUP.products).toEqual([]);
  });

  test('what simulated gear played is told so, and never becomes a walk that somebody made', () => {
    const real = take([{ product: 'A', at: '40', grade: '5' }]);
    const walks = real.walks.map((w) => ({
      ...w,
      log: w.log.map((e) => (e.kind === 'begin' ? { ...e, body: { ...e.body, simulatedSeed: 's' } } : e)),
    }));
    const rows = rowsOfWalks(real.setup, walks).map((r) => r.cells);
    expect(rows.every((c) => c.provenance === 'simulated')).toBe(true);
    const again = take(rows, real.setup);
    expect([again.walks, again.problems.every((p) => p.column === 'provenance')]).toEqual([[], true]);
  });

  test('times and days stay what they were, out of the log and in again', () => {
    const rows = [
      { product: 'A', date: '2026-05-12', time: '14:05:00', at: '10 m', method: 'wheel', grade: '5' },
      { time: '14:06:30', at: '80 m', method: 'wheel', grade: '1' },
    ];
    let taken = take(rows);
    for (let i = 0; i < 3; i++) {
      const out = rowsOfWalks(taken.setup, taken.walks).map((r) => r.cells);
      expect(out.filter((c) => c.at !== undefined).map((c) => [c.date, c.time, c.at, c.remark])).toEqual([
        ['2026-05-12', '14:05:00', '10 m', undefined],
        ['2026-05-12', '14:06:30', '80 m', undefined],
      ]);
      taken = take(out, taken.setup);
      expect(asked(taken)).toEqual([]);
    }
    // Times that do not rise only order: they are kept in words.
    const odd = take([
      { product: 'A', time: '14:05', at: '10', grade: '5' },
      { time: '14:05', at: '80', grade: '1' },
    ]);
    expect(odd.walks[0]?.log.flatMap((e) => (e.kind === 'note' ? [e.body.text] : []))).toEqual([
      'time: 14:05',
      'time: 14:05',
    ]);
  });
});

test('a hand-over that was written down parts the readings, and a jitter is no variation of the round trip', () => {
  const cells = { product: 'Box', path: 'Lane', walk: '1', method: 'wheel' };
  const taken = take([
    { ...cells, at: '10 m', down_mbps: '90', jitter_ms: '2', rtt_variation_ms: '5' },
    { ...cells, at: '30 m', event: 'hand-over: Attic' },
    { ...cells, at: '40 m', down_mbps: '20' },
  ]);
  expect(asked(taken)).toEqual([]);
  const [finding] = findWalks(taken.setup, taken.walks);
  expect(finding?.trace.measured.map((m) => [m.quantity, m.value])).toEqual([
    ['throughput', 90],
    ['round-trip variation', 5],
    ['jitter', 2],
    ['throughput', 20],
  ]);
  expect(finding?.trace.handOvers).toMatchObject([{ to: 'Attic', position: { travelledM: 30 } }]);
  expect(rowsOfWalks(taken.setup, taken.walks).map((r) => r.cells.event)).toContain('hand-over: Attic');
});

test('who graded goes with the walk, and back; two people in one walk are asked about', () => {
  const cells = { product: 'Box', path: 'Lane', method: 'wheel' };
  const taken = take([
    { ...cells, walk: '1', at: '10 m', grade: '5', graded_by: 'Rowan Ash' },
    { at: '40 m', grade: '2', graded_by: 'rowan ash' },
    { walk: '2', at: '10 m', grade: '4', graded_by: 'Ines Vale' },
    { at: '40 m', grade: '3', graded_by: 'Rowan Ash' },
    { walk: '3', at: '10 m', grade: '4', graded_by: 'x'.repeat(61) },
  ]);
  expect(taken.problems.map(({ line, column, asked: is }) => [line, column, is])).toEqual([
    [4, 'graded_by', true],
    [5, 'graded_by', false],
  ]);
  expect(taken.walks.map(({ log }) => log[0]?.kind === 'begin' && log[0].body.conditions?.gradedBy)).toEqual([
    'Rowan Ash',
    'Ines Vale',
  ]);
  const back = rowsOfWalks(taken.setup, taken.walks).map((r) => r.cells.graded_by);
  expect(new Set(back)).toEqual(new Set(['Rowan Ash', 'Ines Vale']));
  // Nobody is named where nobody was.
  const plain = take([{ ...cells, walk: '1', at: '10 m', grade: '5' }]);
  expect(plain.walks[0]?.log[0]?.body).not.toHaveProperty('conditions');
  // Nor is somebody who graded the walk before.
  const next = take([
    { ...cells, walk: '1', at: '10 m', grade: '5', graded_by: 'Rowan Ash' },
    { walk: '2', at: '10 m', grade: '5' },
  ]);
  expect(next.walks[1]?.log[0]?.body).not.toHaveProperty('conditions');
});
