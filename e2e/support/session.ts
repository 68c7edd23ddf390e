import { afterAll, beforeAll } from '@jest/globals';
import { startApp, type App } from './app.ts';
import { openBrowser, Page, type Browser } from './browser.ts';

export interface Session {
  readonly app: App;
  readonly browser: Browser;
  readonly page: Page;
}

/** The application and a browser for the tests of one file, opened before and closed after them. */
export function useSession(options: { demo: boolean | 'whole' }): Session {
  let open: Session | undefined;
  beforeAll(async () => {
    const app = await startApp(options);
    const browser = await openBrowser();
    open = { app, browser, page: new Page(browser.driver, app.url) };
  }, 60_000);
  afterAll(async () => {
    await open?.browser.close();
    await open?.app.close();
  });
  const now = (): Session => {
    if (!open) throw new Error('the session is not open yet');
    return open;
  };
  return {
    get app() {
      return now().app;
    },
    get browser() {
      return now().browser;
    },
    get page() {
      return now().page;
    },
  };
}
