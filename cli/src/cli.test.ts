import { afterAll, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { main } from './main.ts';

const reference = (name: string): string => fileURLToPath(new URL(`../../core/src/range/reference/${name}`, import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'urvek-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

async function run(...args: string[]): Promise<{ code: number; out: string; err: string }> {
  let [out, err] = ['', ''];
  const code = await main(args, { out: (t) => { out += t; }, err: (t) => { err += t; } });
  return { code, out, err };
}

const file = (text: string): string => {
  const path = join(folder, `${Math.abs(text.length * 31 + text.charCodeAt(text.length - 2))}.csv`);
  writeFileSync(path, text);
  return path;
};
const head = 'product,path,walk,held_m,failed_m';

describe('urvek ranges', () => {
  test.each(['a', 'c', 'd_part'])('prints the fit of %s.csv as the reference has it', async (id) => {
    const expected = JSON.parse(readFileSync(reference(`${id}.json`), 'utf8')) as Loose;
    const { code, out } = await run('ranges', reference(`${id}.csv`), '--json');
    const actual = JSON.parse(out) as Loose;
    expect(code).toBe(0);
    for (const key of ['n', 'censoring', 'product_levels', 'path_levels', 'vcov_names']) expect(actual[key]).toEqual(expected[key]);
    expect(actual.estimable).toBe(true);
    same(actual.coefficients, expected.coefficients);
    for (const key of ['sigma', 'loglik', 'vcov']) same(actual[key], expected[key]);
    same((actual.fitted as { median: { wald95: number[] } }[]).map((f) => f.median.wald95), (expected.fitted as { median: { lower95_m: number; upper95_m: number } }[]).map((f) => [f.median.lower95_m, f.median.upper95_m]));
    if (expected.lr_test_product === null) expect(actual.lr_test_product).toBeNull();
    else same((actual.lr_test_product as { p_value: number }).p_value, (expected.lr_test_product as { p_value: number }).p_value);
  });

  test('what cannot be estimated is null, with its bounds', async () => {
    const { out } = await run('ranges', file(`${head}\nA,x,1,50,\nA,x,2,60,\n`), '--json');
    expect(JSON.parse(out)).toMatchObject({ estimable: false, reason: 'no failure in any walk', sigma: null, vcov: null, fitted: [{ estimable: false, median: null, bounds: { all_held_to_m: 50, all_failed_by_m: null } }], lr_test_product: null });
  });

  test('several criteria need a choice', async () => {
    const path = file(`${head},criterion\nA,x,1,50,60,lost\nA,x,2,55,58,lost\nA,x,1,30,35,first dropout\n`);
    const refused = await run('ranges', path, '--json');
    expect(refused).toMatchObject({ code: 2, out: '' });
    expect(refused.err).toContain('column criterion: several values ("lost", "first dropout"); choose one with --criterion');
    expect(JSON.parse((await run('ranges', path, '--json', '--criterion', 'lost')).out)).toMatchObject({ n: 2 });
    expect((await run('ranges', path, '--criterion', 'none')).err).toContain('no row has "none"');
  });

  test('a table for people', async () => {
    const { out } = await run('ranges', reference('c.csv'));
    expect(out).toContain('P1  open  median 118 m');
    expect(out).toContain('P2 / P1: 1.685');
  });

  test.each([[`${head}\nA,x,1,50,40\n`, /line 2, column failed_m/], [`${head}\nA,x,1,a,40\n`, /line 2, column held_m/], [`${head},speed\n`, /line 1, column "speed": unknown column/]])('%j: exit 2, place named, nothing on standard output', async (text, place) => {
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
    const { status, stdout } = spawnSync(fileURLToPath(new URL('../../bin/urvek', import.meta.url)), ['ranges', reference('a.csv'), '--json'], { cwd: tmpdir(), encoding: 'utf8', env: { ...process.env, NODE_OPTIONS: '' } });
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ n: 8 });
  });
});

describe('urvek predict', () => {
  const input = {
    frequency_mhz: 2400, eirp_dbm: 20, rx_gain_dbi: 2, required_dbm: -70, heights_m: [1.5, 1.5], model: 'two-ray',
    obstructions: [{ at_m: 38, kind: 'slab', material: 'brick', thickness_m: 0.1 }, { from_m: 60, to_m: 90, kind: 'foliage' }, { at_m: 50, kind: 'knife-edge', height_m: 1.5 }, { kind: 'fixed-loss', db: 1 }],
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
    const { points, reach_m } = JSON.parse(out) as { points: Record<string, number>[]; reach_m: number | null };
    const [near, middle, far] = points as [Record<string, number>, Record<string, number>, Record<string, number>];
    // ITU-R P.525 and two rays, from memory: 80.05, 74.90 and 97.16 dB.
    expect(middle.free_space_db).toBeCloseTo(80.05, 2);
    expect(middle.path_loss_db).toBeCloseTo(74.9, 2);
    expect(far.path_loss_db).toBeCloseTo(97.16, 2);
    expect(near.obstruction_db).toBe(1);
    for (const p of points) expect(p.margin_db).toBeCloseTo(20 + 2 + 70 - (p.path_loss_db as number) - (p.obstruction_db as number), 9);
    // An edge at the line of sight cuts the clearance to nothing.
    expect(middle.fresnel_clearance_ratio).toBeCloseTo(0, 9);
    expect(reach_m).toBe(30);
    expect(JSON.parse((await run('predict', json({ required_dbm: -140 }), '--json')).out)).toMatchObject({ reach_m: null });
    expect((await run('predict', json({}))).out).toContain('reach 30 m');
  });

  test.each<[object, RegExp]>([
    [{ frequency_mhz: '2400' }, /frequency_mhz/], [{ heights_m: [1.5] }, /two heights/], [{ model: 'guess' }, /model/], [{ distances_m: [] }, /no distance/], [{ distances_m: [-5] }, /a distance must be above 0/],
    [{ obstructions: [{ kind: 'hedge' }] }, /obstruction 0: kind must be one of/], [{ obstructions: [{ kind: 'slab', at_m: 1, material: 'slate', thickness_m: 1 }] }, /obstruction 0: material/],
    [{ obstructions: [{ kind: 'foliage', from_m: 0, to_m: 900 }], distances_m: [800] }, /invalid depthM: 800/], [{ colour: 'red' }, /colour/],
  ])('%j is refused with exit 2 and its field', async (change, place) => {
    const { code, out, err } = await run('predict', json(change), '--json');
    expect([code, out]).toEqual([2, '']);
    expect(err).toMatch(place);
  });
});

describe('urvek convert', () => {
  // Exact factors of 1959.
  test.each([['0.45 km', 'ft', '1476.37795276 ft\n'], ['500 ft', 'm', '152.4 m\n'], ['2.86 mi', 'km', '4.60272384 km\n']])('%s to %s', async (length, unit, expected) => {
    expect(await run('convert', length, '--to', unit)).toEqual({ code: 0, out: expected, err: '' });
  });

  test('what is not a length or not a unit is exit 2', async () => {
    expect(await run('convert', 'far', '--to', 'ft')).toMatchObject({ code: 2, out: '', err: 'urvek: invalid length: "far"\n' });
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
  for (const key of Object.keys(expected as object)) same((actual as Record<string, unknown>)[key], (expected as Record<string, unknown>)[key]);
}
