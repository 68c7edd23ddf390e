import { describe, expect, test } from '@jest/globals';
import { EMPTY_SETUP, newRig, type Setup, type StoredWalk } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { logOf } from '@urvek/core/test';
import { findWalks } from '../results/findings.ts';
import { rangesByPath, viewOf } from '../results/ranges.ts';
import { ratioFigures, reachBoard, type ReachCell } from './reachBoard.ts';

type Entry = Parameters<typeof logOf>[0][number];

const product = (id: string, kindId = 'microphone'): Setup['products'][number] => ({
  id,
  name: id.toUpperCase(),
  kindId,
  claims: [],
  units: [{ id: 'u', label: 'A', history: '' }],
  rigs: [newRig(`${id}r`, 'u')],
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
  legs: [{ lengthM: 200, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
});
const setup: Setup = {
  ...EMPTY_SETUP,
  products: [product('a'), product('b'), product('c'), product('far', 'speaker')],
  paths: [path('x'), path('y')],
  plan: { ...EMPTY_SETUP.plan, walksEach: 3, pathIds: ['x'], criterion: 'first dropout' },
};

/** A walk at a metre a second to 200 m: looked at each 10 m, lost from `lostM` on where it is given. */
let walks = 0;
const walk = (productId: string, lostM: number | undefined, everyM = 10): StoredWalk => {
  const id = String(++walks);
  const mark = (m: number): Entry => [
    m,
    'mark',
    { reading: { travelledM: m, method: 'marked line', pressed: false } },
  ];
  const posts = Array.from({ length: Math.floor(200 / everyM) }, (_, i) => (i + 1) * everyM);
  const entries: Entry[] = [
    [
      0,
      'begin',
      {
        baselineGrade: 5,
        direction: 'mobile-to-fixed',
        reading: { travelledM: 0, method: 'marked line', pressed: false },
        playoutDelayS: 0,
      },
    ],
    ...posts.map(mark),
    ...(lostM === undefined ? [] : [[lostM, 'dropoutBegin', {}] as Entry]),
    [
      201,
      'end',
      { reason: 'path ended', reading: { travelledM: 200, method: 'marked line', pressed: false } },
    ],
  ];
  return {
    header: { id, comparisonId: 'c', productId, rigId: `${productId}r`, pathId: 'x', startedMs: walks * 1e5 },
    log: logOf(
      entries.sort((p, q) => p[0] - q[0]),
      { walkId: id },
    ) as WalkEvent[],
  };
};
const boardOf = (made: StoredWalk[], referenceId?: string) =>
  reachBoard({
    setup,
    ranges: rangesByPath(setup, findWalks(setup, made), 'first dropout').map(viewOf),
    criterion: 'first dropout',
    referenceId,
  });
const cell = (board: ReturnType<typeof boardOf>, id: string): ReachCell => {
  const found = board.rows.flatMap((r) => r.cells).find((c) => c.id === id);
  if (!found) throw new Error(`no cell ${id}`);
  return found;
};

describe('the reach board', () => {
  test('every product has a row and every path a column, walked or not; what is not to be walked says so', () => {
    const board = boardOf([]);
    expect(board.rows.map((r) => r.subject)).toEqual(['A', 'B', 'C', 'FAR']);
    expect(board.rows.every((r) => r.cells.length === 2)).toBe(true);
    expect(cell(board, 'x~a')).toMatchObject({ state: 'planned', planned: 3, walks: 0 });
    expect(cell(board, 'y~a')).toMatchObject({ state: 'not planned', planned: 0 });
  });

  test('an estimate, a bound of what held, and brackets too alike for a median', () => {
    const board = boardOf([
      ...[83, 101, 127, 94].map((m) => walk('a', m)),
      ...[1, 2, 3].map(() => walk('b', undefined)),
      ...[122, 123, 124].map((m) => walk('c', m)),
    ]);
    const [a, b, c] = ['x~a', 'x~b', 'x~c'].map((id) => cell(board, id)) as [ReachCell, ReachCell, ReachCell];
    expect(a.state).toBe('estimate');
    expect(a.cell?.median?.estimateM).toBeGreaterThan(83);
    expect(a.cell?.median?.estimateM).toBeLessThan(127);
    expect(b).toMatchObject({ state: 'bound', walks: 3 });
    expect(b.cell?.bounds?.allHeldToM).toBeCloseTo(200, 0);
    expect(['brackets', 'estimate']).toContain(c.state);
    expect(c.brackets).toHaveLength(3);
  });

  test('a ratio turns with its reference, which has none', () => {
    const made = [
      ...[50, 61, 56, 53].map((m) => walk('a', m)),
      ...[131, 118, 124, 140].map((m) => walk('b', m)),
    ];
    const [first, other] = [boardOf(made), boardOf(made, 'b')];
    expect(cell(first, 'x~a').ratio).toBeUndefined();
    expect(cell(other, 'x~b').ratio).toBeUndefined();
    const [up, down] = [cell(first, 'x~b').ratio, cell(other, 'x~a').ratio];
    if (!up || !down) throw new Error('no ratio');
    const [b, a] = [ratioFigures(up), ratioFigures(down)];
    expect(b.ratio).toBeGreaterThan(2);
    expect(a.ratio * b.ratio).toBeCloseTo(1, 12);
    expect((a.low as number) * (b.high as number)).toBeCloseTo(1, 12);
    expect([a.apart, b.apart]).toEqual([true, true]);
  });

  test(
    'two rigs of one product: each has its own walks to make, and one that is told apart a row ' +
      'before it is walked',
    () => {
      const [first] = setup.products as [Setup['products'][number]];
      const rig = first.rigs[0] as (typeof first.rigs)[number];
      const two = (channel: string): Setup => ({
        ...setup,
        products: [
          {
            ...first,
            rigs: [
              { ...rig, channel: '1' },
              { ...rig, id: 'ar2', name: 'Hand', channel },
            ],
          },
        ],
        plan: { ...setup.plan, rigIds: ['ar', 'ar2'] },
      });
      const rows = (of: Setup) =>
        reachBoard({
          setup: of,
          ranges: rangesByPath(of, findWalks(of, [walk('a', 83), walk('a', 94)]), 'first dropout').map(
            viewOf,
          ),
          criterion: 'first dropout',
        }).rows.map((r) => [r.subject, r.cells[0]?.state, r.cells[0]?.planned]);
      expect(rows(two('1'))).toEqual([['A', expect.not.stringMatching('planned'), 6]]);
      expect(rows(two('6'))).toEqual([
        ['A', expect.not.stringMatching('planned'), 3],
        ['A, Hand', 'planned', 3],
      ]);
    },
  );

  test('walks that say nothing in metres are refused, with why', () => {
    const blank = walk('a', undefined);
    const board = boardOf([
      {
        ...blank,
        log: blank.log
          .filter((e) => e.kind === 'begin' || e.kind === 'end')
          .map((e) =>
            e.kind === 'begin' || e.kind === 'end' ? { ...e, body: { ...e.body, reading: undefined } } : e,
          ) as WalkEvent[],
      },
    ]);
    const a = cell(board, 'x~a');
    expect(a.state).toBe('refused');
    expect(a.why).toBeTruthy();
  });
});
