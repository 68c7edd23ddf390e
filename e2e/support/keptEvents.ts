import type { WebDriver } from 'selenium-webdriver';

/** An entry that a device keeps, as far as tests look. */
export interface Kept<B = object> {
  readonly kind: string;
  readonly time: { readonly walkS: number; readonly frameS?: number };
  readonly body: B;
}

/** All that the page's device keeps of its walks, in the order of the log. */
export const keptEvents = <B = object>(driver: WebDriver): Promise<Kept<B>[]> =>
  driver.executeAsyncScript<Kept<B>[]>(`
    const done = arguments[0];
    const open = indexedDB.open('urvek-field');
    open.onsuccess = () => {
      open.result.transaction('events').objectStore('events').getAll().onsuccess = ({ target }) => {
        open.result.close();
        done(target.result.map((k) => k.event));
      };
    };`);
