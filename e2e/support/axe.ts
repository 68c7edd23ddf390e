import { AxeBuilder } from '@axe-core/webdriverjs';
import type { WebDriver } from 'selenium-webdriver';

/** What axe finds against WCAG 2.2 AA on the page as it stands, each with where. */
export async function wcagFindings(driver: WebDriver): Promise<string[]> {
  const { violations } = await new AxeBuilder(driver)
    // The other mode opens a window of its own for pages in frames, which takes as long as the looking; there are none.
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  return violations.map(
    (v) =>
      `${v.id}: ${v.nodes
        .map((n) => n.html)
        .slice(0, 2)
        .join(' ')}`,
  );
}
