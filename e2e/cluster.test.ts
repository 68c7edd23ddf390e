import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  unlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { startCluster, type Cluster } from '../bin/lib/postgres.mjs';

// A cluster's folder as it can be found: damaged, without its password, of another version. Nothing is ever deleted.

const folder = mkdtempSync(join(tmpdir(), 'urvek-cluster-'));
const at = join(folder, 'database');
const inside = (name: string): string => join(at, 'cluster', name);

async function ask(cluster: Cluster, sql: string): Promise<unknown[]> {
  const client = new pg.Client(cluster.url('postgres'));
  await client.connect();
  const { rows } = await client.query(sql);
  await client.end();
  return rows as unknown[];
}

beforeAll(async () => {
  chmodSync(folder, 0o711);
  const cluster = await startCluster(at, { fast: true });
  await ask(cluster, 'CREATE TABLE kept AS SELECT 42 AS n');
  await cluster.stop();
}, 150_000);
afterAll(() => rmSync(folder, { recursive: true, force: true }));

async function kept(): Promise<unknown[]> {
  const cluster = await startCluster(at, { fast: true });
  const rows = await ask(cluster, 'SELECT n FROM kept');
  await cluster.stop();
  return rows;
}

test('a lost password is replaced, and the data are there', async () => {
  unlinkSync(join(at, 'password'));
  expect(await kept()).toEqual([{ n: 42 }]);
  expect(existsSync(join(at, 'password'))).toBe(true);
}, 150_000);

test('another major version is not opened by this one: which is wanted is said, and nothing is changed', async () => {
  renameSync(inside('PG_VERSION'), inside('PG_VERSION.true'));
  writeFileSync(inside('PG_VERSION'), '9\n');
  await expect(startCluster(at, { fast: true })).rejects.toThrow(
    /made by PostgreSQL 9, which is not here.*postgresql-9/s,
  );
  renameSync(inside('PG_VERSION.true'), inside('PG_VERSION'));
  expect(await kept()).toEqual([{ n: 42 }]);
}, 150_000);

test('a damaged folder is put aside, not deleted, and works again when it is mended', async () => {
  renameSync(inside('PG_VERSION'), join(folder, 'PG_VERSION'));
  await expect(startCluster(at, { fast: true })).rejects.toThrow(
    /is damaged.*Nothing was deleted; it was put aside/s,
  );
  const [aside] = readdirSync(at).filter((name) => name.startsWith('cluster.damaged-'));
  expect(existsSync(join(at, 'cluster'))).toBe(false);
  renameSync(join(at, aside as string), join(at, 'cluster'));
  renameSync(join(folder, 'PG_VERSION'), inside('PG_VERSION'));
  expect(await kept()).toEqual([{ n: 42 }]);
}, 150_000);

test('what a killed start left half made is made anew', async () => {
  const other = join(folder, 'other');
  const first = await startCluster(other, { fast: true });
  await first.stop();
  renameSync(join(other, 'cluster'), join(other, 'cluster.new'));
  unlinkSync(join(other, 'cluster.new', 'PG_VERSION'));
  const again = await startCluster(other, { fast: true });
  expect(await ask(again, 'SELECT 1 AS one')).toEqual([{ one: 1 }]);
  await again.stop();
  expect(readdirSync(other).sort()).toEqual(['cluster', 'password']);
}, 150_000);

test('a copy of the folder of an Urvek that runs is opened by itself, and that one is left alone', async () => {
  const running = await startCluster(at, { fast: true });
  const copy = join(folder, 'copy');
  cpSync(at, copy, { recursive: true });
  execFileSync('chown', ['-R', '--reference', join(at, 'cluster'), join(copy, 'cluster')]);
  const other = await startCluster(copy, { fast: true });
  expect(await ask(other, 'SELECT n FROM kept')).toEqual([{ n: 42 }]);
  await other.stop();
  expect(await ask(running, 'SELECT n FROM kept')).toEqual([{ n: 42 }]);
  await running.stop();
}, 150_000);

test('pages carry checksums, and an old cluster gets them', async () => {
  const state = async (): Promise<unknown> => {
    const cluster = await startCluster(at);
    const rows = await ask(cluster, 'SHOW data_checksums');
    const { bin } = cluster.tools;
    await cluster.stop();
    return [rows, bin];
  };
  const [on, bin] = (await state()) as [unknown, string];
  expect(on).toEqual([{ data_checksums: 'on' }]);
  const { uid, gid } = statSync(join(at, 'cluster'));
  execFileSync(join(bin, 'pg_checksums'), ['--disable', '-D', join(at, 'cluster')], {
    uid,
    gid,
    stdio: 'ignore',
  });
  expect(((await state()) as [unknown])[0]).toEqual([{ data_checksums: 'on' }]);
  expect(readdirSync(inside('log'))).toEqual([expect.stringMatching(/^urvek-[A-Z][a-z]{2}\.log$/)]);
}, 150_000);

const root = process.getuid?.() === 0;
(root ? test : test.skip)(
  root ? 'root opens a cluster as the user who made it' : 'not run: needs root',
  async () => {
    execFileSync('chown', ['-R', 'nobody', join(at, 'cluster')]);
    expect(await kept()).toEqual([{ n: 42 }]);
    expect(statSync(inside('postgresql.auto.conf')).uid).toBe(statSync(join(at, 'cluster')).uid);
  },
  150_000,
);
