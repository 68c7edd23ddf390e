// npm run bench:pages: when each stage of a comparison of 2,052 walks shows what comes from them, in Chromium, and how
// long the page's thread is at work at once meanwhile. On a cluster of its own; the web application must be built.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startCluster } from '../bin/lib/postgres.mjs';
import { openBrowser, Page } from '../e2e/support/browser.ts';
import { STAGES } from '../e2e/support/stages.ts';
import { manyWalks } from '../server/src/demo/manyWalks.ts';
import { serve } from '../server/src/serve.ts';

const ID = '0c1d0000-0000-4000-8000-00000000beef';
/** 19 times 108 walks. */
const TIMES = 19;

const folder = mkdtempSync(join(tmpdir(), 'urvek-bench-'));
chmodSync(folder, 0o711);
const cluster = await startCluster(join(folder, 'database'), { fast: true });
const server = await serve({
  databaseUrl: cluster.url('postgres'),
  port: 0,
  demo: 'none',
  webRoot: join(import.meta.dirname, '../web/dist'),
  report: (error) => console.error(error),
});
try {
  await fetch(new URL('api/comparisons/import', server.url), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(manyWalks(ID, TIMES)),
  });
  for (const look of ['as the logs came in', 'again, by a browser that was never here']) {
    console.log(look);
    for (const [stage, sign] of STAGES) {
      const browser = await openBrowser();
      const page = new Page(browser.driver, server.url);
      await browser.driver.get('about:blank');
      const from = performance.now();
      await page.open(`/c/${ID}/${stage}`);
      await page.see(sign);
      const took = performance.now() - from;
      await browser.driver.sleep(3000);
      const tasks = await browser.driver.executeAsyncScript<number[]>(`
        const done = arguments[0];
        const found = [];
        new PerformanceObserver((list) => found.push(...list.getEntries().map((e) => Math.round(e.duration)))).observe({ type: 'longtask', buffered: true });
        setTimeout(() => done(found), 300);
      `);
      console.log(
        `${(took / 1000).toFixed(2).padStart(8)} s  ${stage}: “${sign}”; ${tasks.length} tasks over 50 ms, ${Math.max(0, ...tasks)} ms at most`,
      );
      await browser.close();
    }
  }
} finally {
  await server.close();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
}
