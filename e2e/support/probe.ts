import type { Page } from './browser.ts';

/** Walks at once, and measures the link to the base while walking, with so much to spend. */
export async function probeWhileWalking(page: Page, budget: string): Promise<void> {
  await page.open('/');
  await page.press('Walk now');
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  await page.press('options');
  await page.press('measure the link to the base');
  await page.choose('At most', budget);
  await page.press('Measure');
}
