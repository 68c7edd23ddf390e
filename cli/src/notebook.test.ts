import { afterAll, describe, expect, test } from '@jest/globals';
import {
  EMPTY_SETUP,
  readInterchange,
  writeInterchange,
  type Interchange,
  type Setup,
} from '@urvek/contract';
import { findWalks } from '@urvek/study';
import { outcomeOf, type Criterion } from '@urvek/core';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { main } from './main.ts';

// Notes as people bring them home, through the command line.

const folder = mkdtempSync(join(tmpdir(), 'urvek-notebook-'));
afterAll(() => rmSync(folder, { recursive: true }));

const COMPARISON = join(folder, 'comparison.urvek.json');
const head: Interchange['comparison'] = {
  id: '00000000-0000-4000-8000-000000000001',
  title: 'From notes',
  question: '',
  simulated: false,
};
const write = (setup: Setup = EMPTY_SETUP): void =>
  writeFileSync(COMPARISON, JSON.stringify(writeInterchange(head, setup, [])));

async function take(
  table: string,
  ...options: string[]
): Promise<{ code: number; out: string; err: string; got: Interchange }> {
  const [file, made] = [join(folder, 'notes.csv'), join(folder, 'made.urvek.json')];
  rmSync(made, { force: true });
  writeFileSync(file, table);
  let [out, err] = ['', ''];
  const code = await main(['notebook', file, '--into', COMPARISON, '--out', made, ...options], {
    out: (t) => void (out += t),
    err: (t) => void (err += t),
  });
  return {
    code,
    out,
    err: err.replaceAll(`${folder}/`, ''),
    get got() {
      return readInterchange(JSON.parse(readFileSync(made, 'utf8')));
    },
  };
}
const outcomes = ({ setup, walks }: Interchange, criterion: Criterion) =>
  findWalks(setup, walks).map((f) => {
    const { interval, absent, between } = outcomeOf(f, criterion);
    return interval
      ? [f.product, f.label, round(interval.heldM), interval.failedM && round(interval.failedM)]
      : [f.product, f.label, absent, between];
  });
const round = (m: number): number => Math.round(m * 100) / 100;

describe('a table of notes becomes walks', () => {
  test('a two-way radio outing: both ways at named crossings, miles, nobody knows the time', async () => {
    write();
    const { code, out, got } = await take(
      [
        'Product,Walk,Distance,Point,Direction,Words,Event',
        'Radio A,1,0,the car,,,begin',
        ',,0.5 mi,first bridge,both,loud and clear,',
        ',,1.1 mi,crossing,to-fixed,scratchy but readable,',
        ',,1.1 mi,crossing,to-mobile,5 and 7,',
        ',,1.6 mi,the shop,both,no answer,',
        ',,,,,,end: link failed',
        'Radio B,1,0.5 mi,first bridge,both,loud and clear,',
        ',,1.6 mi,the shop,both,scratchy but readable,',
        ',,2.86 mi,the mast,both,nothing heard,',
      ].join('\n'),
      '--kind',
      'two-way-radio',
    );
    expect([code, out]).toEqual([0, expect.stringContaining('9 rows, 2 walks written')]);
    expect(out).toContain('made: product Radio A; all else of it is not stated');
    expect(got.setup.paths).toMatchObject([
      { name: 'Unknown path', condition: 'unstated', legs: [{ lengthM: 4603 }] },
    ]);
    // 1.1 mi = 1770.28 m, 1.6 mi = 2574.95 m, 2.86 mi = 4602.72 m (mile of 1609.344 m).
    expect(outcomes(got, 'last usable')).toEqual([
      ['Radio A', '1', 1770.28, 2574.95],
      ['Radio B', '1', 2574.95, 4602.72],
    ]);
    expect(got.walks.every((w) => w.header.undated)).toBe(true);
  });

  test('by yard lines, dropouts noted as they came: the place itself, without anybody’s reaction', async () => {
    write();
    const { code, got } = await take(
      [
        'walk;product;at;event;words',
        '1;Clip;0;begin;',
        '1;;"40";;clean',
        '1;;63 yd;dropout;',
        '1;;60;back;',
        '1;;100;end: path ended;',
      ].join('\n'),
      '--unit',
      'yd',
      '--method',
      'marked line',
      '--kind',
      'microphone',
    );
    expect(code).toBe(0);
    // 63 yd = 57.61 m.
    expect(outcomes(got, 'first dropout')).toEqual([['Clip', '1', 57.61, 57.61]]);
    const [walk] = findWalks(got.setup, got.walks);
    expect(outcomeOf(walk as NonNullable<typeof walk>, 'first dropout').interval?.failedUM).toBeCloseTo(
      0.1,
      3,
    );
  });

  test('a drive with readings: down and up at stands, no connection is the end of the curve', async () => {
    write();
    const { code, got } = await take(
      [
        'product,at,method,Download,Upload,band,remark',
        'Router,0.1 mi,odometer,620,100,5 GHz,',
        ',0.5 mi,,466,44,,"announced, never given"',
        ',0.8 mi,,300,20,2.4 GHz,',
        ',0.9 mi,,no connection,no connection,,',
      ].join('\n'),
      '--kind',
      'router',
      '--method',
      'odometer',
    );
    expect(code).toBe(0);
    const [walk] = findWalks(got.setup, got.walks);
    // An odometer that shows 0.1 mi has passed it by half a step, 0.05 mi = 80.47 m, on average.
    expect(
      walk?.trace.measured.map((m) => [m.direction, m.value, m.position && round(m.position.travelledM)]),
    ).toEqual(
      [
        [620, 100, 241.4],
        [466, 44, 885.14],
        [300, 20, 1367.94],
        [undefined, undefined, 1528.88],
      ].flatMap(([down, up, at]) => [
        ['fixed-to-mobile', down, at],
        ['mobile-to-fixed', up, at],
      ]),
    );
    // The path that is made reaches as far as somebody was: 0.95 mi = 1528.88 m, and no nearer.
    expect(outcomes(got, 'last usable')).toEqual([['Router', '1', 1367.94, 1528.88]]);
  });

  test('about, between, over and unknown keep what they say; named points keep their order', async () => {
    write();
    const { code, out, got } = await take(
      [
        'product,walk,at,grade',
        'A,1,about 100,5',
        'A,1,150-200 m,5',
        'A,1,over 300,1',
        'A,2,3rd lamp post,5',
        'A,2,the hedge,1',
        'A,3,100,5',
        'A,3,200,1',
        'A,3,90,5',
      ].join('\n'),
    );
    expect(code).toBe(0);
    expect(out).toContain('row 9: nearer than the row before: taken as the way back');
    const marks = got.walks[0]?.log.flatMap((e) => (e.kind === 'mark' ? [e.body.reading] : []));
    expect(marks).toEqual([
      { travelledM: 100, method: 'by eye', uncertaintyM: 10, pressed: true },
      { travelledM: 175, method: 'by eye', uncertaintyM: 50 / Math.sqrt(12), pressed: true },
      undefined,
    ]);
    expect(outcomes(got, 'last usable')).toEqual([
      ['A', '1', 175, undefined],
      ['A', '2', expect.any(String), { held: '3rd lamp post', failed: 'the hedge' }],
      ['A', '3', 100, 200],
    ]);
  });
});

describe('what is wrong is named by row and column', () => {
  const TABLE = [
    'product,at,grade,words,tries,hits',
    'A,"1,476",5,,,',
    'A,330 m,5,,,',
    'A,0.40 m,5,,,',
    'A,340,,dropped out a couple of times,,',
    'A,350,6,,,',
    'A,360,,,3,5',
    'A,banana 5m,,,,',
    'A,370,1,,,',
  ].join('\n');

  test('nothing is written, exit 2', async () => {
    write();
    const { code, err } = await take(TABLE);
    expect(code).toBe(2);
    const rows = err.split('\n').filter((l) => l.startsWith('notes.csv') || l.includes('notes.csv, row'));
    expect(rows.map((l) => /row (\d+), column (\w+)/.exec(l)?.slice(1))).toEqual([
      ['2', 'at'],
      ['4', 'at'],
      ['5', 'words'],
      ['6', 'grade'],
      ['7', 'hits'],
    ]);
    expect(err).toContain('“1,476” can be 1476 or 1.476: write one of them');
    expect(err).toContain('0.4 m after 330 m: another unit?');
    expect(err).toContain('Nothing was written.');
  });

  test('set aside, the rest is taken', async () => {
    write();
    const { code, err, got } = await take(TABLE, '--set-aside');
    expect(code).toBe(0);
    expect(err).toContain('set aside: notes.csv, row 6, column grade: “6” is no grade: 1 to 5');
    expect(outcomes(got, 'last usable')).toEqual([['A', '1', 330, 370]]);
  });

  test.each([
    ['', 'the table is empty'],
    ['a,b\n1,2\n', 'no column says where or what'],
    ['at,distance\n1,2\n', 'two columns mean “at”'],
    ['at,grade\n\uFFFD,5\n', 'no text in UTF-8'],
    [`at\n${'1\n'.repeat(20_001)}`, 'more than 20000 rows'],
    ['at,words\n1,"open\n', 'line'],
  ])('a table that is none ends in a sentence, %#', async (table, said) => {
    write();
    const { code, err } = await take(table);
    expect([code, err]).toEqual([2, expect.stringContaining(said)]);
  });
});

test('out of a comparison and into an empty one, the walks say the same', async () => {
  write();
  const table = [
    'product,walk,date,at,method,point,direction,grade,tries,hits,level_dbm,event,remark',
    'A,1,2026-05-12,0 m,wheel,,to-fixed,5,,,-40,begin,"=SUM(A1)"',
    'A,1,2026-05-12,40 m,wheel,gate,to-fixed,4,,,-71.5,,windy',
    'A,1,2026-05-12,90 m,wheel,,to-fixed,1,,,,,',
    'A,1,2026-05-12,,,,,,,,,end: danger,',
    'B,1,,30 m,by eye,,to-mobile,,5,4,,,',
    'B,1,,60 m,by eye,,to-mobile,,5,0,,,',
  ].join('\n');
  const first = await take(table);
  expect([first.code, first.err]).toEqual([0, '']);
  const taken = first.got;
  const back = async (comparison: Interchange): Promise<string> => {
    writeFileSync(COMPARISON, JSON.stringify(comparison));
    let out = '';
    await main(['notebook', COMPARISON, '--csv'], { out: (t) => void (out += t), err: () => undefined });
    return out;
  };
  const csv = await back(taken);
  write();
  const again = await take(csv);
  expect([again.code, again.err]).toEqual([0, '']);
  for (const criterion of ['last usable', 'first dropout'] as const)
    expect(outcomes(again.got, criterion)).toEqual(outcomes(taken, criterion));
  expect(outcomes(taken, 'last usable')).toEqual([
    ['A', '1', 40, 90],
    ['B', '1', 30, 60],
  ]);
  expect(csv.split('\r\n')[1]).toMatch(/0 m,wheel,.*-40.*begin,'=SUM/);
  expect(await back(again.got)).toBe(csv);
});
