import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { startApp, type App } from './support/app.ts';
import { wcagFindings } from './support/axe.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';

const folder = mkdtempSync(join(tmpdir(), 'urvek-authority-'));
let app: App;
const browsers: Browser[] = [];
const open = async (origin: string, flags: readonly string[] = []): Promise<Page> => {
  const browser = await openBrowser({ flags });
  browsers.push(browser);
  return new Page(browser.driver, origin);
};

beforeAll(async () => {
  app = await startApp({ demo: true, lan: { folder, addresses: ['127.0.0.1'], port: 0 } });
}, 150_000);
afterAll(async () => {
  for (const browser of browsers) await browser.close();
  await app.close();
  rmSync(folder, { recursive: true });
});

test('a phone is paired by the code on this machine’s page, works, and is shut out when it is revoked', async () => {
  const desk = await open(app.url);
  await desk.open('/devices');
  await desk.press('Make a code');
  const code = (await (
    await desk.find('//*[@data-pairing-code]')
  ).getAttribute('data-pairing-code')) as string;
  expect(await wcagFindings(desk.driver)).toEqual([]);
  // Installing an authority is the phone's own matter; here the browser is told to take the certificate.
  const phone = await open(app.lanUrls[0] as string, ['--ignore-certificate-errors']);
  await phone.open('/walk-now');
  await phone.see('Pair this device');
  expect(await wcagFindings(phone.driver)).toEqual([]);
  await phone.fill('Code, eight signs', 'WRNGWRNG');
  await phone.press('Pair');
  await phone.see('This code is wrong, was used, or has expired.');
  const field = await phone.field('Code, eight signs');
  await field.clear();
  await field.sendKeys(code);
  await phone.press('Pair');
  await phone.see('Clip microphones on the Incline');
  expect(await phone.driver.executeScript('return document.cookie')).toBe('');
  // It may log: the plan counts what others walked, and results of that are not for it.
  await phone.open(`/c/${DEMO_ID}/walk`);
  await phone.see('This device reads its own walks only.');
  await phone.see('Begin the walk');
  await phone.open(`/c/${DEMO_ID}/ranges`);
  await phone.see('This device reads its own walks only.');
  await desk.press('Revoke Phone');
  await desk.find('//*[@data-device="revoked"]');
  // A page that is slow registers its service worker late, and that answers with the page it has.
  await phone.until('the page that pairs', async () => {
    await phone.driver.executeScript(
      'return navigator.serviceWorker?.getRegistrations().then((all) => Promise.all(all.map((r) => r.unregister())))',
    );
    await phone.open('/');
    await phone.driver.sleep(500);
    return phone.driver.executeScript<boolean>(
      "return document.body.textContent.includes('Pair this device')",
    );
  });
}, 450_000);
