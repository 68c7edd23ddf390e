// npm run bench:pages: when each stage of a comparison of 2,052 walks shows what comes from them, in Chromium, how
// long the page's thread is at work at once meanwhile, and how soon a key shows its effect once it stands (from the
// press to the next picture, by Event Timing: multiples of 8 ms; under 16 is told as 16). On a cluster of its own; the
// web application must be built.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { startCluster } from '../bin/lib/postgres.mjs';
import { Key } from 'selenium-webdriver';
import { openBrowser, Page } from '../e2e/support/browser.ts';
import { STAGES } from '../e2e/support/stages.ts';
import { manyWalks } from '../server/src/demo/manyWalks.ts';
import { ensureServer, SERVER } from '../bin/lib/server.mjs';
import type { serve } from '../server/src/serve.ts';

const ID = '0c1d0000-0000-4000-8000-00000000beef';
/** 19 times 108 walks. */
const TIMES = 19;
const LOOKS = 3;
/** What the machine does meanwhile: a million numbers, always the same, put in order in a page. */
const SORTS = `
  const numbers = new Float64Array(1e6);
  for (let i = 0, x = 1; i < numbers.length; i++) numbers[i] = x = (x * 48271) % 2147483647;
  const from = performance.now();
  numbers.sort();
  return performance.now() - from;`;
const sorted: number[] = [];
/** How soon what a press did was seen, and what was pressed. */
interface Reaction {
  readonly ms: number;
  readonly of: string;
}

const folder = mkdtempSync(join(tmpdir(), 'urvek-bench-'));
chmodSync(folder, 0o711);
const cluster = await startCluster(join(folder, 'database'), { fast: true });
// As npm start runs it: its threads begin in a moment, and not in the seconds that single sources take.
await ensureServer();
const built = (await import(pathToFileURL(join(SERVER, 'serve.mjs')).href)) as { serve: typeof serve };
const server = await built.serve({
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
  const look = async (
    stage: string,
    sign: string,
  ): Promise<{ seenMs: number; tasksMs: number[]; reacted: Reaction[] }> => {
    const browser = await openBrowser();
    const page = new Page(browser.driver, server.url);
    // By the page's own clock, from the press: a driver that looks takes its time.
    await page.devtools('Page.addScriptToEvaluateOnNewDocument', {
      source: `const looking = setInterval(() => {
        if (!(document.body?.textContent ?? '').replace(/\\s+/g, ' ').includes(${JSON.stringify(sign)})) return;
        window.seenMs = performance.now();
        clearInterval(looking);
      }, 30);`,
    });
    await page.open(`/c/${ID}/${stage}`);
    await page.see(sign);
    await browser.driver.sleep(3000);
    const [seenMs, tasksMs] = await browser.driver.executeAsyncScript<[number, number[]]>(`
      const done = arguments[0];
      const found = [];
      const keep = (list) => found.push(...list.getEntries().map((e) => Math.round(e.duration)));
      new PerformanceObserver(keep).observe({ type: 'longtask', buffered: true });
      setTimeout(() => done([window.seenMs, found]), 300);
    `);
    await page.devtools('Runtime.evaluate', {
      expression: `window.reacted = [];
      new PerformanceObserver((list) => {
        const pressed = list.getEntries().filter((e) => /^(keydown|keyup|click)$/.test(e.name));
        window.reacted.push(
          ...pressed.map((e) => ({
            ms: e.duration,
            of:
              e.name +
              ' on ' +
              (e.target === document.body ? 'the page' : e.target?.ariaLabel || e.target?.innerText || '').slice(0, 30),
          })),
        );
      }).observe({ type: 'event', durationThreshold: 16 });`,
    });
    // Through what can be reached, along the board or list that is met, and one thing opened.
    for (const key of [...Array(14).fill(Key.TAB), ...Array(6).fill(Key.ARROW_DOWN), Key.ENTER] as string[]) {
      await page.keys(key);
      await browser.driver.sleep(150);
    }
    await browser.driver.sleep(500);
    sorted.push(await browser.driver.executeScript<number>(SORTS));
    const reacted = await browser.driver.executeScript<Reaction[]>('return window.reacted');
    await browser.close();
    return { seenMs, tasksMs, reacted };
  };
  const [first] = STAGES as [(typeof STAGES)[number]];
  const { seenMs } = await look(first[0], first[1]);
  console.log(`${(seenMs / 1000).toFixed(2).padStart(8)} s  ${first[0]}, at once after its walks came in`);
  // What the base works out by itself once it is quiet.
  await new Promise((resolve) => setTimeout(resolve, 15_000));
  console.log(`later, each time a browser that was never here; median of ${LOOKS} (all)`);
  for (const [stage, sign] of STAGES) {
    const looks = [];
    for (let i = 0; i < LOOKS; i++) looks.push(await look(stage, sign));
    const seen = looks.map((l) => l.seenMs).toSorted((x, y) => x - y);
    const tasks = looks.flatMap((l) => l.tasksMs);
    const s = (ms: number | undefined): string => ((ms ?? NaN) / 1000).toFixed(2);
    const slowest = looks
      .flatMap((l) => l.reacted)
      .reduce((a, b) => (b.ms > a.ms ? b : a), { ms: 16, of: 'every one' });
    console.log(
      `${s(seen[LOOKS >> 1]).padStart(8)} s  ${stage}: “${sign}” (${seen.map(s).join(', ')}); ` +
        `${Math.round(tasks.length / LOOKS)} tasks over 50 ms, ${Math.max(0, ...tasks)} ms at most; ` +
        `a key shows within ${slowest.ms} ms (${slowest.of})`,
    );
  }
  const [least, middle] = [Math.min(...sorted), sorted.toSorted((x, y) => x - y)[sorted.length >> 1] ?? NaN];
  console.log(`a million numbers were put in order in ${middle.toFixed(0)} ms (least ${least.toFixed(0)})`);
} finally {
  await server.close();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
}
