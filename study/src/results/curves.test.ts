import { criterionFor } from '@urvek/core';
import { describe, expect, test } from '@jest/globals';
import { newRig, EMPTY_SETUP, type Setup, type StoredWalk } from '@urvek/contract';
import { pathCurves } from './curves.ts';
import { findWalks } from './findings.ts';
import { walkRows } from './walkRows.ts';
import { hitsCurves } from './hits.ts';
import { holdCurves } from './hold.ts';
import { loggedLevels } from './levels.ts';
import { checkpointMatrix } from './matrix.ts';
import { acrossPaths, rangesByPath } from './ranges.ts';
import { throughputFindings } from './figures.ts';
import { logOf } from '@urvek/core/test';

const product = (id: string, kindId: string): Setup['products'][number] => ({
  id,
  name: id,
  kindId,
  bandMHz: 2400,
  powerMw: 10,
  claims: [],
  units: [{ id: `${id}u`, label: 'A', history: '' }],
  rigs: [newRig(`${id}r`, `${id}u`)],
  simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
});
const path = (id: string): Setup['paths'][number] => ({
  id,
  name: id,
  condition: 'open',
  model: 'free-space',
  distanceMethod: 'marked line',
  hazards: '',
  permission: '',
  legs: [{ lengthM: 120, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [
    { name: 'gate', atM: 50 },
    { name: 'bridge', atM: 100 },
  ],
});
const setup: Setup = {
  ...EMPTY_SETUP,
  products: [
    product('radio', 'two-way-radio'),
    product('radio2', 'two-way-radio'),
    product('lamp', 'remote'),
    product('box', 'router'),
    product('clip', 'microphone'),
  ],
  paths: [path('x'), path('y')],
};

type Entry = [number, string, object];
const walk = (
  n: number,
  productId: string,
  pathId: string,
  entries: Entry[],
  method = 'marked line',
): StoredWalk => {
  const id = `${n}`;
  const mark = (s: number, m: number): Entry => [
    s,
    'mark',
    { reading: { travelledM: m, method, pressed: false } },
  ];
  const all: Entry[] = [
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
    mark(48, 50),
    ...entries,
    mark(52, 50),
    mark(98, 100),
    mark(102, 100),
    [110, 'end', { reason: 'time', reading: { travelledM: 110, method, pressed: false } }],
  ];
  return {
    header: { id, comparisonId: 'c', productId, rigId: `${productId}r`, pathId, startedMs: n },
    log: logOf(
      all.sort((a, b) => a[0] - b[0]),
      { walkId: id },
    ),
  };
};
const call = (s: number, checkpoint: string, direction: string, grade: number): Entry => [
  s,
  'call',
  { checkpoint, direction, grade, tries: 1 },
];
const rangesOf = (walks: StoredWalk[], id: string) => {
  const range = rangesByPath(setup, findWalks(setup, walks), 'by kind').find((r) => r.id === id);
  if (!range) throw new Error(`no range ${id}`);
  return range;
};

test('each kind has its own criterion unless one is chosen for all', () => {
  expect(criterionFor('by kind', 'microphone')).toBe('first dropout');
  expect(criterionFor('by kind', 'router')).toBe('last usable');
  expect(criterionFor('lost', 'router')).toBe('lost');
});

describe('what Ranges draws', () => {
  test('a link that works one way only is named, with who is deaf', () => {
    const range = rangesOf(
      [
        walk(1, 'radio', 'x', [
          call(49, 'gate', 'mobile-to-fixed', 5),
          call(51, 'gate', 'fixed-to-mobile', 4),
          call(99, 'bridge', 'mobile-to-fixed', 1),
          call(101, 'bridge', 'fixed-to-mobile', 4),
        ]),
      ],
      'x-two-way-radio',
    );
    const matrix = checkpointMatrix(range);
    expect(matrix.cells).toHaveLength(4);
    expect(matrix.oneWay).toEqual([
      { checkpoint: 'bridge', product: 'radio', deaf: 'fixed end', gradesApart: 3, walkIds: ['1'] },
    ]);
  });

  test('hits become a curve over separation, walk by walk', () => {
    const hits = (s: number, k: number): Entry => [s, 'hits', { presses: 10, hits: k }];
    const [curve] = hitsCurves(
      rangesOf(
        [1, 2, 3].map((n) => walk(n, 'lamp', 'x', [hits(50, 10), hits(100, n)])),
        'x-remote',
      ),
    );
    expect(curve).toMatchObject({ product: 'lamp', walks: 3 });
    expect(curve?.rows.map((r) => [Math.round(r.distanceM), r.trials, r.successes])).toEqual([
      [50, 30, 30],
      [100, 30, 6],
    ]);
    expect(curve?.d50?.estimateM).toBeGreaterThan(50);
    expect(curve?.d50?.estimateM).toBeLessThan(100);
  });

  test('throughput by direction, split where the band changes; levels for the exponent', () => {
    const read = (s: number, value: number | undefined, network?: string): Entry => [
      s,
      'measured',
      {
        quantity: 'throughput',
        direction: 'fixed-to-mobile',
        ...(network === undefined ? {} : { network }),
        ...(value === undefined ? {} : { value }),
      },
    ];
    const walks = [
      walk(1, 'box', 'x', [
        read(1, 90, '5 GHz'),
        read(50, 60, '5 GHz'),
        read(100, 20, '2.4 GHz'),
        [50.5, 'measured', { quantity: 'level', value: -60, direction: 'fixed-to-mobile' }],
        [100.5, 'measured', { quantity: 'level', direction: 'fixed-to-mobile' }],
      ]),
    ];
    const [curve] = throughputFindings(rangesOf(walks, 'x-router')).curves;
    expect(curve).toMatchObject({ direction: 'fixed-to-mobile', cap: undefined });
    // Both parts are there, and where it changed.
    expect(curve?.parts.map((p) => [p.by, p.rows.length])).toEqual([
      ['5 GHz', 2],
      ['2.4 GHz', 1],
    ]);
    expect(curve?.handOvers).toMatchObject([{ from: '5 GHz', to: '2.4 GHz', noticedBy: 'readings' }]);
    // What the walker noticed stands beside it, or alone where no reading says what it came by.
    const seen: Entry = [75, 'landmark', { what: 'hand-over', name: 'attic' }];
    const [said] = throughputFindings(
      rangesOf([walk(1, 'box', 'x', [read(50, 60), seen, read(100, 20)])], 'x-router'),
    ).curves;
    expect(said?.parts.map((p) => p.by)).toEqual([undefined, 'attic']);
    expect(said?.handOvers).toMatchObject([
      { from: 'not noted', to: 'attic', noticedBy: 'walker', noticedAtM: expect.closeTo(74.3, 0) },
    ]);
    const [both] = throughputFindings(
      rangesOf([walk(1, 'box', 'x', [read(50, 60, '5 GHz'), seen, read(100, 20, '2.4 GHz')])], 'x-router'),
    ).curves;
    expect(both?.handOvers).toMatchObject([
      { from: '5 GHz', to: '2.4 GHz', noticedBy: 'readings and walker' },
    ]);
    expect(curve?.fall?.share).toBeCloseTo(1 - 20 / 90, 9);
    expect(loggedLevels(findWalks(setup, walks), 'x')).toEqual([
      { distanceM: expect.closeTo(50, 0), levelDbm: -60 },
      { distanceM: expect.closeTo(100, 0), lost: true },
    ]);
  });

  test(
    'the hold curve has the model and the walks alone; kinds and paths are kept apart, and joined ' +
      'across paths',
    () => {
      const drop = (s: number): Entry[] => [[s, 'dropoutBegin', {}]];
      const walks = [70, 80, 90, 75, 85].flatMap((s, i) => [
        walk(i, 'clip', 'x', drop(s)),
        walk(i + 10, 'clip', 'y', drop(s - 20)),
      ]);
      const findings = findWalks(setup, walks);
      const ranges = rangesByPath(setup, findings, 'by kind');
      expect(ranges.filter((r) => r.summary.n > 0).map((r) => r.id)).toEqual([
        'x-microphone',
        'y-microphone',
      ]);
      const [range] = ranges;
      const [curve] = holdCurves(range as NonNullable<typeof range>);
      expect(curve?.model?.medianM).toBeGreaterThan(60);
      expect(curve?.steps.masses.reduce((sum, m) => sum + m.mass, 0)).toBeCloseTo(1, 9);
      expect(acrossPaths(ranges)).toMatchObject([{ kindId: 'microphone', summary: { n: 10 } }]);
      expect(pathCurves(setup, range as NonNullable<typeof range>).availability[0]?.bins[0]).toMatchObject({
        walks: 5,
      });
    },
  );

  test('a scale error is that of the worst method of a walk, and is carried with its rows', () => {
    const findings = findWalks(setup, [walk(1, 'clip', 'x', [[60, 'dropoutBegin', {}]], 'paces')]);
    const [row] = walkRows(findings, 'first dropout');
    expect(row).toMatchObject({ method: 'paces', outing: 'day 1' });
    expect(row?.scaleU).toBeCloseTo(Math.log(1.03), 12);
  });
});
