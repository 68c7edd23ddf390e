// npm run screenshots: one current picture of each stage from the demo data, at 1280×800 (the walk also at
// 390×844). An Urvek with the demo must be running; its whole address is the first argument, or the one that it
// wrote down.
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openBrowser, Page, type Browser } from './support/browser.ts';
import { paste } from './support/grid.ts';
import { madeFilm } from './support/madeFilm.ts';

/** As the start printed it, key and all. */
const address = process.argv[2] ?? readFileSync('.urvek/address', 'utf8').trim();
const origin = new URL('/', address).href;
const folder = process.argv[3] ?? 'docs/screenshots';
const DEMO = '/c/0c1d0000-0000-4000-8000-000000000001';
const SLATE_WORKS = '/c/0c1d0000-0000-4000-8000-000000000002';

/** Made up, as all of the demo is. */
const NOTES = [
  'walk\tproduct\tpath\tdirection\tat\tpoint\twords\tevent\tremark',
  '1\tHolmroe Pair\tIncline\t\t0 m\tlower gate\t\tbegin\t',
  '\t\t\tboth\t120 m\t\tloud and clear\t\t',
  '\t\t\tto-fixed\t260 m\tfootbridge\tscratchy but readable\t\twind from the west',
  '\t\t\tto-mobile\t260 m\tfootbridge\tfive and nine\t\t',
  '\t\t\tboth\tabout 340 m\t\tdropped out a couple of times\t\t',
  '\t\t\tboth\t0.40 m\tupper gate\tno answer\t\tcalled three times',
  '\t\t\t\t\t\t\tend: link failed\t',
  '2\t\t\tboth\t120 m\t\tloud and clear\t\t',
  '\t\t\tboth\t300-340 m\t\treadable with effort\t\t',
  '\t\t\tboth\t1,320 ft\tupper gate\tnothing heard\tend\t',
].join('\n');

async function shoot(page: Page, name: string): Promise<void> {
  await page.driver.sleep(700);
  writeFileSync(join(folder, `${name}.png`), await page.driver.takeScreenshot(), 'base64');
}

async function walking(browser: Browser, name: string, finish: boolean): Promise<void> {
  const page = new Page(browser.driver, origin);
  await page.open(`${DEMO}/walk`);
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  await (
    await page.find("//select[option[normalize-space(.)='20×']]/option[normalize-space(.)='20×']")
  ).click();
  await page.until(
    'some way out',
    async () => Number(await (await page.find('//*[@data-wheel]')).getAttribute('data-wheel')) > 75,
  );
  await page.key('4');
  await page.key('m');
  await page.until(
    'farther out',
    async () => Number(await (await page.find('//*[@data-wheel]')).getAttribute('data-wheel')) > 118,
  );
  await page.key('d');
  await page.until(
    'silence',
    async () => Number(await (await page.find('//*[@data-wheel]')).getAttribute('data-wheel')) > 132,
  );
  await (
    await page.find("//select[option[normalize-space(.)='20×']]/option[normalize-space(.)='1×']")
  ).click();
  await shoot(page, name);
  if (finish) {
    await page.key('e');
    await page.press('time');
  }
}

/** A film that the browser makes itself: blocks that count its frames, and a beep a second. */
async function filmed(page: Page): Promise<void> {
  const made = mkdtempSync(join(tmpdir(), 'urvek-shots-'));
  try {
    const file = join(made, 'made-up.webm');
    writeFileSync(file, await madeFilm(page.driver));
    await page.open(`${DEMO}/film`);
    await page.see('Choose the recording');
    await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(file);
    await page.see('The walk begins here');
    await page.choose('Rig that was walked', 'Ossimere Clip');
    await page.choose('Begins at', 'the fixed end');
    await page.press('The walk begins here');
    await page.see('Dropout begins');
    await page.press('5 s on');
    await page.driver.sleep(500);
    await page.key('d');
    await page.see('Dropout ends');
    await page.press('Find what was lost');
    await page.press('Look through the recording');
    await page.see('to decide');
    await page.driver.executeScript('scrollTo(0, 150)');
    await shoot(page, 'film');
    await (await page.find("(//button[starts-with(@aria-label, 'Look at')])[2]")).click();
    await page.driver.executeScript(
      "document.querySelector('video').closest('section').nextElementSibling.scrollIntoView({block: 'center'})",
    );
    await page.driver.sleep(500);
    await shoot(page, 'found');
  } finally {
    rmSync(made, { recursive: true });
  }
}

async function main(): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const desk = await openBrowser();
  const page = new Page(desk.driver, origin);
  try {
    await page.driver.get(address);
    await page.see('Clip microphones');
    await shoot(page, 'bench');
    for (const [name, stage, sign] of [
      ['kit', 'kit', 'Not stated'],
      ['rig-sheet', 'kit?product=quillon&show=sheet', 'hatched: not stated'],
      ['paths', 'paths', 'On one scale'],
      ['plan', 'plan', 'Home after'],
      ['trace', 'trace', 'Outcomes'],
      ['ranges', 'ranges', 'Separation, one scale for all'],
      ['verdict', 'verdict', 'Judged on'],
      ['verdict-fairness', 'verdict?show=fairness', 'First what could change'],
      ['report', 'report', 'What was tested'],
    ] as const) {
      await page.open(`${SLATE_WORKS}/${stage}`);
      await page.see(sign);
      await shoot(page, name);
    }
    await page.open(`${DEMO}/run-sheet`);
    await page.see('Back by');
    await shoot(page, 'run-sheet');
    await page.open(`${SLATE_WORKS}/paths`);
    await page.press('Wagon Shed');
    await page.find("//section[@aria-label='Wagon Shed']//*[@data-prediction]");
    await page.driver.executeScript(
      'document.querySelector(\'section[aria-label="Wagon Shed"]\').scrollIntoView()',
    );
    await shoot(page, 'site-plan');
    await page.open(`${SLATE_WORKS}/ranges?kind=router&path=incline&show=readings`);
    await page.find('//*[@data-figure-curves]');
    await page.driver.executeScript("document.querySelector('[data-figure-curves]').scrollIntoView()");
    await shoot(page, 'ranges-throughput');
    await page.open('/notebook');
    await page.find('//*[@role="grid"]');
    await paste(page, NOTES);
    await page.find('//*[@aria-label="What is in the way"]');
    await shoot(page, 'notebook');
    await page.driver.executeScript("localStorage.removeItem('urvek.notebook.new')");
    await page.open('/trainer');
    await page.see('Begin the lesson');
    await shoot(page, 'trainer');
    await walking(desk, 'walk', false);
  } finally {
    await desk.close();
  }
  const phone = await openBrowser({ width: 390, height: 844 });
  try {
    await phone.driver.get(address);
    await new Page(phone.driver, origin).see('Clip microphones');
    await walking(phone, 'walk-phone', false);
  } finally {
    await phone.close();
  }
  // Last: a walk with real gear makes rehearsals of the simulated ones.
  const last = await openBrowser();
  try {
    await last.driver.get(address);
    const film = new Page(last.driver, origin);
    await film.see('Clip microphones');
    await filmed(film);
  } finally {
    await last.close();
  }
}

await main();
