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
