import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { parseRecords, readGeoJson, readGpx, writeGeoJson, writeGpx, type EventBodies } from '@urvek/core';
import {
  INTERCHANGE_VERSION,
  readInterchange,
  writeInterchange,
  type Interchange,
  NOTHING_WITHHELD,
  PLAIN_REPORT,
  newRig,
  type Product,
  EMPTY_SETUP,
  type Setup,
  type StoredWalk,
} from '@urvek/contract';
import { againstEarlier } from '../judge/earlier.ts';
import { Study } from '../study.ts';
import { findWalks } from '../results/findings.ts';
import { eventsCsv, findingsCsv, marksCsv, readingsCsv, routesOf, walksCsv } from './exports.ts';
import { leavingStudy } from './leavingStudy.ts';
import { LEFT_OUT, withhold, withoutWords } from './withhold.ts';
import { logOf } from '@urvek/core/test';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const product = (id: string, name: string): Product => ({
  id,
  name,
  kindId: 'microphone',
  bandMHz: 2400,
  powerMw: 10,
  claims: [],
  units: [{ id: `${id}-u`, label: 'A', history: '' }],
  rigs: [newRig(`${id}-r`, `${id}-u`)],
  simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
});
const setup: Setup = {
  ...EMPTY_SETUP,
  products: [product('a', '=HYPERLINK("x")'), product('b', 'Brindle, "two"')],
  paths: [
    {
      id: 'p',
      name: 'Quarry road',
      condition: 'open',
      model: 'two-slope',
      distanceMethod: 'wheel',
      hazards: '',
      permission: 'by Odo Marl',
      fixedEnd: { latitudeDeg: 51.2, longitudeDeg: -3.1 },
      legs: [{ lengthM: 300, bearingDeg: 90, riseM: 0, exposure: 'open' }],
      obstructions: [],
      checkpoints: [{ name: 'post', atM: 100 }],
    },
  ],
  plan: { ...EMPTY_SETUP.plan, atFixedEnd: 'Odo Marl', atMobileEnd: 'G7XQZ' },
};

/** A walk out to a dropout, logged as a real one. */
function walk(
  k: number,
  productId: string,
  lostM: number,
  more: readonly [kind: string, body: object][] = [],
): StoredWalk {
  const events: [string, object, number][] = [
    [
      'begin',
      {
        baselineGrade: 5,
        direction: 'mobile-to-fixed',
        reading: { travelledM: 0, method: 'wheel', pressed: false },
        playoutDelayS: 0,
        conditions: { gradedBy: k % 2 === 0 ? 'Pell Ander' : k === 3 ? 'ruth amsel' : 'Ruth Amsel' },
      },
      0,
    ],
    ['mark', { reading: { travelledM: lostM - 5, method: 'wheel', pressed: false } }, lostM - 5],
    ['dropoutBegin', {}, lostM + 0.6],
    ['mark', { reading: { travelledM: lostM + 5, method: 'wheel', pressed: false } }, lostM + 5],
    ...more.map(([kind, body], i): [string, object, number] => [kind, body, lostM + 6 + i]),
    ['end', { reason: 'link failed' }, lostM + 20],
  ];
  return {
    header: {
      id: uuid(k),
      comparisonId: uuid(99),
      productId,
      rigId: `${productId}-r`,
      pathId: 'p',
      startedMs: 1_700_000_000_000 + k * 600_000,
    },
    log: logOf(
      events.map(([kind, body, walkS]) => [walkS, kind, body] as const),
      { walkId: uuid(k), deviceId: uuid(50) },
    ),
  };
}
const fix: EventBodies['fix'] = { latitudeDeg: 51.2, longitudeDeg: -3.0995, accuracyM: 5 };
const walks = [
  walk(1, 'a', 100, [
    ['fix', fix],
    ['note', { text: '=1+1; heard by G7XQZ' }],
  ]),
  walk(2, 'b', 140),
  walk(3, 'a', 110),
  walk(4, 'b', 150),
  walk(5, 'a', 104),
  walk(6, 'b', 161),
];
const file = (s: Setup = setup): Interchange =>
  writeInterchange({ id: uuid(99), title: 'Roads', question: 'with Odo Marl', simulated: false }, s, walks);

describe('what is withheld', () => {
  const all = { coordinates: true, names: true, notes: true, words: ['g7xqz', 'Odo Marl'] };

  test('is nowhere in what goes out, and is told in the preview', () => {
    const { file: out, left } = withhold(file(), all);
    const text = JSON.stringify(out);
    for (const secret of [
      '51.2',
      '-3.0995',
      'Quarry road',
      'Odo Marl',
      'G7XQZ',
      '=1+1',
      'Pell',
      'ruth',
      'Ruth',
    ])
      expect(text).not.toContain(secret);
    expect(left.map((l) => l.what)).toEqual(
      expect.arrayContaining([
        'coordinates of fixed ends',
        'device locations',
        'names of places',
        'names of people',
        'notes',
        'words replaced',
      ]),
    );
    // What goes out can come in again.
    expect(readInterchange(JSON.parse(text)).walks).toHaveLength(6);
  });

  test('who graded and hops go out under numbers, in files and in what is shown of a study alike', () => {
    const rig = { ...newRig('a-r', 'a-u'), hops: 'relay of Odo, second leg' };
    const chain: Setup = {
      ...setup,
      products: setup.products.map((p) => (p.id === 'a' ? { ...p, rigs: [rig] } : p)),
      report: { ...PLAIN_REPORT, withheld: { ...NOTHING_WITHHELD, names: true } },
    };
    const lost = [
      ...walks,
      walk(7, 'a', 120, [
        ['dropoutEnd', {}],
        ['dropoutBegin', { hop: 'relay of Odo' }],
      ]),
    ];
    const { file: out } = withhold(
      writeInterchange({ id: uuid(99), title: 'Roads', question: '', simulated: false }, chain, lost),
      { ...NOTHING_WITHHELD, names: true },
    );
    const comparison = {
      ...{ id: uuid(99), title: 'Roads', question: '', demo: false, revision: 1, updatedAt: '' },
      setup: chain,
    };
    const shown = leavingStudy(comparison, Study.ofLogs(chain, lost).entries).study;
    for (const study of [Study.ofLogs(out.setup, out.walks), shown]) {
      const traces = study.findings.map((f) => f.trace);
      expect(traces.map((t) => t.begin.body.conditions?.gradedBy)).toEqual(
        [1, 2, 1, 2, 1, 2, 1].map((n) => `person ${n}`),
      );
      expect(traces.flatMap((t) => t.lostHops.filter((h) => h !== undefined))).toEqual(['hop 1']);
      // What one of them graded still belongs together.
      const told = study.judgement().audits.find((a) => a.rule === 'graders');
      expect(told?.what).toContain('person 1 graded =HYPERLINK("x") (4 walks); person 2 graded Brindle');
    }
  });

  test('what a correction says goes out no more than what it corrects: graders, notes, hops', () => {
    const begun = walk(8, 'a', 120).log[0];
    if (begun?.kind !== 'begin') throw new Error('no beginning');
    const amends = { deviceId: uuid(50), seq: 1 };
    const why = { reason: 'a slip', author: 'Odo' };
    const corrected = [
      ...walks,
      walk(8, 'a', 120, [
        ['note', { text: 'by the gate of Odo' }],
        [
          'correction',
          {
            ...{ amends, action: 'restate', ...why },
            begun: { ...begun.body, conditions: { gradedBy: 'Odo Marl' } },
          },
        ],
        [
          'correction',
          {
            ...{ amends: { ...amends, seq: 5 }, action: 'rewrite', ...why },
            entry: { kind: 'note', body: { text: 'by the mill of Odo' } },
          },
        ],
        [
          'correction',
          {
            ...{ amends: { ...amends, seq: 3 }, action: 'rewrite', ...why },
            entry: { kind: 'dropoutBegin', body: { hop: 'relay of Odo' } },
          },
        ],
      ]),
    ];
    const { file: out } = withhold(
      writeInterchange({ id: uuid(99), title: 'Roads', question: '', simulated: false }, setup, corrected),
      { ...NOTHING_WITHHELD, names: true, notes: true },
    );
    expect(JSON.stringify(out.walks)).not.toContain('Odo');
    const [last] = Study.ofLogs(out.setup, out.walks.slice(-1)).findings;
    // Who stands has the number; who was named before has one beyond.
    expect(last?.trace.begin.body.conditions?.gradedBy).toBe('person 3');
    expect(last?.trace.lostHops).toEqual(['hop 1']);
    expect(last?.trace.notes.map((n) => n.text)).toEqual([LEFT_OUT]);
  });

  test('changes no estimate', () => {
    const { file: out } = withhold(file(), { ...all, words: [] });
    const before = Study.ofLogs(setup, walks).judgement().ranges[0]?.summary.productRatios[0]?.estimate;
    expect(
      Study.ofLogs(out.setup, out.walks).judgement().ranges[0]?.summary.productRatios[0]?.estimate,
    ).toEqual(before);
    expect(before?.ratio).toBeGreaterThan(1.2);
  });

  test('is nothing unless asked for, but a private path', () => {
    expect(withhold(file(), NOTHING_WITHHELD).left).toEqual([]);
    const { file: out } = withhold(
      file({ ...setup, paths: setup.paths.map((p) => ({ ...p, keepPrivate: true })) }),
      NOTHING_WITHHELD,
    );
    expect(out.setup.paths[0]).toMatchObject({ name: 'Path 1', fixedEnd: undefined });
  });

  test('words go whatever their case, ids stay', () => {
    expect(withoutWords({ id: 'marl', text: 'MARL and marl', list: ['x marl'] }, ['Marl'])).toEqual({
      value: { id: 'marl', text: `${LEFT_OUT} and ${LEFT_OUT}`, list: [`x ${LEFT_OUT}`] },
      count: 3,
    });
    fc.assert(
      fc.property(fc.string({ minLength: 2, maxLength: 6 }), fc.string(), (word, text) => {
        expect(withoutWords({ text: `${text}${word}` }, [word]).count).toBeGreaterThan(0);
      }),
    );
  });
});

describe('tables', () => {
  const findings = findWalks(setup, walks);
  const judged = Study.ofLogs(setup, walks).judgement();
  test.each([
    ['walks', walksCsv(setup, findings), 6],
    ['marks', marksCsv(findings), 18],
    ['events', eventsCsv(walks), 32],
    ['findings', findingsCsv(setup, judged), undefined],
    ['readings', readingsCsv(findings), 0],
  ] as const)('%s: every row as wide as the header, no cell that a spreadsheet would run', (_, csv, rows) => {
    const [head, ...records] = parseRecords(csv);
    expect(head?.cells.length).toBeGreaterThan(5);
    for (const r of records) {
      expect(r.cells).toHaveLength(head?.cells.length as number);
      for (const cell of r.cells) expect(cell).not.toMatch(/^[=@\t\r]/);
    }
    if (rows !== undefined) expect(records.length).toBeGreaterThanOrEqual(rows);
  });

  test('units stand in the headers', () => {
    expect(walksCsv(setup, findings).split('\r\n')[0]).toContain(
      'first_dropout_held_m,first_dropout_failed_m',
    );
    expect(marksCsv(findings).split('\r\n')[0]).toContain('travelled_m,standard_uncertainty_m');
  });

  test('routes and marks as GPX and GeoJSON read back to the metre', () => {
    const routes = routesOf(setup, findings);
    for (const back of [readGpx(writeGpx(routes)), readGeoJson(writeGeoJson(routes))]) {
      expect(back.lines).toEqual([
        { name: 'Quarry road', places: [expect.objectContaining({ latitudeDeg: 51.2 }), expect.anything()] },
      ]);
      expect(back.waypoints.length).toBeGreaterThan(6);
      expect(back.waypoints.some((w) => w.name === 'post')).toBe(true);
    }
  });
});

describe('against an earlier comparison', () => {
  const now = { setup, findings: findWalks(setup, walks) };
  const moved = (change: (p: Setup['paths'][number]) => Setup['paths'][number]): Setup => ({
    ...setup,
    paths: setup.paths.map(change),
  });

  test('over the same points by the same criterion: a ratio, here of one', () => {
    const [first] = againstEarlier(now, now);
    expect(first?.fromMemory).toBeUndefined();
    expect(first?.ratio?.estimate?.ratio).toBeCloseTo(1, 9);
  });

  test.each<[string, Setup, RegExp]>([
    [
      'other points',
      moved((p) => ({ ...p, checkpoints: [{ name: 'post', atM: 120 }] })),
      /2 checkpoints are not the same points/,
    ],
    [
      'another condition',
      moved((p) => ({ ...p, condition: 'obstructed' })),
      /obstructed then and is open now/,
    ],
    ['another criterion', { ...setup, plan: { ...setup.plan, criterion: 'lost' } }, /judged by “lost”/],
  ])('%s: from memory', (_, then, why) => {
    const [first] = againstEarlier(now, { setup: then, findings: findWalks(then, walks) });
    expect(first).toMatchObject({ ratio: undefined, fromMemory: expect.stringMatching(why) });
  });
});

test('a file of version 1 is read as one of version 2 without what came later', () => {
  const old = { ...(JSON.parse(JSON.stringify(file())) as Interchange), version: 1 };
  expect(readInterchange(old)).toEqual({ ...readInterchange(JSON.parse(JSON.stringify(file()))) });
  expect(readInterchange(old).version).toBe(INTERCHANGE_VERSION);
});
