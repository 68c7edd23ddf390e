import type { Page } from './browser.ts';

/** What the page shows of the simulated gear, read in one go. */
const READ = `
  const heard = document.querySelector('[data-heard]');
  const wheel = document.querySelector('[data-wheel]');
  const kept = document.querySelector('[data-kept]');
  if (!heard || !wheel || !kept) return null;
  return {
    heard: Number(heard.dataset.heard),
    wheelM: Number(wheel.dataset.wheel),
    kept: Number(kept.dataset.kept),
    atBase: Number(kept.dataset.atBase),
  };`;

export interface Seen {
  readonly heard: number;
  readonly wheelM: number;
  readonly kept: number;
  readonly atBase: number;
}

export async function seen(page: Page): Promise<Seen> {
  let now: Seen | null = null;
  await page.until(
    'the simulated gear',
    async () => (now = await page.driver.executeScript<Seen | null>(READ)) !== null,
  );
  return now as unknown as Seen;
}

export async function setSpeed(page: Page, rate: number): Promise<void> {
  await (await page.find(`//option[normalize-space(.)='${rate}×']`)).click();
}

/** Logs by keys what is heard, until the condition is met: as an attentive user would. */
export async function listen(page: Page, until: (now: Seen) => boolean, lastHeard = 5): Promise<number> {
  let logged = lastHeard;
  for (const end = Date.now() + 40_000; Date.now() < end;) {
    const now = await seen(page);
    if (now.heard !== logged) {
      if (now.heard === 1) await page.key('d');
      else if (logged === 1) await page.key('d');
      if (now.heard !== 1) await page.key(String(now.heard));
      logged = now.heard;
    }
    if (until(now)) return logged;
  }
  throw new Error('what was waited for was not heard in 40 s');
}
