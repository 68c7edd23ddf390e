// Run by bench:probe on the far host: pairs a browser, walks, and prints what the probe logged there.
import { openBrowser, Page } from '../e2e/support/browser.ts';
import { keptEvents } from '../e2e/support/keptEvents.ts';
import { probeWhileWalking } from '../e2e/support/probe.ts';

const [address = '', code = ''] = process.argv.slice(2);
const browser = await openBrowser({ flags: ['--ignore-certificate-errors'] });
const page = new Page(browser.driver, address);
try {
  await browser.driver.get(new URL('pair', address).href);
  await browser.driver.executeAsyncScript(
    `const [code, done] = arguments;
    fetch('/pair', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ code, name: 'Bench' }),
    }).then((r) => done(r.status));`,
    code,
  );
  // Of 300 Mbit/s, 16 s are more than the usual budget.
  await probeWhileWalking(page, '2 GB');
  let measured: unknown[] = [];
  await page.until(
    'readings',
    async () => {
      measured = (await keptEvents(browser.driver)).flatMap((e) => (e.kind === 'measured' ? [e.body] : []));
      return measured.length >= 6;
    },
    120_000,
  );
  process.stdout.write(JSON.stringify(measured));
} finally {
  await browser.close();
}
