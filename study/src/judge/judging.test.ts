import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { walksFor, type EventBodies, type EventKind, type WalkEvent } from '@urvek/core';
import {
  joinCode,
  tidyCode,
  newRig,
  type Product,
  type Rig,
  EMPTY_SETUP,
  setupSchema,
  type Setup,
  type StoredWalk,
} from '@urvek/contract';
import { auditBegin, auditPlan } from '../audit/audits.ts';
import { Study } from '../study.ts';
import { plannedWalks } from '../plan/plannedWalks.ts';
import { planBalance } from '../plan/planning.ts';
import { findWalks, type SetupPath } from '../results/findings.ts';
import { findLatencies } from './latencies.ts';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
/** A rig of which all is stated that can matter. */
const STATED = {
  channel: '1',
  antennaPlace: 'on the body',
  heightFixedM: 1.5,
  heightMobileM: 1.5,
  playoutDelayS: 0,
} as const;

const product = (id: string, rig: Partial<Rig> = {}, more: Partial<Product> = {}): Product => ({
  id,
  name: id.toUpperCase(),
  kindId: 'microphone',
  bandMHz: 2400,
  powerMw: 10,
  claims: [],
  units: [{ id: `${id}-u`, label: 'A', history: '' }],
  rigs: [{ ...newRig(`${id}-r`, `${id}-u`), ...STATED, ...rig }],
  simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
  ...more,
});
const path: SetupPath = {
  id: 'lane',
  name: 'Lane',
  condition: 'open',
  model: 'two-slope',
  distanceMethod: 'wheel',
  hazards: '',
  permission: '',
  legs: [{ lengthM: 300, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
};
const setup: Setup = { ...EMPTY_SETUP, products: [product('a'), product('b')], paths: [path] };

/** A walk that loses its link at a distance, or holds to the end of the path. */
function walk(
  k: number,
  productId: string,
  lostM: number | undefined,
  begin: Partial<EventBodies['begin']> = {},
): StoredWalk {
  const events: WalkEvent[] = [];
  const log = <K extends EventKind>(kind: K, body: EventBodies[K], walkS: number): void =>
    void events.push({
      walkId: uuid(k),
      deviceId: uuid(900),
      seq: events.length,
      version: 1,
      kind,
      body,
      time: { walkS, rate: 1, inputMs: 0, originMs: 0, wallMs: events.length },
    } as WalkEvent);
  const mark = (m: number): void =>
    log('mark', { reading: { travelledM: m, method: 'wheel', pressed: false } }, m);
  log(
    'begin',
    {
      baselineGrade: 5,
      direction: 'mobile-to-fixed',
      reading: { travelledM: 0, method: 'wheel', pressed: false },
      playoutDelayS: 0,
      ...begin,
    },
    0,
  );
  if (lostM === undefined) mark(299);
  else {
    mark(lostM - 2);
    log('dropoutBegin', {}, lostM + 0.6);
    mark(lostM + 2);
  }
  log('end', { reason: lostM === undefined ? 'path ended' : 'link failed' }, 310);
  return {
    header: {
      id: uuid(k),
      comparisonId: uuid(99),
      productId,
      rigId: `${productId}-r`,
      pathId: 'lane',
      startedMs: 1e12 + k * 600_000,
    },
    log: events,
  };
}
const rules = (found: readonly { rule: string }[]): string[] => [...new Set(found.map((f) => f.rule))].sort();

describe('the audits where mending is cheap', () => {
  test(
    'on a plan before the first walk: rigs that stand differently are found, and nothing where they ' +
      'stand alike',
    () => {
      const alike = auditPlan({ ...setup, plan: { ...setup.plan, blind: true } }, []);
      expect(alike).toEqual([]);
      const empty = { ...setup, products: [product('a', { channel: '', heightFixedM: undefined })] };
      expect(auditPlan(empty, []).map((a) => a.what)).toEqual([
        'A: the height of the fixed end, the channel',
      ]);
      const uneven = {
        ...setup,
        products: [product('a'), product('b', { heightMobileM: 3, channel: '11' }), product('c')],
      };
      expect(rules(auditPlan(uneven, []))).toEqual(['channel', 'heights']);
    },
  );

  test(
    'at the begin of a walk: what it would add, of its own product, and not what only the whole can ' +
      'answer for',
    () => {
      const [slot] = plannedWalks(setup).filter((s) => s.item.product.id === 'b');
      if (!slot) throw new Error('nothing is planned');
      const before = findWalks(setup, [walk(1, 'a', 90, { conditions: { weather: 'dry' } })]);
      expect(auditBegin(setup, before, slot.item, { weather: 'dry' }, 1e12)).toEqual([]);
      expect(
        auditBegin(setup, before, slot.item, { weather: 'rain' }, 1e12 + 9e7).map((f) => f.what),
      ).toEqual([expect.stringContaining('A: dry; B: rain')]);
      const other = { ...slot.item, rig: { ...slot.item.rig, heightFixedM: 0.5 } };
      expect(rules(auditBegin(setup, before, other, {}, 1e12))).toEqual(['heights']);
    },
  );

  test('what was acknowledged stays so while the thing found is the same, and carries its reason', () => {
    const walks = [walk(1, 'a', 90), walk(2, 'b', 140)];
    const [first] = Study.ofLogs(setup, walks).judgement().audits;
    const left = { ...setup, acknowledged: [{ key: first?.key ?? '', reason: 'one of each to be had' }] };
    expect(
      Study.ofLogs(left, walks)
        .judgement()
        .audits.find((a) => a.key === first?.key)?.acknowledged,
    ).toBe('one of each to be had');
    expect(
      Study.ofLogs(left, [...walks, walk(3, 'a', 95), walk(4, 'b', 150)])
        .judgement()
        .audits.find((a) => a.key === first?.key)?.acknowledged,
    ).toBe('one of each to be had');
  });
});

describe('needs, costs and latency of a comparison', () => {
  const walks = [90, 95, 98, 102, 97, 93].flatMap((m, i) => [
    walk(2 * i + 1, 'a', m),
    walk(2 * i + 2, 'b', 1.6 * m),
  ]);
  const need = {
    id: 'n',
    use: 'Stage',
    entered: '60 m',
    condition: 'open' as const,
    kindId: 'microphone',
    criterion: 'by kind' as const,
  };

  test(
    'a need is judged for each product of its kind, the greatest margin first; on no path of its ' +
      'condition it is unknown',
    () => {
      const { needs } = Study.ofLogs(
        { ...setup, needs: [need, { ...need, id: 'm', condition: 'obstructed' }] },
        walks,
      ).judgement();
      expect(needs.map((n) => [n.need.id, n.product.id, n.verdict.outcome])).toEqual([
        ['n', 'b', 'meets'],
        ['n', 'a', 'meets'],
        ['m', 'a', 'unknown'],
        ['m', 'b', 'unknown'],
      ]);
      expect((needs[0]?.verdict.margin ?? 0) / (needs[1]?.verdict.margin ?? 1)).toBeCloseTo(1.6, 1);
    },
  );

  test('of two paths of its condition the one that serves it worst counts', () => {
    const far = { ...path, id: 'field', name: 'Field' };
    const two = { ...setup, paths: [path, far], needs: [need] };
    const there = walks.map((w, i): StoredWalk => ({
      header: { ...w.header, id: uuid(500 + i), pathId: 'field' },
      log: walk(500 + i, w.header.productId, 40 + i).log,
    }));
    expect(
      Study.ofLogs(two, [...walks, ...there])
        .judgement()
        .needs.map((n) => [n.path?.name, n.verdict.outcome]),
    ).toEqual([
      ['Field', 'fails'],
      ['Field', 'fails'],
    ]);
  });

  test('a metre gained costs the difference of all that is needed over the difference of reach', () => {
    const priced = {
      ...setup,
      products: [
        product('a', {}, { costs: [{ what: 'the product', amount: 100 }] }),
        product(
          'b',
          {},
          {
            costs: [
              { what: 'the product', amount: 200 },
              { what: 'antenna', amount: 50 },
            ],
          },
        ),
      ],
    };
    const [table] = Study.ofLogs(priced, walks).judgement().costs;
    const [cheap, dear] = table?.rows ?? [];
    expect([cheap?.product, dear?.product, dear?.total]).toEqual(['A', 'B', 250]);
    expect(dear?.perMetreGained).toBeCloseTo(150 / ((dear?.reachM ?? 0) - (cheap?.reachM ?? 0)), 9);
  });

  test(
    'a latency is found, or refused in words where the chain hides it; a claim of latency is judged ' +
      'on the nearest',
    () => {
      const latency: Setup['latency'] = [
        {
          id: 'far',
          productId: 'a',
          method: 'frames',
          distanceM: 100,
          framesPerS: 120,
          frames: [30, 31],
          baselineMs: 0,
        },
        {
          id: 'bench',
          productId: 'a',
          method: 'frames',
          framesPerS: 120,
          frames: [6, 6, 6, 6],
          baselineMs: 0,
        },
        {
          id: 'hidden',
          productId: 'b',
          method: 'filmed clock',
          readings: [[1000, 960]],
          baselineMs: 40,
          refreshHz: 60,
        },
      ];
      const measured = {
        ...setup,
        latency,
        products: [
          product(
            'a',
            {},
            {
              claims: [
                {
                  id: 'c',
                  form: 'latency',
                  entered: '80 ms',
                  upTo: false,
                  condition: 'unstated',
                  source: '',
                },
              ],
            },
          ),
          product('b'),
        ],
      };
      expect(setupSchema.isValidSync(measured, { strict: true })).toBe(true);
      expect(findLatencies(measured).map((l) => [l.row.id, l.refused === undefined])).toEqual([
        ['bench', true],
        ['far', true],
        ['hidden', false],
      ]);
      expect(Study.ofLogs(measured, []).judgement().verdicts[0]?.verdict).toMatchObject({
        outcome: 'supported',
        reason: expect.stringContaining('50 ms'),
      });
    },
  );

  test.each<[string, object, string]>([
    [
      'a method without its figures',
      { method: 'frames', frames: [], baselineMs: 0 },
      'Frame rate is missing',
    ],
    [
      'a clock without pairs',
      { method: 'filmed clock', baselineMs: 0, refreshHz: 60 },
      'Readings are missing',
    ],
  ])('%s is refused', (_, row, says) => {
    expect(() =>
      setupSchema.validateSync(
        { ...setup, latency: [{ id: 'x', productId: 'a', ...row }] },
        { strict: true, abortEarly: false },
      ),
    ).toThrow(expect.objectContaining({ errors: expect.arrayContaining([says]) }));
  });
});

describe('what a plan can settle', () => {
  const claimed = (entered: string, more: Partial<Setup['plan']> = {}, paths = [path]): string | undefined =>
    Study.ofLogs(
      {
        ...setup,
        paths,
        plan: { ...setup.plan, ...more },
        products: [
          product(
            'a',
            {},
            { claims: [{ id: 'c', form: 'distance', entered, upTo: true, condition: 'open', source: '' }] },
          ),
        ],
      },
      [],
    ).judgement().verdicts[0]?.neverSettled;

  test('a path that ends before the claim, one walk, or no path of its condition: it could never have', () => {
    expect(claimed('400 m')).toContain('ends at 300 m');
    expect(claimed('100 m', { walksEach: 1 })).toContain('one walk');
    expect(claimed('100 m', {}, [{ ...path, condition: 'obstructed' }])).toBe('no path of the plan is open');
    expect(claimed('100 m')).toBeUndefined();
  });

  test('each product leads as often as the others of its kind once its rounds are a multiple', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 3 }), (products, times) => {
        const many = {
          ...setup,
          products: [
            ...Array.from({ length: products }, (_, i) => product(`m${i}`)),
            product('lone', {}, { kindId: 'router' }),
          ],
        };
        const [kind] = planBalance(many);
        const [balanced] = planBalance({
          ...many,
          plan: { ...many.plan, walksEach: (kind?.balancedAfter ?? 1) * times },
        });
        expect(new Set(balanced?.products.map((p) => p.leads)).size).toBe(1);
      }),
    );
  });

  test('how many walks must all hold: five for the median, 29 for nine of ten', () => {
    expect([walksFor(0.5), walksFor(0.9)]).toEqual([5, 29]);
    for (const share of [0.5, 0.8, 0.9, 0.95]) {
      expect(share ** walksFor(share)).toBeLessThanOrEqual(0.05);
      expect(share ** (walksFor(share) - 1)).toBeGreaterThan(0.05);
    }
    expect(() => walksFor(1)).toThrow('invalid share: 1');
  });
});

test('the code of a walk: six signs without look-alikes, the same on every device, however it is typed', () => {
  fc.assert(
    fc.property(fc.uuid(), (id) => {
      const code = joinCode(id);
      expect(code).toMatch(/^[2-9A-HJKMNP-TV-Z]{6}$/);
      expect(tidyCode(` ${code.slice(0, 3).toLowerCase()}-${code.slice(3)} `)).toBe(code);
    }),
  );
  const codes = new Set(Array.from({ length: 2000 }, () => joinCode(crypto.randomUUID())));
  expect(codes.size).toBeGreaterThan(1995);
});
