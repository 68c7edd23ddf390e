import { describe, expect, test } from '@jest/globals';
import { METRES_PER } from '@urvek/core';
import type { PlanCell, ReachCell } from '@urvek/study';
import fc from 'fast-check';
import { CARD_PX, CARD_SHAPES, cardScene } from '../card/card.ts';
import { reachBlock } from '../card/reachBlock.ts';
import { claimLane } from './claimLane.ts';
import { dayScene } from './dayScene.ts';
import { MOST_POSTS } from './posts.ts';
import { planCellScene } from './planCell.ts';
import { ledgerLines, ledgerScales, ledgerStrip } from './ledger.ts';
import { reachScale, scaleFor } from './reachScale.ts';
import { reachFigures, reachStrip } from './reachStrip.ts';
import type { Scene, Shape } from '../scene.ts';

const shapesOf = (scene: Scene): Shape[] => scene.groups.flatMap((g) => g.shapes);
const texts = (scene: Scene) => shapesOf(scene).filter((s) => s.kind === 'text');

const path = {
  ...{ id: 'x', name: 'X', condition: 'open', model: 'free-space', distanceMethod: 'wheel', hazards: '' },
  ...{ permission: '', obstructions: [], checkpoints: [] },
  legs: [{ lengthM: 200, bearingDeg: 0, riseM: 0, exposure: 'open' }],
} as unknown as ReachCell['path'];
const cellOf = (more: Partial<ReachCell>): ReachCell => ({
  ...{ id: 'x~a', path, subject: 'A', state: 'planned', walks: 0, planned: 3, cell: undefined, brackets: [] },
  ...{ ratio: undefined, why: undefined },
  ...more,
});
const estimate = cellOf({
  state: 'estimate',
  walks: 4,
  cell: {
    ...{ product: 'A', path: 'X', walks: 4, failures: 4, unplaced: 0 },
    scale: { u: 0, method: undefined, additive: false },
    median: { estimateM: 123.4 },
    withScale95M: { median: { low: 96, high: 157 } },
  } as unknown as NonNullable<ReachCell['cell']>,
});

describe('the scale of a board', () => {
  test('it rises with distance over any span, its figures are 1-2-5 of the unit within it, and never crowd', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 2, max: 1000, noNaN: true }),
        fc.integer({ min: 120, max: 600 }),
        fc.constantFrom('m' as const, 'ft' as const),
        (least, span, width, unit) => {
          const scale = reachScale(least, least * span, width, unit);
          const at = scale.ticks.map((t) => scale.x(t.atM));
          for (const { atM, label } of scale.ticks) {
            expect(atM).toBeGreaterThanOrEqual(least * (1 - 1e-9));
            expect(atM).toBeLessThanOrEqual(least * span * (1 + 1e-9));
            expect(label).toMatch(/^0?\.?0*[125]0*$/);
            expect(Number(label) * METRES_PER[unit]).toBeCloseTo(atM, 9);
          }
          if (scale.ticks.length > 1)
            at.slice(1).forEach((x, i) => expect(x - (at[i] as number)).toBeGreaterThanOrEqual(34 - 1e-9));
          const [a, b] = [least * span ** 0.3, least * span ** 0.7];
          expect(scale.x(a)).toBeLessThan(scale.x(b));
          expect(scale.x(0)).toBe(scale.x(least));
          expect(scale.x(Infinity)).toBeLessThanOrEqual(width);
        },
      ),
    );
    expect(() => reachScale(0, 10, 100, 'm')).toThrow('invalid leastM, mostM: 0, 10');
  });
});

test('a scale is there for any distances: of centimetres, of one, of none, of some a million times apart', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.001, max: 1e6, noNaN: true }), { maxLength: 6 }), (metres) => {
      const scale = scaleFor(metres, 300, 'm');
      for (const m of metres) {
        expect(scale.x(m)).toBeGreaterThanOrEqual(0);
        expect(scale.x(m)).toBeLessThanOrEqual(300);
      }
      const farthest = Math.max(...metres);
      if (metres.length > 0) expect(farthest).toBeLessThan(scale.mostM);
    }),
  );
});

describe('the ledger', () => {
  const ratio = (numerator: string, denominator: string, value: number) => ({
    ...{
      numerator,
      denominator,
      walks: [3, 3],
      estimate: { ratio: value },
      withScale95: { low: value / 2, high: value * 2 },
    },
  });
  const subject = (id: string) => ({ id, name: id.toUpperCase(), product: { id }, rigs: [{ id: `${id}r` }] });
  const verdict = (claim: object, outcome: string) => ({
    ...{ product: { id: 'a', kindId: 'k' }, subject: 'A', path, neverSettled: undefined },
    claim: { id: 'c', condition: 'open', upTo: false, ...claim },
    verdict: { outcome, reason: 'as the sentence says', next: undefined, caveats: [] },
  });
  const judged = (verdicts: object[]) =>
    ({
      verdicts,
      needs: [],
      ranges: [
        {
          ...{ path, kindId: 'k', subjects: ['a', 'b', 'c'].map(subject) },
          summary: {
            productRatios: [ratio('A', 'B', 3), ratio('C', 'A', 0.8)],
            fitted: [{ ...estimate.cell, product: 'A', walks: 4 }],
          },
        },
      ],
    }) as never;

  test('a ratio is drawn against the one that its claim names, whichever was fitted first', () => {
    const [line] = ledgerLines(
      judged([verdict({ form: 'ratio', entered: '1.2x', against: 'c' }, 'undecided')]),
      'm',
    );
    expect(line?.placed?.found).toBeCloseTo(1.25, 12);
    expect(line?.figures).toEqual({ figure: '×1.25', interval: '×0.63 to ×2.50', n: '3, 3' });
  });

  test('a claim of a distance gives its figures, and keeps its sentence for the line opened', () => {
    const distance = { form: 'distance', entered: '300 m' };
    const lines = ledgerLines(judged([verdict(distance, 'refuted'), verdict(distance, 'undecided')]), 'm');
    expect(lines.map((l) => l.reason)).toEqual(['as the sentence says', 'as the sentence says']);
    expect(lines[0]?.figures).toEqual({ figure: '123 m', interval: '96.0 m to 157 m', n: '4' });
    // The tick of the claim stands right of what was found.
    const shapes = shapesOf(
      ledgerStrip(lines[0] as (typeof lines)[number], ledgerScales(lines, 290, 'm'), 'm'),
    );
    const tick = shapes.find((s) => s.kind === 'line' && s.role === 'claim') as Extract<
      Shape,
      { kind: 'line' }
    >;
    const bar = shapes.find((s) => s.kind === 'rect' && s.role === 'interval') as Extract<
      Shape,
      { kind: 'rect' }
    >;
    expect(tick.x1).toBeGreaterThan(bar.x + bar.width);
  });
});

describe('a cell of the reach board', () => {
  test('where room lacks n goes first, then the interval, never the value', () => {
    expect(reachFigures(estimate, 'm')).toMatchObject({ value: '123 m', beside: '96.0 to 157 m', n: 'n 4' });
    expect(reachFigures(estimate, 'm', 160)).toMatchObject({
      value: '123 m',
      beside: '96.0 to 157 m',
      n: undefined,
    });
    expect(reachFigures(estimate, 'm', 60)).toMatchObject({ value: '123 m', beside: undefined });
  });

  test('each state has a shape of its own', () => {
    const scale = reachScale(10, 300, 240, 'm');
    const held = { heldM: 60, failedM: undefined };
    const bound = {
      ...estimate.cell,
      median: undefined,
      failures: 0,
      bounds: { allHeldToM: 60, common: held },
      withScale95M: { ...estimate.cell?.withScale95M, median: undefined, allHeldToM: 60 },
    } as unknown as NonNullable<ReachCell['cell']>;
    const cells = [
      cellOf({ state: 'not planned', planned: 0 }),
      cellOf({}),
      cellOf({ state: 'refused', walks: 2, why: 'no distance is known' }),
      cellOf({ state: 'brackets', walks: 1, brackets: [{ heldM: 40, failedM: 60 }] as never }),
      cellOf({ state: 'bound', walks: 3, brackets: [held] as never, cell: bound }),
      estimate,
    ];
    const roles = cells.map((c) =>
      [...new Set(reachStrip(c, scale, 'm').groups[1]?.shapes.map((s) => s.role))].sort().join(' '),
    );
    expect(new Set(roles).size).toBe(cells.length);
    // An estimate within the path, its interval too: nothing beyond the end.
    expect(roles[5]).toBe('interval median');
    expect(reachFigures(cells[4] as ReachCell, 'm').value).toBe('> 60.0 m');
  });
});

test('claims on one lane never run into each other', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 5, max: 4000, noNaN: true }), { minLength: 1, maxLength: 8 }),
      (metres) => {
        const scale = reachScale(2, 8000, 380, 'm');
        const lane = claimLane(
          'A',
          metres.map((atM) => ({ atM, text: `${atM} m` })),
          scale,
          'm',
        );
        const spans = texts(lane)
          .map((t) => {
            const wide = t.text.length * 6.6;
            return t.anchor === 'end' ? [t.x - wide, t.x] : [t.x, t.x + wide];
          })
          .sort((a, b) => (a[0] as number) - (b[0] as number));
        spans
          .slice(1)
          .forEach(([from], i) => expect(from).toBeGreaterThanOrEqual((spans[i]?.[1] as number) - 1e-9));
        // The tick of every claim is there, its figure or not.
        expect(shapesOf(lane).filter((s) => s.role === 'claim')).toHaveLength(metres.length);
      },
    ),
  );
});

test('posts are walks: full ones made, open ones to make, no more than have room', () => {
  const posts = (made: number, wanted: number): [number, number] => {
    const shapes = shapesOf(planCellScene({ made, wanted, outlook: 'bound', short: '' } as PlanCell));
    const of = (role: string): number => shapes.filter((s) => s.role === role).length;
    return [of('post-made'), of('post-open')];
  };
  expect(posts(2, 3)).toEqual([2, 1]);
  expect(posts(5, 3)).toEqual([5, 0]);
  expect(posts(40, 50)).toEqual([MOST_POSTS, 0]);
});

test('the day is to scale, dark before sunrise, and ends where one is home', () => {
  const slot = (name: string) => ({ round: 1, place: 1, item: { path: { name } } });
  const times = [
    { item: slot('X'), fromMin: 480, walkingFromMin: 490, toMin: 520 },
    { item: slot('X'), fromMin: 520, walkingFromMin: 525, toMin: 540 },
    { item: slot('Y'), fromMin: 540, walkingFromMin: 560, toMin: 600 },
  ] as never;
  const day = dayScene({ times, sunriseMin: 510, sunsetMin: 900, hoursAtHand: 3 }, 368);
  const rects = (role: string) =>
    shapesOf(day as Scene).flatMap((s) => (s.kind === 'rect' && s.role === role ? [s] : []));
  // 3 h at hand over 360 px: two px a minute.
  expect(rects('day-block').map((r) => [r.x, r.width])).toEqual([
    [4, 120],
    [124, 120],
  ]);
  expect(rects('dark').map((r) => [r.x, r.width])).toEqual([[4, 60]]);
  expect(rects('post-made')).toHaveLength(3);
  expect(
    dayScene({ times: [], sunriseMin: undefined, sunsetMin: undefined, hoursAtHand: undefined }, 300),
  ).toBeUndefined();
});

describe('a card', () => {
  const block = reachBlock(
    'Lane, open',
    [estimate, cellOf({ id: 'x~b', subject: 'B' })],
    scaleFor([100, 200], 300, 'm'),
    'm',
  );
  const within = ({ width, height, groups }: Scene): void => {
    for (const { at = { x: 0, y: 0, scale: 1 }, shapes } of groups)
      for (const s of shapes) {
        if (s.kind !== 'text' && s.kind !== 'rect') continue;
        const [x, y] = [at.x + at.scale * s.x, at.y + at.scale * s.y];
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(width + 1e-6);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y).toBeLessThanOrEqual(height + 1e-6);
      }
  };

  test('in every frame all stands within it, blocks never overlap, and simulated walks are called so', () => {
    fc.assert(
      fc.property(fc.constantFrom(...CARD_SHAPES), fc.integer({ min: 1, max: 8 }), (shape, n) => {
        const card = cardScene({
          ...{
            shape,
            title: 'Which one reaches farther along the lane?',
            lead: 'Microphone.',
            foot: '12 walks.',
          },
          simulated: 'made up',
          blocks: Array.from({ length: n }, () => block),
        });
        expect([card.width, card.height]).toEqual(CARD_PX[shape]);
        within(card);
        expect(texts(card).some((t) => t.text === 'made up')).toBe(true);
        const places = card.groups
          .filter((g) => g.id.endsWith('-0'))
          .map((g) => g.at as NonNullable<typeof g.at>);
        expect(places).toHaveLength(n);
        const [wide, high] = [block.width * (places[0]?.scale ?? 1), block.height * (places[0]?.scale ?? 1)];
        for (const a of places)
          for (const b of places)
            if (a !== b)
              expect(Math.abs(a.x - b.x) >= wide - 1e-6 || Math.abs(a.y - b.y) >= high - 1e-6).toBe(true);
      }),
    );
    expect(() =>
      cardScene({ shape: '1:1', title: '', lead: '', foot: '', simulated: undefined, blocks: [] }),
    ).toThrow(RangeError);
  });
});
