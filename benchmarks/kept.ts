// npm run bench:kept -- ADDRESS: how long from a press to "kept" in a real browser, on a running Urvek with
// the demo.
import { readFileSync } from 'node:fs';
import { openBrowser, Page } from '../e2e/support/browser.ts';

const PRESSES = 200;
const browser = await openBrowser();
try {
  const address = process.argv[2] ?? readFileSync('.urvek/address', 'utf8').trim();
  const page = new Page(browser.driver, new URL('/', address).href);
  await page.driver.get(address);
  await page.open('/c/0c1d0000-0000-4000-8000-000000000001/walk');
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  const times: number[] = [];
  let last = '';
  for (let i = 0; i < PRESSES; i++) {
    await page.key(i % 2 === 0 ? '4' : '3');
    await page
      .until(
        'kept',
        async () => {
          const now = await page.driver.executeScript<string>(
            "return document.querySelector('[data-saved-ms]')?.dataset.savedMs ?? ''",
          );
          if (now === '' || now === last) return false;
          last = now;
          times.push(Number(now));
          return true;
        },
        2000,
      )
      .catch(() => undefined);
  }
  times.sort((a, b) => a - b);
  const at = (share: number): string => (times[Math.floor(share * times.length)] as number).toFixed(1);
  console.log(`${times.length} presses: kept after ${at(0.5)} ms (median), ${at(0.95)} ms (p95)`);
} finally {
  await browser.close();
}
