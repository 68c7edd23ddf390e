import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { backup, restore } from '../bin/lib/backup.mjs';
import { startCluster, type Cluster } from '../bin/lib/postgres.mjs';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { serve, type Serving } from '../server/src/serve.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';
import { seen } from './support/walker.ts';
import { walksOf } from './support/walks.ts';

// An older backup is put back under a walk that goes on: the device has every event of it.

const folder = mkdtempSync(join(tmpdir(), 'urvek-restored-'));
const file = join(folder, 'older.backup');
let cluster: Cluster;
let serving: Serving;
let browser: Browser;

const start = (port: number, demo: 'small' | 'none'): Promise<Serving> =>
  serve({
    databaseUrl: cluster.url('postgres'),
    port,
    demo,
    webRoot: process.env.URVEK_TEST_WEB,
    report: () => undefined,
  });

beforeAll(async () => {
  chmodSync(folder, 0o711);
  cluster = await startCluster(join(folder, 'database'), { fast: true });
  serving = await start(0, 'small');
  browser = await openBrowser();
}, 450_000);
afterAll(async () => {
  await browser.close();
  await serving.close();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
});

test('every event of the walk is found again at the base', async () => {
  const page = new Page(browser.driver, serving.url);
  await backup(cluster.tools, cluster.url('postgres'), file);
  const since = Date.now();
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  for (const key of ['4', '3', 'm', 'd', 'd']) await page.key(key);
  await page.until('at the base', async () => {
    const now = await seen(page);
    return now.kept >= 6 && now.atBase === now.kept;
  });
  const { port } = serving;
  await serving.close();
  await restore(cluster.tools, cluster.url('postgres'), file);
  serving = await start(port, 'none');
  // The base does not know the walk any more; the next press brings it back.
  await page.key('2');
  const log = async () =>
    (await walksOf(serving.url, DEMO_ID))
      .find((w) => w.header.startedMs >= since)
      ?.log.toSorted((a, b) => a.seq - b.seq) ?? [];
  await page.until('all of it at the base again', async () =>
    (await log()).some((e) => e.kind === 'grade' && e.body.grade === 2),
  );
  const found = await log();
  expect(found.map((e) => e.seq)).toEqual(found.map((_, i) => i + 1));
  expect(found.map((e) => e.kind)).toEqual(
    expect.arrayContaining(['begin', 'grade', 'mark', 'dropoutBegin', 'dropoutEnd']),
  );
}, 450_000);
