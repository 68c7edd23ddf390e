import { afterAll, describe, expect, test } from '@jest/globals';
import { EMPTY_SETUP, newRig, writeInterchange, type Setup, type StoredWalk } from '@urvek/contract';
import { formatLength, operate, seeded, startWalk, writeWalkIntervals, type LoggedAction } from '@urvek/core';
import { findWalks, intervalRows, Study, plannedWalks, simulatedGearOf } from '@urvek/study';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { main } from './main.ts';
import { logOf } from '@urvek/core/test';

const reference = (name: string): string =>
  fileURLToPath(new URL(`../../core/src/estimate/range/reference/${name}`, import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'urvek-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

async function run(...args: string[]): Promise<{ code: number; out: string; err: string }> {
  let [out, err] = ['', ''];
  const code = await main(args, {
    out: (t) => {
      out += t;
    },
    err: (t) => {
      err += t;
    },
  });
  return { code, out, err };
}

const file = (text: string): string => {
  const path = join(folder, `${Math.abs(text.length * 31 + text.charCodeAt(text.length - 2))}.csv`);
  writeFileSync(path, text);
  return path;
};
const head = 'product,path,walk,held_m,failed_m';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const SETUP: Setup = {
  ...EMPTY_SETUP,
  products: [
    ['a', -85],
    ['b', -90],
  ].map(([id, requiredDbm]) => ({
    id: String(id),
    name: `Clip ${id}`,
    kindId: 'microphone',
    bandMHz: 2400,
    powerMw: 10,
    claims: [],
    units: [{ id: `${id}u`, label: 'A', history: '' }],
    rigs: [newRig(`${id}r`, `${id}u`)],
    simulatedGear: { requiredDbm: Number(requiredDbm), bodyLossOutDb: 8, bodyLossBackDb: 2 },
  })),
  paths: [
    {
      id: 'p',
      name: 'Field',
      condition: 'open',
      model: 'two-slope',
      distanceMethod: 'marked line',
      hazards: '',
      permission: '',
      legs: [{ lengthM: 400, bearingDeg: 0, riseM: 0, exposure: 'open' }],
      obstructions: [],
      checkpoints: [],
    },
  ],
  plan: { ...EMPTY_SETUP.plan, walksEach: 4 },
};

/** Walks played by simulated gear. */
const WALKS = plannedWalks(SETUP).map(({ item: { product, rig, path } }, n): StoredWalk => {
  const id = uuid(n + 1);
  const { log } = operate(startWalk(simulatedGearOf(product, rig), path, `cli/${n}`), seeded('cli', n));
  const begin: LoggedAction = {
    atS: 0,
    kind: 'begin',
    body: {
      baselineGrade: 5,
      direction: 'mobile-to-fixed',
      reading: { travelledM: 0, method: 'marked line', pressed: false },
      playoutDelayS: 0,
      simulatedSeed: `cli/${n}`,
    },
  };
  const events = logOf(
    [begin, ...log].map(({ atS, kind, body }) => [atS, kind, body] as const),
    { walkId: id, deviceId: uuid(99) },
  );
  return {
    header: {
      id,
      comparisonId: uuid(50),
      productId: product.id,
      rigId: rig.id,
      pathId: path.id,
      startedMs: n,
    },
    log: events,
  };
});

/** The comparison in Urvek's own format, as the server would export it. */
const wholeFile = (): string => {
  const path = join(folder, 'whole.urvek.json');
  writeFileSync(
    path,
    JSON.stringify(
      writeInterchange({ id: uuid(50), title: 'Clips', question: '', simulated: true }, SETUP, WALKS),
    ),
  );
  return path;
};

describe('urvek ranges on a comparison', () => {
  test('the same figures as on the intervals made from it; turnbull, Holm and decibels beside them', async () => {
    const whole = JSON.parse((await run('ranges', wholeFile(), '--json', '--exponent', '2')).out) as Loose;
    const csv = join(folder, 'whole.csv');
    writeFileSync(csv, writeWalkIntervals(intervalRows(findWalks(SETUP, WALKS), 'first dropout')));
    const rows = JSON.parse((await run('ranges', csv, '--json', '--exponent', '2')).out) as Loose;
    expect(whole).toEqual(rows);
    const [ratio] = whole.product_ratios as {
      ratio: number;
      holm_p: number;
      p: number;
      db_at_n: { n: number; db: number; interval95: number[] };
    }[];
    expect(ratio?.holm_p).toBe(ratio?.p);
    expect(ratio?.db_at_n.db).toBeCloseTo(20 * Math.log10(ratio?.ratio ?? 0), 9);
    const [cell] = whole.fitted as { median: { method: string }; turnbull: { mass: number }[] }[];
    expect(cell?.median.method).toContain('profile likelihood');
    expect(cell?.turnbull.reduce((sum, m) => sum + m.mass, 0)).toBeCloseTo(1, 9);
    expect((await run('ranges', wholeFile(), '--criterion', 'last usable', '--json')).code).toBe(0);
  });

  test.each<[string, RegExp]>([
    ['{"format":"other"}', /not a comparison of Urvek/],
    ['{"format":"urvek-comparison","version":99}', /version 99; this Urvek reads up to/],
    ['{ broken', /not JSON/],
    ['{"format":"urvek-comparison","version":1,"comparison":{}}', /comparison: /],
  ])('%s is refused in words', async (text, words) => {
    const path = join(folder, `bad${text.length}.json`);
    writeFileSync(path, text);
    const { code, out, err } = await run('ranges', path, '--json');
    expect([code, out]).toEqual([2, '']);
    expect(err).toMatch(words);
  });

  test('a criterion, a direction, an exponent that is none', async () => {
    for (const args of [
      ['--criterion', 'range'],
      ['--direction', 'sideways'],
      ['--exponent', '-1'],
    ])
      expect(await run('ranges', wholeFile(), ...args)).toMatchObject({ code: 2, out: '' });
  });
});

describe('urvek trials and throughput', () => {
  const trialsFile = (id: string): string =>
    fileURLToPath(new URL(`../../core/src/estimate/hits/reference/${id}.csv`, import.meta.url));

  test.each(['i1', 'i2'])('%s as the reference has it', async (id) => {
    const wanted = JSON.parse(readFileSync(trialsFile(id).replace('.csv', '.json'), 'utf8')) as {
      separation: string;
      firth: Loose & { D50: { estimate_m: number } };
    };
    const { code, out } = await run('trials', trialsFile(id), '--json');
    const found = JSON.parse(out) as {
      firth: Loose;
      D50: { estimate_m: number; ci95: number[] };
      separation: string;
    };
    expect([code, found.separation]).toEqual([0, wanted.separation]);
    same(found.firth.coefficients, wanted.firth.coefficients);
    same(found.firth.vcov, wanted.firth.vcov);
    same(found.firth.profile_penalized_ci95, wanted.firth.profile_penalized_ci95);
    same(found.D50.estimate_m, wanted.firth.D50.estimate_m);
    expect((await run('trials', trialsFile(id))).out).toContain('half of the presses answered at');
  });

  test('products apart, an end without bound null, one distance bounds, and has no curve', async () => {
    const two = join(folder, 'two.csv');
    writeFileSync(
      two,
      'product,distance_m,trials,successes\nA,10,3,3\nA,20,3,3\nA,40,3,2\nB,10,5,5\nB,40,5,0\n',
    );
    const { out } = await run('trials', two, '--json');
    const { products } = JSON.parse(out) as {
      products: Record<string, { D50: { ci95: (number | null)[] } }>;
    };
    expect(Object.keys(products)).toEqual(['A', 'B']);
    expect(products.A?.D50.ci95[1]).toBeNull();
    const one = join(folder, 'one.csv');
    writeFileSync(one, 'distance_m,trials,successes\n10,3,3\n');
    const alone = JSON.parse((await run('trials', one, '--json')).out) as Record<string, unknown>;
    expect(alone).toMatchObject({
      firth: null,
      D50: null,
      reason: expect.stringContaining('at one distance'),
      stands: [{ distance_m: 10, answered: 3, of: 3, at_least: expect.closeTo(0.368, 3) }],
    });
  });

  test('throughput: fitted in file order, cap, and the need', async () => {
    const path = join(folder, 'throughput.csv');
    writeFileSync(path, 'distance_m,throughput_mbps\n30,80\n10,92\n5,90\n15,91\n60,20\n30,70\n');
    const { out } = await run('throughput', path, '--need', '40', '--json');
    expect(JSON.parse(out)).toMatchObject({
      fitted: [75, 91, 91, 91, 20, 75].map((v) => expect.closeTo(v, 6)),
      cap: { points: 3 },
      hold_m: 30,
      fail_m: 60,
      distance_m: expect.closeTo(30 + (35 / 55) * 30, 6),
    });
    expect((await run('throughput', path)).out).toContain('a cap; the link gives at least that');
    expect(await run('throughput', path, '--need', 'lots')).toMatchObject({
      code: 2,
      out: '',
      err: expect.stringContaining('--need lots'),
    });
    writeFileSync(path, 'distance_m,throughput_mbps\n30,fast\n');
    expect((await run('throughput', path)).err).toContain('line 2, column throughput_mbps');
  });

  test(
    'throughput of Urvek’s own readings: each product, way and band by itself, the line behind as a ' +
      'range',
    async () => {
      const path = join(folder, 'readings.csv');
      const head =
        'walk_id,product,path,walk,quantity,direction,travelled_m,separation_m,value,unit,band,simulated';
      const row = (
        product: string,
        at: number,
        value: number | '',
        band: string,
        direction = 'fixed-to-mobile',
      ) => `w,${product},House,1,throughput,${direction},${at},${at},${value},Mbit/s,${band},no`;
      writeFileSync(
        path,
        [
          ...[head, row('Hub', 2, 188, '5 GHz'), row('Hub', 20, 160, '5 GHz'), row('Hub', 30, 20, '2.4 GHz')],
          ...[row('Hub', 40, '', ''), row('Hub', 2, 40, '', 'mobile-to-fixed')],
          'w,Hub,House,1,level,fixed-to-mobile,2,2,-40,dBm,,no',
          '',
        ].join('\n'),
      );
      const { out } = await run('throughput', path, '--backhaul', '150-200', '--need', '100', '--json');
      const { curves } = JSON.parse(out) as {
        curves: { by: string | null; n: number; cap: object | null }[];
      };
      expect(curves.map((c) => [c.by, c.n, c.cap !== null])).toEqual([
        ['5 GHz', 2, true],
        ['2.4 GHz', 2, false],
        [null, 1, false],
      ]);
      expect(curves[0]).toMatchObject({ direction: 'fixed-to-mobile', cap: { to_m: 20, measured: true } });
      expect((await run('throughput', path, '--backhaul', '200-150')).err).toContain('the least comes first');
      expect((await run('throughput', path)).out).toContain('House, Hub, fixed-to-mobile, 5 GHz: n 2');
      writeFileSync(path, `${head}\nw,Hub,House,1,speed,fixed-to-mobile,2,2,1,Mbit/s,,no\n`);
      expect((await run('throughput', path)).err).toContain('line 2, column quantity');
    },
  );

  test('a probe of no address, or of nobody there', async () => {
    expect(await run('probe', 'nowhere')).toMatchObject({
      code: 2,
      err: expect.stringContaining('not an address'),
    });
    expect((await run('probe', 'http://127.0.0.1:9/', '--seconds', '99')).err).toContain('--seconds 99');
    const { code, out } = await run('probe', 'http://127.0.0.1:9/', '--json');
    expect([code, JSON.parse(out)]).toMatchObject([1, { outcome: 'no connection', down: null }]);
  });
});

describe('urvek ranges', () => {
  test.each(['a', 'c', 'd_part'])('prints the fit of %s.csv as the reference has it', async (id) => {
    const expected = JSON.parse(readFileSync(reference(`${id}.json`), 'utf8')) as Loose;
    const { code, out } = await run('ranges', reference(`${id}.csv`), '--json');
    const actual = JSON.parse(out) as Loose;
    expect(code).toBe(0);
    for (const key of ['n', 'censoring', 'product_levels', 'path_levels', 'vcov_names'])
      expect(actual[key]).toEqual(expected[key]);
    expect(actual.estimable).toBe(true);
    same(actual.coefficients, expected.coefficients);
    for (const key of ['sigma', 'loglik', 'vcov']) same(actual[key], expected[key]);
    same(
      (actual.fitted as { median: { wald95: number[] } }[]).map((f) => f.median.wald95),
      (expected.fitted as { median: { lower95_m: number; upper95_m: number } }[]).map((f) => [
        f.median.lower95_m,
        f.median.upper95_m,
      ]),
    );
    if (expected.lr_test_product === null) expect(actual.lr_test_product).toBeNull();
    else
      same(
        (actual.lr_test_product as { p_value: number }).p_value,
        (expected.lr_test_product as { p_value: number }).p_value,
      );
  });

  test('what cannot be estimated is null, with its bounds', async () => {
    const { out } = await run('ranges', file(`${head}\nA,x,1,50,\nA,x,2,60,\n`), '--json');
    expect(JSON.parse(out)).toMatchObject({
      estimable: false,
      reason: 'no failure in any walk',
      sigma: null,
      vcov: null,
      fitted: [{ estimable: false, median: null, bounds: { all_held_to_m: 50, all_failed_by_m: null } }],
      lr_test_product: null,
    });
  });

  test('several criteria need a choice', async () => {
    const path = file(`${head},criterion\nA,x,1,50,60,lost\nA,x,2,55,58,lost\nA,x,1,30,35,first dropout\n`);
    const refused = await run('ranges', path, '--json');
    expect(refused).toMatchObject({ code: 2, out: '' });
    expect(refused.err).toContain(
      'column criterion: several values ("lost", "first dropout"); choose one with --criterion',
    );
    expect(JSON.parse((await run('ranges', path, '--json', '--criterion', 'lost')).out)).toMatchObject({
      n: 2,
    });
    expect((await run('ranges', path, '--criterion', 'none')).err).toContain('no row has "none"');
  });

  test('a table for people', async () => {
    const { out } = await run('ranges', reference('c.csv'));
    expect(out).toContain('P1  open  median 117 m (95 %: 60.0 m to 199 m; n = 5; by its own spread)');
    expect(out).toContain('P2 / P1: 1.685');
  });

  test.each([
    [`${head}\nA,x,1,50,40\n`, /line 2, column failed_m/],
    [`${head}\nA,x,1,a,40\n`, /line 2, column held_m/],
    [`${head},speed\n`, /line 1, column "speed": unknown column/],
  ])('%j: exit 2, place named, nothing on standard output', async (text, place) => {
    const { code, out, err } = await run('ranges', file(text), '--json');
    expect([code, out]).toEqual([2, '']);
    expect(err).toMatch(place);
  });

  test('wrong use is exit 2 as well', async () => {
    expect(await run('ranges')).toMatchObject({ code: 2, out: '' });
    expect(await run('no-such-command')).toMatchObject({ code: 2, out: '' });
    expect((await run('ranges', join(folder, 'missing.csv'))).err).toContain('cannot be read');
  });

  test('bin/urvek runs from any folder, without a build', () => {
    const { status, stdout } = spawnSync(
      fileURLToPath(new URL('../../bin/urvek', import.meta.url)),
      ['ranges', reference('a.csv'), '--json'],
      { cwd: tmpdir(), encoding: 'utf8', env: { ...process.env, NODE_OPTIONS: '' } },
    );
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ n: 8 });
  });
});

describe('urvek predict', () => {
  const input = {
    frequency_mhz: 2400,
    eirp_dbm: 20,
    rx_gain_dbi: 2,
    required_dbm: -70,
    heights_m: [1.5, 1.5],
    model: 'two-ray',
    obstructions: [
      { at_m: 38, kind: 'slab', material: 'brick', thickness_m: 0.1 },
      { from_m: 60, to_m: 90, kind: 'foliage' },
      { at_m: 50, kind: 'knife-edge', height_m: 1.5 },
      { kind: 'fixed-loss', db: 1 },
    ],
    distances_m: [30, 100, 400],
  };
  const json = (change: object): string => {
    const path = join(folder, `${JSON.stringify(change).length}.json`);
    writeFileSync(path, JSON.stringify({ ...input, ...change }));
    return path;
  };

  test('prints level and margin at every distance, and the reach', async () => {
    const { code, out, err } = await run('predict', json({}), '--json');
    expect({ code, err }).toEqual({ code: 0, err: '' });
    const { points, reach_m } = JSON.parse(out) as {
      points: Record<string, number>[];
      reach_m: number | null;
    };
    const [near, middle, far] = points as [
      Record<string, number>,
      Record<string, number>,
      Record<string, number>,
    ];
    // ITU-R P.525 and two rays, from memory: 80.05, 74.90 and 97.16 dB.
    expect(middle.free_space_db).toBeCloseTo(80.05, 2);
    expect(middle.path_loss_db).toBeCloseTo(74.9, 2);
    expect(far.path_loss_db).toBeCloseTo(97.16, 2);
    expect(near.obstruction_db).toBe(1);
    for (const p of points)
      expect(p.margin_db).toBeCloseTo(
        20 + 2 + 70 - (p.path_loss_db as number) - (p.obstruction_db as number),
        9,
      );
    // An edge at the line of sight cuts the clearance to nothing.
    expect(middle.fresnel_clearance_ratio).toBeCloseTo(0, 9);
    expect(reach_m).toBe(30);
    expect(JSON.parse((await run('predict', json({ required_dbm: -140 }), '--json')).out)).toMatchObject({
      reach_m: null,
    });
    expect((await run('predict', json({}))).out).toContain('reach 30 m');
  });

  test.each<[object, RegExp]>([
    [{ frequency_mhz: '2400' }, /frequency_mhz/],
    [{ heights_m: [1.5] }, /two heights/],
    [{ model: 'guess' }, /model/],
    [{ distances_m: [] }, /no distance/],
    [{ distances_m: [-5] }, /a distance must be above 0/],
    [{ obstructions: [{ kind: 'hedge' }] }, /obstruction 0: kind must be one of/],
    [
      { obstructions: [{ kind: 'slab', at_m: 1, material: 'slate', thickness_m: 1 }] },
      /obstruction 0: material/,
    ],
    [
      { obstructions: [{ kind: 'foliage', from_m: 0, to_m: 900 }], distances_m: [800] },
      /invalid depthM: 800/,
    ],
    [{ colour: 'red' }, /colour/],
  ])('%j is refused with exit 2 and its field', async (change, place) => {
    const { code, out, err } = await run('predict', json(change), '--json');
    expect([code, out]).toEqual([2, '']);
    expect(err).toMatch(place);
  });
});

describe('urvek convert', () => {
  // Exact factors of 1959.
  test.each([
    ['0.45 km', 'ft', '1476.37795276 ft\n'],
    ['500 ft', 'm', '152.4 m\n'],
    ['2.86 mi', 'km', '4.60272384 km\n'],
  ])('%s to %s', async (length, unit, expected) => {
    expect(await run('convert', length, '--to', unit)).toEqual({ code: 0, out: expected, err: '' });
  });

  test('what is not a length or not a unit is exit 2', async () => {
    expect(await run('convert', 'far', '--to', 'ft')).toMatchObject({
      code: 2,
      out: '',
      err: 'urvek: invalid length: "far"\n',
    });
    expect(await run('convert', '5 m', '--to', 'rods')).toMatchObject({ code: 2, out: '' });
    expect(await run('convert', '5 m')).toMatchObject({ code: 2, out: '' });
  });
});

/** What is read off JSON in a test. */
type Loose = Record<string, unknown>;

/** Equal to 1e-6 relative, through arrays and objects. */
function same(actual: unknown, expected: unknown): void {
  if (typeof expected === 'number') {
    expect(Math.abs((actual as number) - expected)).toBeLessThanOrEqual(1e-6 * Math.abs(expected) + 1e-12);
    return;
  }
  expect(Object.keys(actual as object)).toEqual(Object.keys(expected as object));
  for (const key of Object.keys(expected as object))
    same((actual as Record<string, unknown>)[key], (expected as Record<string, unknown>)[key]);
}

describe('verdict, audit and report of a whole comparison', () => {
  const judgedSetup: Setup = {
    ...SETUP,
    products: SETUP.products.map((p, i) => ({
      ...p,
      name: i === 0 ? 'Clip <b>a</b>' : p.name,
      claims: [
        {
          id: `c${i}`,
          form: 'distance' as const,
          entered: '20 m',
          upTo: true,
          condition: 'open' as const,
          source: 'box',
        },
      ],
    })),
    needs: [
      {
        id: 'n',
        use: 'Stage',
        entered: '10 m',
        condition: 'open',
        kindId: 'microphone',
        criterion: 'by kind',
      },
    ],
    acknowledged: [{ key: 'knowing/a/b', reason: 'only one of us was there' }],
  };
  const judgedFile = (): string => {
    const path = join(folder, 'judged.urvek.json');
    writeFileSync(
      path,
      JSON.stringify(
        writeInterchange(
          { id: uuid(50), title: 'Clips', question: 'Which?', simulated: true },
          judgedSetup,
          WALKS,
        ),
      ),
    );
    return path;
  };
  const judged = Study.ofLogs(judgedSetup, WALKS).judgement();

  test('verdict: each claim and need with its outcome and reason', async () => {
    const { claims, needs } = JSON.parse((await run('verdict', judgedFile(), '--json')).out) as {
      claims: { outcome: string; reason: string }[];
      needs: { outcome: string; margin: number }[];
    };
    expect(claims.map((c) => [c.outcome, c.reason])).toEqual(
      judged.verdicts.map((v) => [v.verdict.outcome, v.verdict.reason]),
    );
    expect(needs.map((n) => [n.outcome, n.margin])).toEqual(
      judged.needs.map((n) => [n.verdict.outcome, n.verdict.margin]),
    );
    expect((await run('verdict', judgedFile())).out).toContain(
      'supported   Clip <b>a</b>: up to 20 m, open, on Field',
    );
  });

  test('audit: each finding, and why it was left', async () => {
    const { findings } = JSON.parse((await run('audit', judgedFile(), '--json')).out) as {
      findings: { rule: string; acknowledged: string | null }[];
    };
    expect(findings.map((f) => f.rule)).toEqual(judged.audits.map((a) => a.rule));
    expect(findings.find((f) => f.rule === 'knowing')?.acknowledged).toBe('only one of us was there');
    expect((await run('audit', judgedFile())).out).toContain('left, because: only one of us was there');
  });

  test(
    'report: a page, its pictures and tables; every figure is that of ranges; nothing of a name is ' + 'run',
    async () => {
      const out = join(folder, 'report');
      const { code, out: written } = await run('report', judgedFile(), '--out', out);
      expect(code).toBe(0);
      const html = readFileSync(join(out, 'report.html'), 'utf8');
      const { fitted, product_ratios: ratios } = JSON.parse(
        (await run('ranges', judgedFile(), '--json')).out,
      ) as {
        fitted: { median: { estimate_m: number }; walks: number }[];
        product_ratios: { ratio: number }[];
      };
      for (const cell of fitted) expect(html).toContain(`median ${formatLength(cell.median.estimate_m)}`);
      for (const r of ratios) expect(html).toContain(`${r.ratio.toFixed(2)}× as far`);
      expect(html).toContain('Clip &lt;b&gt;a&lt;/b&gt;');
      expect(html).not.toContain('<b>a</b>');
      expect(html).toContain('Made up: these walks were played by simulated gear.');
      expect(html).toContain('only one of us was there');
      expect(written).toContain('ranges-field.svg');
      expect(readFileSync(join(out, 'ranges-field.svg'), 'utf8')).toMatch(/^<svg /);
      expect(readFileSync(join(out, 'findings.csv'), 'utf8').split('\r\n')[0]).toContain(
        'value,low95,high95,unit',
      );
      await run('report', judgedFile(), '--out', out, '--form', 'short');
      expect(readFileSync(join(out, 'report.txt'), 'utf8')).toContain('Who paid:');
    },
  );

  test.each([
    [['report', 'FILE', '--out', 'x', '--unit', 'league'], '--unit league'],
    [['report', 'FILE', '--out', 'x', '--form', 'middle'], '--form middle'],
    [['audit', 'nowhere.json'], 'cannot be read'],
    [['report', 'FILE'], '--out'],
  ] as const)('%j is refused', async (args, says) => {
    const { code, out, err } = await run(...args.map((a) => (a === 'FILE' ? judgedFile() : a)));
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(says);
  });
});
