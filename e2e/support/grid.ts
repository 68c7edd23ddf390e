import type { Page } from './browser.ts';

/** Pastes text into the notebook's grid, as from a spreadsheet. */
export const paste = (page: Page, text: string): Promise<void> =>
  page.driver.executeScript(
    `const data = new DataTransfer();
     data.setData('text/plain', arguments[0]);
     const pasted = { clipboardData: data, bubbles: true, cancelable: true };
     document.querySelector('[role=grid]').dispatchEvent(new ClipboardEvent('paste', pasted));`,
    text,
  );

/** What a cell of it shows. */
export const cellText = (page: Page, row: number, column: number): Promise<string> =>
  page.driver.executeScript<string>(
    `return document.getElementById('cell-${row}-${column}')?.textContent ?? ''`,
  );
