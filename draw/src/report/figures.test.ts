import { describe, expect, test } from '@jest/globals';
import { EMPTY_SETUP, type Setup, type StoredWalk } from '@urvek/contract';
import { readNotebook, Study, takeNotebook } from '@urvek/study';
import { figureSentences, setText } from './figures.ts';

// Three cases of the practice, from notes to every sentence that is said: worked out by hand.

let ids = 0;
const options = { newId: () => `${String(++ids).padStart(8, '0')}-0000-4000-8000-000000000000`, nowMs: 0 };

/** Takes notes, and changes the path's line before anything is worked out. */
function taken(
  notes: string,
  line: Partial<Setup['paths'][number]> = {},
): { setup: Setup; walks: readonly StoredWalk[] } {
  const found = takeNotebook(EMPTY_SETUP, 'c', readNotebook(notes), {
    ...options,
    unit: 'm',
    method: 'marked line',
    kindId: 'router',
  });
  expect(found.problems).toEqual([]);
  return {
    setup: { ...found.setup, paths: found.setup.paths.map((p) => ({ ...p, ...line })) },
    walks: found.walks,
  };
}

function said(notes: string, line?: Partial<Setup['paths'][number]>): { texts: string[]; study: Study } {
  const { setup, walks } = taken(notes, line);
  const study = Study.ofLogs(setup, walks);
  const [range] = study.ranges();
  const [curves] = study.curves();
  if (!range || !curves) throw new Error('nothing was walked');
  return { texts: figureSentences(range, curves, 'm').map((s) => s.text), study };
}

describe('readings in words', () => {
  test('far equals near within what the line gives by cable: at least, for value, fall and ratio', () => {
    const { texts, study } = said(
      [
        'product,walk,path,at,down_mbps,up_mbps',
        'A,1,House,2 m,188,41',
        ',,,20 m,163,40',
        'B,1,House,2 m,172,40',
        ',,,20 m,155,41',
      ].join('\n'),
      { behindDownMbps: 150, behindDownMostMbps: 200, behindUpMbps: 40, behindUpMostMbps: 42 },
    );
    expect(texts[0]).toBe(
      'A, down: at least 176 Mbit/s: up to 20.0 m it reads what is behind it, as by cable; it fell by ' +
        'at least 13 %, 188 to 163 Mbit/s, from 2.00 m to 20.0 m.',
    );
    expect(texts).toContainEqual(
      expect.stringMatching(
        /^A against B, down: not ranked: at every stand that both reached they read what is behind them/,
      ),
    );
    // Both read the line: neither claim is refuted.
    const { setup, walks } = taken('product,walk,path,at,down_mbps\nA,1,House,2 m,188\nB,1,House,2 m,180', {
      behindDownMbps: 150,
      behindDownMostMbps: 200,
    });
    const claimed: Setup = {
      ...setup,
      products: setup.products.map((p) => ({
        ...p,
        claims: [
          {
            id: 'c',
            form: 'throughput',
            entered: '900 Mbit/s',
            upTo: true,
            condition: 'unstated',
            source: 'box',
          },
        ],
      })),
    };
    const verdicts = Study.ofLogs(claimed, walks).judgement().verdicts;
    expect(verdicts.map((v) => v.verdict.outcome)).toEqual(['undecided', 'undecided']);
    expect(study.judgement().audits.some((a) => a.rule === 'cap')).toBe(true);
  });

  test('a band changes in a house: each has a curve, and another instrument is not ranked', () => {
    const { texts, study } = said(
      [
        'product,walk,path,at,down_mbps,band,instrument',
        'A,1,House,1 m,780,6 GHz,laptop',
        ',,,8 m,500,5 GHz,laptop',
        ',,,15 m,40,2.4 GHz,laptop',
        'B,1,House,1 m,600,5 GHz,phone app',
        ',,,8 m,530,5 GHz,phone app',
        ',,,15 m,75,5 GHz,phone app',
      ].join('\n'),
      { behindDownMbps: 620, behindDownMostMbps: 630 },
    );
    expect(texts).toEqual([
      'A, down: at least 780 Mbit/s: up to 1.00 m it reads what is behind it, as by cable; it fell by ' +
        'at least 95 %, 780 to 40 Mbit/s, from 1.00 m to 15.0 m.',
      'A, down: changed from 6 GHz to 5 GHz between 1.00 m and 8.00 m in 1 of 1 walk, as its readings ' +
        'say; each has a curve of its own.',
      'A, down: changed from 5 GHz to 2.4 GHz between 8.00 m and 15.0 m in 1 of 1 walk, as its ' +
        'readings say; each has a curve of its own.',
      'B, down: at least 600 Mbit/s: up to 1.00 m it reads what is behind it, as by cable; it fell by ' +
        'at least 88 %, 600 to 75 Mbit/s, from 1.00 m to 15.0 m.',
      'A against B, down: not ranked: read with different instruments, “laptop” against “phone app”: ' +
        'read both with one at the same stands, or one stand with both.',
    ]);
    const [curve] = study.curves()[0]?.throughput.curves ?? [];
    expect(curve?.parts.map((p) => [p.by, p.rows.map((r) => r.mbps)])).toEqual([
      ['6 GHz', [780]],
      ['5 GHz', [500]],
      ['2.4 GHz', [40]],
    ]);
  });

  test(
    'a drive by odometer: up fell by 80 %, down by 52 %, it was lost, and a reading was announced ' +
      'and never given',
    () => {
      const { setup, walks } = taken(
        [
          'product,walk,path,at,method,down_mbps,up_mbps,remark,event',
          'Dish,1,Lane,0.1 mi,odometer,620,100,,',
          ',,,0.3 mi,odometer,466,44,,',
          ',,,0.5 mi,odometer,,,speed test here at the half mile,',
          ',,,0.8 mi,odometer,300,20,,',
          ',,,0.9 mi,odometer,no connection,no connection,,',
          ',,,,,,,,end: link failed',
        ].join('\n'),
      );
      const study = Study.ofLogs(
        {
          ...setup,
          needs: [
            {
              ...{ id: 'n', use: 'A stream', entered: '', figure: '40 Mbit/s', condition: 'unstated' },
              ...{ kindId: 'router', criterion: 'by kind' },
            },
          ],
        },
        walks,
      );
      const [range] = study.ranges();
      const [curves] = study.curves();
      const texts = figureSentences(range!, curves!, 'mi').map((s) => s.text);
      // 620 to 300 is 52 %, 100 to 20 is 80 %; an odometer truncates: half a step of 0.1 mi is added to each.
      expect(texts).toContain('Dish: over the way up fell by 80 %, down by 52 %.');
      expect(texts).toContain(
        'Dish, down: no connection in 1 of 1 walk, nearest at 0.95 mi; it counts as 0 Mbit/s.',
      );
      expect(texts[0]).toContain('it fell by 52 %, 620 to 300 Mbit/s, from 0.15 mi to 0.85 mi');
      expect(texts.find((t) => t.startsWith('Dish, at least 40 Mbit/s, down'))).toMatch(/0\.85 mi/);
      const [bracket] = curves?.figures.find((f) => f.direction === 'fixed-to-mobile')?.rows ?? [];
      expect([bracket?.heldM, bracket?.failedM].map((m) => (m ?? NaN) / 1609.344)).toEqual([
        expect.closeTo(0.85, 6),
        expect.closeTo(0.95, 6),
      ]);
      expect(
        study
          .judgement()
          .audits.filter((a) => a.rule === 'announced')
          .map((a) => a.what),
      ).toEqual([
        'Dish, walk 1: “speed test here at the half mile” stands in the notes, and no reading of its own there',
      ]);
      expect(study.judgement().needs[0]?.verdict.reason).toContain('At least 40 Mbit/s');
    },
  );

  test('upload above the plan puts the instrument in doubt on all axes', () => {
    const { texts, study } = said(
      'product,walk,path,at,down_mbps,up_mbps,instrument\nA,1,House,2 m,90,75,app\nB,1,House,2 m,60,30,app',
      { planUpMbps: 35, planUpMostMbps: 40 },
    );
    expect(texts.filter((t) => t.includes('is in doubt on all it read'))).toHaveLength(2);
    // What nobody named is taken for one instrument: B is doubted with it, a laptop is not.
    const plan = { planUpMbps: 35 };
    const doubted = (instrument: string): boolean =>
      said(
        `product,walk,path,at,down_mbps,up_mbps,instrument\nA,1,House,2 m,90,75,\nB,1,House,2 m,60,30,${instrument}`,
        plan,
      )
        .study.curves()[0]
        ?.throughput.curves.some((c) => c.product === 'B' && c.unnamed) ?? false;
    expect([doubted(''), doubted('laptop')]).toEqual([true, false]);
    expect(study.judgement().audits.find((a) => a.rule === 'beyond-plan')?.what).toContain(
      'app read 75 Mbit/s up through a line sold as 40',
    );
  });

  test('a stand says median, spread and n, and how often nothing came through', () => {
    const set = { product: 'A', quantity: 'throughput', direction: 'fixed-to-mobile', stand: '2 m' } as const;
    expect(
      setText({ ...set, distanceM: 2, readings: 4, none: 1, walks: 2, median: 42.4, least: 9.26, most: 51 }),
    ).toBe('42 Mbit/s (9.3 to 51), n 4; no connection in 1 of 4');
    expect(
      setText({
        ...set,
        distanceM: 2,
        readings: 2,
        none: 2,
        walks: 1,
        median: undefined,
        least: undefined,
        most: undefined,
      }),
    ).toBe('no connection in 2 of 2');
    const level = { ...set, quantity: 'level', distanceM: 2, readings: 5, none: 3, walks: 1 } as const;
    expect(setText({ ...level, median: undefined, least: -88, most: -85 })).toBe(
      'no connection in 3 of 5, else -88 to -85 dBm',
    );
  });

  test('no connection enters the middle of a stand: a link does not improve where most of its readings failed', () => {
    const { study } = said(
      [
        'product,walk,path,at,down_mbps,level_dbm',
        'A,1,House,2 m,90,-60',
        ',,,20 m,70,-85',
        ',,,20 m,no connection,no connection',
        ',,,20 m,no connection,no connection',
      ].join('\n'),
    );
    const [, far] = (study.curves()[0]?.sets ?? []).filter((s) => s.quantity === 'throughput');
    expect(far).toMatchObject({ median: 0, least: 0, most: 70, readings: 3, none: 2 });
    const [, weak] = (study.curves()[0]?.sets ?? []).filter((s) => s.quantity === 'level');
    expect(weak).toMatchObject({ median: undefined, least: -85, most: -85, none: 2 });
  });
});
