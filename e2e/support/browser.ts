import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { commandOf } from '../../bin/lib/processes.mjs';
import { Builder, By, error, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js';

const FLAGS = [
  '--headless=new',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--force-device-scale-factor=1',
  '--hide-scrollbars',
];

/** The driver's own 200 ms are most of what a test takes. */
const LOOK_EVERY_MS = 40;

export interface Browser {
  readonly driver: WebDriver;
  readonly profile: string;
  close(): Promise<void>;
}

/** Debian's Chromium, headless; on a profile of its own, or on one that an earlier browser left. */
export async function openBrowser({
  width = 1280,
  height = 800,
  profile = mkdtempSync(join(tmpdir(), 'urvek-browser-')),
  flags = [] as readonly string[],
} = {}): Promise<Browser> {
  const options = new Options();
  options.setBinaryPath('/usr/bin/chromium');
  options.addArguments(...FLAGS, ...flags, `--user-data-dir=${profile}`, `--window-size=${width},${height}`);
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
    .build();
  await driver.manage().setTimeouts({ implicit: 0, pageLoad: 90_000 });
  // The window's size counts its frame; what a page gets is set here.
  await (
    driver as unknown as { sendDevToolsCommand(name: string, parameters: object): Promise<void> }
  ).sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
    width,
    height,
    deviceScaleFactor: 1,
    mobile: false,
  });
  return {
    driver,
    profile,
    close: async () => {
      await driver.quit();
      rmSync(profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
    },
  };
}

/** No warning, no shutdown: what was not on disk is gone. The profile stays. */
export async function kill({ driver, profile }: Browser): Promise<void> {
  const pids = readdirSync('/proc').filter(
    (name) => /^\d+$/.test(name) && commandOf(name).includes(`user-data-dir=${profile}`),
  );
  for (const pid of pids) {
    try {
      process.kill(Number(pid), 'SIGKILL');
    } catch {
      // It went with its parent.
    }
  }
  await driver.quit().catch(() => undefined);
}

/** A machine four times slower, with other tests on it, looks through a recording meanwhile. */
const WAIT_MS = 150_000;
/** Of what a page shows when something did not come, characters. */
const SHOWN_LENGTH = 3000;

/** Whether the page shows a text: the innermost element that has it is visible. */
const SHOWS = `
  const text = arguments[0];
  const has = (element) => element.textContent.replace(/\\s+/g, ' ').includes(text);
  const shows = (element) => {
    const inner = [...element.children].filter(has);
    return inner.length > 0
      ? inner.some(shows)
      : (element.closest('select') ?? element).checkVisibility({ visibilityProperty: true });
  };
  return has(document.body) && shows(document.body);`;

/** Brings an element into view and waits until it stays where it is: a press on what moves goes beside it. */
const RESTS = `
  const [element, forLooks, done] = arguments;
  element.scrollIntoView({ block: 'center' });
  const place = () => {
    const { x, y, width, height } = element.getBoundingClientRect();
    return [x, y, width, height];
  };
  const look = (last, same, left) => {
    const now = place();
    const rested = String(now) === String(last) ? same + 1 : 0;
    if (rested >= forLooks || left === 0) done({ x: now[0] + now[2] / 2, y: now[1] + now[3] / 2 });
    else setTimeout(look, 20, now, rested, left - 1);
  };
  look([], 0, 50 * forLooks);`;

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The words a person would look for, found as a person would: visible text, labels, roles. */
export class Page {
  constructor(
    readonly driver: WebDriver,
    readonly origin: string,
  ) {}

  async open(path: string): Promise<void> {
    await this.driver.get(new URL(path, this.origin).href);
  }

  /** A view that is drawn again takes its elements away: then they are looked for once more. */
  private async steady<T>(act: () => Promise<T>): Promise<T> {
    for (const end = Date.now() + WAIT_MS; ;) {
      try {
        return await act();
      } catch (failure) {
        if (!(failure instanceof error.StaleElementReferenceError) || Date.now() > end) throw failure;
      }
    }
  }

  /** A wait that was in vain says what the page showed instead. */
  private async orShown<T>(wait: () => Promise<T>): Promise<T> {
    try {
      return await wait();
    } catch (failure) {
      if (failure instanceof error.TimeoutError)
        failure.message += `\nThe page shows: ${await this.shown().catch(() => 'nothing that can be read')}`;
      throw failure;
    }
  }

  private async shown(): Promise<string> {
    const text = await this.driver.executeScript<string>(
      "return location.pathname + ' · ' + document.body.innerText.replace(/\\s+/g, ' ')",
    );
    return text.slice(0, SHOWN_LENGTH);
  }

  async find(xpath: string): Promise<WebElement> {
    return this.orShown(() => this.found(xpath));
  }

  private async found(xpath: string): Promise<WebElement> {
    return this.steady(async () => {
      const element = await this.driver.wait(
        until.elementLocated(By.xpath(xpath)),
        WAIT_MS,
        `nothing at ${xpath}`,
        LOOK_EVERY_MS,
      );
      return this.driver.wait(
        until.elementIsVisible(element),
        WAIT_MS,
        `not visible: ${xpath}`,
        LOOK_EVERY_MS,
      );
    });
  }

  /** Waits until text is shown. */
  async see(text: string): Promise<void> {
    await this.until(text, () => this.driver.executeScript<boolean>(SHOWS, text));
  }

  /** The middle of an element once it stays where it is for so many looks of 20 ms, px in the window. */
  private rest(element: WebElement, forLooks: number): Promise<Point> {
    return this.driver.executeAsyncScript<Point>(RESTS, element, forLooks);
  }

  /** Where a finger finds the button whose words begin so. A view that was just opened may still be filling. */
  async placeOf(words: string): Promise<Point> {
    return this.steady(async () =>
      this.rest(await this.find(`//button[starts-with(normalize-space(.), ${quoted(words)})]`), 10),
    );
  }

  /** Presses a button or follows a link by its words. */
  async press(name: string): Promise<void> {
    const by = `[contains(normalize-space(.), ${quoted(name)}) or @aria-label=${quoted(name)}]`;
    await this.steady(async () => {
      const element = await this.find(`(//button${by} | //a${by} | //summary${by})[not(@disabled)]`);
      await this.rest(element, 1);
      await element.click();
    });
  }

  /** The field with this label, the nth of its name on the page. */
  async field(label: string, nth = 1): Promise<WebElement> {
    return this.find(
      `(//*[@id = (//label[starts-with(normalize-space(.), ${quoted(label)})]/@for)])[${nth}]`,
    );
  }

  async fill(label: string, value: string, nth = 1): Promise<void> {
    const element = await this.field(label, nth);
    await this.driver.executeScript(
      'arguments[0].scrollIntoView({block: "center"}); arguments[0].select?.()',
      element,
    );
    await element.sendKeys(value);
  }

  async choose(label: string, option: string, nth = 1): Promise<void> {
    const element = await this.field(label, nth);
    await (
      await element.findElement(By.xpath(`./option[contains(normalize-space(.), ${quoted(option)})]`))
    ).click();
  }

  /** A command of the DevTools protocol, which the library has and does not declare. */
  async devtools(name: string, parameters: object): Promise<void> {
    await (
      this.driver as unknown as { sendDevToolsCommand(name: string, parameters: object): Promise<void> }
    ).sendDevToolsCommand(name, parameters);
  }

  /** Keys to whatever has the focus. */
  async keys(...typed: string[]): Promise<void> {
    await this.driver
      .actions()
      .sendKeys(...typed)
      .perform();
  }

  /** Files that are saved go to this folder. */
  saveTo(folder: string): Promise<void> {
    return this.devtools('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
  }

  /** Types at the page itself: the keys of the walk. */
  async key(keys: string): Promise<void> {
    await (await this.driver.findElement(By.css('body'))).sendKeys(keys);
  }

  async text(xpath: string): Promise<string> {
    return this.steady(async () => (await this.find(xpath)).getText());
  }

  async until(what: string, condition: () => Promise<boolean>, timeoutMs = WAIT_MS): Promise<void> {
    await this.orShown(() => this.driver.wait(condition, timeoutMs, `did not come: ${what}`, LOOK_EVERY_MS));
  }
}

const quoted = (text: string): string => (text.includes("'") ? `"${text}"` : `'${text}'`);
