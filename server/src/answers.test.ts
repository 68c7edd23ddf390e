import { beforeAll, describe, expect, test } from '@jest/globals';
import { EMPTY_SETUP, readInterchange, type Comparison, type ComparisonState } from '@urvek/contract';
import { addressOf, answerTo, type Held, type Question } from '@urvek/draw';
import { Study } from '@urvek/study';
import { randomUUID } from 'node:crypto';
import { manyWalks } from './demo/manyWalks.ts';
import { SLATE_WORKS_ID } from './demo/slateWorks.ts';
import { useServer } from './test/useServer.ts';

// What stages ask of a comparison that a device would have to fetch for long first.

const ID = '0c1d0000-0000-4000-8000-00000000beef';
const server = useServer({ demo: 'whole' });
const at = (path: string): string => new URL(`api/comparisons/${path}`, server.serving.url).href;
const stateOf = async (id: string): Promise<ComparisonState> =>
  (await (await fetch(at(`${id}/state`))).json()) as ComparisonState;
const asking = (id: string, question: Question): string =>
  new URL(`api${addressOf(id, question, true)}`, server.serving.url).href;

const file = manyWalks(ID, 3);
let here: Held;
beforeAll(async () => {
  const response = await fetch(at('import'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(file),
  });
  expect(response.status).toBe(201);
  const { setup, walks } = readInterchange(file);
  here = { comparison: (await response.json()) as Comparison, study: Study.ofLogs(setup, walks) };
}, 120_000);

const walkId = (): string => here.study.findings[7]?.walkId ?? '';
const pathId = 'incline';
const QUESTIONS: readonly (readonly [string, () => Question])[] = [
  ['overview', () => ({ ask: 'overview' })],
  ['stages', () => ({ ask: 'stages' })],
  ['bands', () => ({ ask: 'bands' })],
  ['judgement', () => ({ ask: 'judgement' })],
  ['judgement by another criterion', () => ({ ask: 'judgement', criterion: 'first dropout' })],
  ['curves', () => ({ ask: 'curves' })],
  ['board of the plan', () => ({ ask: 'planBoard' })],
  ['next points', () => ({ ask: 'nextPoints' })],
  ['audit of the plan', () => ({ ask: 'planAudit' })],
  ['levels', () => ({ ask: 'levels', pathId })],
  ['places without a distance', () => ({ ask: 'unplacedNames', pathId })],
  ['one walk', () => ({ ask: 'finding', walkId: walkId() })],
  ['report', () => ({ ask: 'report', form: 'long', unit: 'm', zone: 'Etc/UTC' })],
  ['report of one path', () => ({ ask: 'report', form: 'short', unit: 'ft', zone: 'Asia/Tokyo', pathId })],
  ['what is published', () => ({ ask: 'published', kindId: 'router' })],
];

describe('a comparison of 324 walks is answered for by the base', () => {
  test.each(QUESTIONS)('%s: as a device works it out, to the last digit', async (_, question) => {
    const own = answerTo(here, question(), true);
    const plain: unknown = JSON.parse(JSON.stringify(own));
    // Nothing in it that JSON cannot say.
    expect(plain).toEqual(own);
    const response = await fetch(asking(ID, question()));
    expect(response.status).toBe(200);
    expect(await response.json()).toEqual(plain);
  });

  test('says so, does not send again what did not change, and asks anew when the set-up changed', async () => {
    const before = await stateOf(ID);
    expect(before.answers).toBe(true);
    const asked = asking(ID, { ask: 'overview' });
    const first = await fetch(asked);
    await first.text();
    const again = (): Promise<Response> =>
      fetch(asked, {
        headers: { 'if-none-match': first.headers.get('etag') ?? '', 'cache-control': 'max-age=0' },
      });
    expect((await again()).status).toBe(304);
    const { title, question, setup, revision } = here.comparison;
    const products = setup.products.map((p, i) => (i === 0 ? { ...p, name: 'Renamed' } : p));
    const saved = await fetch(at(ID), {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ title, question, setup: { ...setup, products }, revision }),
    });
    expect(saved.status).toBe(200);
    expect((await stateOf(ID)).tag).not.toBe(before.tag);
    const anew = await again();
    expect(anew.status).toBe(200);
    expect(JSON.stringify(await anew.json())).toContain('"product":"Renamed"');
  });
});

test('a small one is for the device to work out', async () => {
  expect((await stateOf(SLATE_WORKS_ID)).answers).toBe(false);
  expect((await fetch(asking(SLATE_WORKS_ID, { ask: 'overview' }))).status).toBe(404);
});

test.each([
  ['answers/nothing?open=yes', 404],
  ['answers/judgement?criterion=nonsense&open=yes', 422],
  ['answers/report?form=long&unit=m&zone=Nowhere/Land&open=yes', 422],
  ['answers/overview?open=perhaps', 422],
  ['answers/overview?open=yes&more=1', 422],
])('%s is refused with %i', async (path, status) => {
  expect((await fetch(at(`${ID}/${path}`))).status).toBe(status);
});

test('an empty comparison has a state, one that is not here has none', async () => {
  const id = randomUUID();
  const made = await fetch(at(''), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id, title: 'Empty', question: '' }),
  });
  expect(made.status).toBe(201);
  expect(((await made.json()) as Comparison).setup).toEqual(EMPTY_SETUP);
  expect(await stateOf(id)).toMatchObject({ answers: false });
  expect((await fetch(at(`${randomUUID()}/state`))).status).toBe(404);
});
