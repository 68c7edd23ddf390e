import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { contentOf, dailyBackup } from '../bin/lib/backup.mjs';
import { startCluster } from '../bin/lib/postgres.mjs';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { serve } from '../server/src/serve.ts';

// A backup is put into an empty Urvek, and every finding is the same to the last digit.

const folder = mkdtempSync(join(tmpdir(), 'urvek-backup-'));
const file = join(folder, 'all.backup');
beforeAll(() => chmodSync(folder, 0o711));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const dataOf = (name: string): string => join(folder, name);

function command(
  name: 'backup' | 'restore',
  data: string,
  ...args: string[]
): { code: number; said: string } {
  const env: NodeJS.ProcessEnv = { ...process.env, URVEK_DATA: dataOf(data) };
  delete env.NODE_OPTIONS;
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [fileURLToPath(new URL(`../bin/${name}.mjs`, import.meta.url)), ...args],
    { env, encoding: 'utf8' },
  );
  return { code: status ?? -1, said: stdout + stderr };
}

/** Findings of the demo as files say them, out of the database of a data folder. */
async function findings(data: string, demo: 'small' | 'none'): Promise<string[]> {
  const cluster = await startCluster(join(dataOf(data), 'database'), { fast: true });
  const serving = await serve({
    databaseUrl: cluster.url('postgres'),
    port: 0,
    demo,
    report: () => undefined,
  });
  const read = async (name: string): Promise<string> =>
    (await fetch(new URL(`api/comparisons/${DEMO_ID}/${name}`, serving.url))).text();
  const texts = [await read('files/findings.csv'), await read('comparison.json?private=kept')];
  await serving.close();
  await cluster.stop();
  // The file says when it was made.
  return texts.map((t) => t.replace(/"exportedAt":"[^"]*"/, ''));
}

test('backup, restore into an empty Urvek: the same findings; what was there before is kept', async () => {
  const before = await findings('first', 'small');
  expect(before[0]?.split('\n').length).toBeGreaterThan(10);
  const made = command('backup', 'first', file);
  expect(made.said).toMatch(/1 comparison, \d+ walks with \d+ log entries, in .*all\.backup/);
  expect(made.code).toBe(0);
  const twice = command('backup', 'first', file);
  expect([twice.code, twice.said]).toEqual([1, expect.stringMatching(/is there already/)]);

  const back = command('restore', 'second', file);
  expect([back.code, back.said]).toEqual([0, expect.stringMatching(/Restored: 1 comparison,/)]);
  expect(await findings('second', 'none')).toEqual(before);

  // Once more, over what is there now: that is backed up first.
  expect(command('restore', 'second', file).said).toMatch(/What was here is kept in .*before-restore-/);
  expect(await findings('second', 'none')).toEqual(before);

  // A database that cannot be opened makes room, and is not deleted.
  expect(command('restore', 'second', '--fresh', file).said).toMatch(
    /put aside as .*cluster\.before-restore-/,
  );
  expect(await findings('second', 'none')).toEqual(before);
  expect(readdirSync(join(dataOf('second'), 'database')).some((n) => n.startsWith('cluster.before-'))).toBe(
    true,
  );
}, 600_000);

test('what is no backup changes nothing', async () => {
  const wrong = join(folder, 'wrong.backup');
  writeFileSync(wrong, 'PGDMP no more');
  const refused = command('restore', 'second', wrong);
  expect([refused.code, refused.said]).toEqual([
    1,
    expect.stringMatching(/is not a backup of Urvek, or is damaged. Nothing was changed./),
  ]);
  expect(command('restore', 'second', join(folder, 'none')).said).toMatch(/There is no file/);
  expect(command('backup', 'third', join(folder, 'third.backup')).said).toMatch(/nothing to back up/);
  process.env.DATABASE_URL = 'postgres://elsewhere/none';
  expect(command('backup', 'second', join(folder, 'theirs.backup')).said).toMatch(/DATABASE_URL is set/);
  delete process.env.DATABASE_URL;
  expect((await findings('second', 'none'))[0]?.split('\n').length).toBeGreaterThan(10);
}, 300_000);

test('one backup a day is made, and seven are kept', async () => {
  const cluster = await startCluster(join(dataOf('second'), 'database'), { fast: true });
  const backups = join(folder, 'daily');
  const url = cluster.url('postgres');
  try {
    const day = (n: number): Date => new Date(Date.UTC(2026, 0, n, 9));
    for (let n = 1; n <= 9; n++)
      expect(await dailyBackup(cluster.tools, url, backups, day(n))).toBe(
        join(backups, `urvek-2026-01-0${n}.backup`),
      );
    expect(await dailyBackup(cluster.tools, url, backups, day(9))).toBeUndefined();
    expect(readdirSync(backups).sort()).toEqual(
      [3, 4, 5, 6, 7, 8, 9].map((n) => `urvek-2026-01-0${n}.backup`),
    );
    expect((await contentOf(cluster.tools, url)).comparisons).toBe(1);
  } finally {
    await cluster.stop();
  }
  expect(existsSync(`${file}.part`)).toBe(false);
}, 300_000);
