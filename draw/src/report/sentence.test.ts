import { expect, test } from '@jest/globals';
import { EMPTY_SETUP, newRig, type Setup, type StoredWalk } from '@urvek/contract';
import { logOf, type TestEntry } from '@urvek/core/test';
import { findWalks, Study } from '@urvek/study';
import fc from 'fast-check';
import type { ReportDocument } from './document.ts';
import { reportOf } from './report.ts';
import type { Rest, Sentence } from './sentence.ts';

// No sentence without the datum that it rests on: what it names is there, and without it nothing is said.

const setup: Setup = {
  ...EMPTY_SETUP,
  products: ['microphone', 'microphone', 'two-way-radio'].map((kindId, i) => ({
    id: `p${i}`,
    name: ['Alder', 'Birch', 'Cedar'][i] as string,
    kindId,
    claims: [
      {
        id: `c${i}`,
        form: 'distance' as const,
        entered: '45 m',
        upTo: false,
        condition: 'open' as const,
        source: '',
      },
    ],
    units: [{ id: 'u', label: 'A', history: '' }],
    simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
    rigs: [
      newRig(`r${i}`, 'u'),
      {
        ...newRig(`s${i}`, 'u'),
        name: 'on a pole',
        heightMobileM: 3,
        ...(i === 2 ? { hops: 'up, down' } : {}),
      },
    ],
  })),
  needs: [
    {
      id: 'n',
      kindId: 'microphone',
      use: 'a talk',
      entered: '30 m',
      condition: 'open',
      criterion: 'last usable',
    },
  ] as unknown as Setup['needs'],
  paths: ['Lane', 'Shed'].map((name, i) => ({
    id: `l${i}`,
    name,
    condition: i === 0 ? ('open' as const) : ('obstructed' as const),
    model: 'two-slope' as const,
    distanceMethod: 'wheel' as const,
    hazards: '',
    permission: '',
    legs: [{ lengthM: 200, bearingDeg: 0, riseM: i, exposure: 'open' as const }],
    obstructions: [],
    checkpoints: [{ id: 'k', name: 'Gate', atM: 40 }],
  })) as unknown as Setup['paths'],
};

const entry: fc.Arbitrary<readonly [string, object]> = fc.oneof(
  fc
    .record({ m: fc.integer({ min: 1, max: 12 }), by: fc.constantFrom('wheel', 'by eye') })
    .map(({ m, by }) => ['mark', { reading: { travelledM: 10 * m, method: by, pressed: true } }] as const),
  fc.constantFrom('hedge', 'stair').map((name) => ['mark', { name }] as const),
  fc.constant(['mark', {}] as const),
  fc
    .record({ hits: fc.integer({ min: 0, max: 3 }) })
    .map(({ hits }) => ['hits', { hits, presses: 3 }] as const),
  fc
    .record({ grade: fc.integer({ min: 1, max: 5 }), back: fc.boolean() })
    .map(
      ({ grade, back }) =>
        [
          'call',
          { checkpoint: 'Gate', direction: back ? 'fixed-to-mobile' : 'mobile-to-fixed', grade, tries: 3 },
        ] as const,
    ),
  fc.integer({ min: 1, max: 5 }).map((grade) => ['grade', { grade }] as const),
  fc.constantFrom({}, { hop: 'up' }).map((body) => ['dropoutBegin', body] as const),
  fc.constant(['dropoutEnd', {}] as const),
);

const walkOf: fc.Arbitrary<Omit<StoredWalk, 'log'> & { entries: TestEntry[] }> = fc
  .record({
    product: fc.integer({ min: 0, max: 2 }),
    rig: fc.constantFrom('r', 's'),
    path: fc.integer({ min: 0, max: 1 }),
    day: fc.integer({ min: 0, max: 2 }),
    undated: fc.boolean(),
    mode: fc.constantFrom('continuous', 'hits', 'stop and call'),
    conditions: fc.constantFrom({}, { conditions: { weather: 'rain' } }, { conditions: { groundWet: true } }),
    graded: fc.boolean(),
    ended: fc.constantFrom('link failed', 'path ended', 'not stated', undefined),
    entries: fc.array(entry, { maxLength: 12 }),
  })
  .map(({ product, rig, path, day, undated, mode, conditions, graded, ended, entries }) => ({
    header: {
      productId: `p${product}`,
      rigId: `${rig}${product}`,
      pathId: `l${path}`,
      startedMs: 1e12 + day * 86_400_000,
      ...(undated ? { undated: true as const } : {}),
    } as StoredWalk['header'],
    entries: [
      [
        0,
        'begin',
        { direction: 'mobile-to-fixed', mode, ...conditions, ...(graded ? { baselineGrade: 5 } : {}) },
      ],
      ...entries.map(([kind, body], i): TestEntry => [8 * (i + 1), kind, body]),
      ...(ended === undefined ? [] : [[120, 'end', { reason: ended }] as TestEntry]),
    ],
  }));

const walksOf = fc.array(walkOf, { maxLength: 7 }).map((list) =>
  list.map(({ header, entries }, k): StoredWalk => {
    const id = `00000000-0000-4000-8000-00000000000${k}`;
    return { header: { ...header, id, comparisonId: id }, log: logOf(entries, { walkId: id }) };
  }),
);

const reported = (walks: readonly StoredWalk[]): { report: ReportDocument; ids: Map<string, Rest[]> } => {
  const findings = findWalks(setup, walks);
  const judged = Study.ofLogs(setup, walks).judgement();
  const report = reportOf(
    { title: 'T', question: 'Q', setup, findings, judged, unit: 'm', day: () => 'a day' },
    'long',
  );
  // What there is to rest on, with the walks behind it.
  const ids = new Map<string, Rest[]>([
    ['disclosure', []],
    ...setup.products.flatMap((p): [string, Rest[]][] => [
      [`product:${p.id}`, []],
      ...p.claims.map((c): [string, Rest[]] => [`claim:${c.id}`, []]),
    ]),
    ...setup.paths.map((p): [string, Rest[]] => [`path:${p.id}`, []]),
    ['need:n', []],
    ...walks.map((w): [string, Rest[]] => [`walk:${w.header.id}`, [`walk:${w.header.id}`]]),
    ...judged.ranges.flatMap((r) =>
      r.subjects.map((s): [string, Rest[]] => [
        `cell:${r.id}/${s.id}`,
        r.walks.filter((w) => w.product === s.name).map((w): Rest => `walk:${w.walkId}`),
      ]),
    ),
  ]);
  return { report, ids };
};

/** Sentences, and rows of tables, whose cells hold some. */
const saidIn = ({ sections }: ReportDocument): Sentence[] =>
  sections.flatMap((s) =>
    s.blocks.flatMap((b): Sentence[] =>
      b.kind === 'paragraph'
        ? [{ text: b.made, rests: b.rests }]
        : b.kind === 'list'
          ? [...b.items]
          : b.kind === 'table'
            ? b.rows.map((r) => ({ text: r.cells.join(' | '), rests: r.rests }))
            : [],
    ),
  );

test('every sentence names data that are there, and is not said without the walks that it rests on', () => {
  let checked = 0;
  fc.assert(
    fc.property(walksOf, fc.nat(), (walks, pick) => {
      const { report, ids } = reported(walks);
      const said = saidIn(report);
      for (const { text, rests } of said) {
        if (rests.length === 0) throw new Error(`rests on nothing: ${text}`);
        for (const rest of rests) if (!ids.has(rest)) throw new Error(`${rest} is not there: ${text}`);
      }
      const ofWalks = said.filter((s) => s.rests.every((r) => (ids.get(r) ?? []).length > 0));
      const one = ofWalks[pick % Math.max(1, ofWalks.length)];
      if (!one) return;
      const gone = new Set(one.rests.flatMap((r) => ids.get(r) ?? []));
      const without = walks.filter((w) => !gone.has(`walk:${w.header.id}`));
      const still = saidIn(reported(without).report).filter((s) => s.text === one.text);
      // Other walks may say the same, by their own data.
      if (still.some((s) => s.rests.every((r) => one.rests.includes(r))))
        throw new Error(`said without its data: ${one.text}`);
      checked++;
    }),
    { seed: 11, numRuns: 150 },
  );
  expect(checked).toBeGreaterThan(50);
});
