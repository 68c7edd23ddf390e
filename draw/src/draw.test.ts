import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { EMPTY_SETUP, newRig } from '@urvek/contract';
import { summariseRanges, type Path, type WalkInterval } from '@urvek/core';
import { rangesByPath } from '@urvek/study';
import { sceneToSvg } from './svg.ts';
import { separationGround, travelledGround } from './tape/ground.ts';
import { estimateText, intervalText } from './tape/rangeLanes.ts';
import { tapeScale, ticks } from './tape/scale.ts';
import { tapeScene } from './tape/tape.ts';
import { thinnessOf } from './thinness.ts';

const path: Path = {
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'two-ray',
  legs: [
    { lengthM: 100, bearingDeg: 0, riseM: 0, exposure: 'open' },
    { lengthM: 100, bearingDeg: 90, riseM: 0, exposure: 'wooded' },
  ],
  obstructions: [{ label: 'Wall <b>"1"</b>', kind: 'fixed-loss', atM: 50, lossDb: 3 }],
  checkpoints: [{ name: 'post', atM: 120 }],
};

describe('the tape', () => {
  test('is to scale, and points back to the metres under a place', () => {
    const scale = tapeScale(400, 150, 1150);
    expect(scale.x(200)).toBe(650);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 400, noNaN: true }), (m) => {
        expect(scale.metresAt(scale.x(m))).toBeCloseTo(m, 6);
      }),
    );
    expect(() => tapeScale(0, 0, 1)).toThrow('invalid lengthM: 0');
  });

  test('ticks are round in the unit shown', () => {
    expect(ticks(420, 'm').majorM.slice(0, 3)).toEqual([0, 50, 100]);
    expect(ticks(420, 'ft').majorM[1]).toBeCloseTo(200 * 0.3048, 9);
  });

  test('separation has its own ground on a bent path', () => {
    expect(travelledGround(path).lengthM).toBe(200);
    expect(separationGround(path).lengthM).toBeCloseTo(Math.hypot(100, 100), 6);
    expect(separationGround(path).checkpoints[0]?.atM).toBeCloseTo(Math.hypot(100, 20), 6);
  });

  test('states differ in shape; a bound is an open arrow and never a dot', () => {
    const scene = tapeScene({
      title: 'T',
      ground: travelledGround(path),
      unit: 'm',
      measure: 'travelled',
      lanes: [
        {
          id: 'walk',
          label: 'w',
          states: [
            { fromM: 0, toM: 50, state: 'clear' },
            { fromM: 50, toM: 80, state: 'degraded' },
            { fromM: 80, toM: 120, state: 'lost' },
          ],
        },
        { id: 'bound', label: 'b', brackets: [{ heldM: 150, failedM: undefined }] },
      ],
    });
    const shapes = (id: string) => scene.groups.find((g) => g.id === id)?.shapes ?? [];
    const [clear, degraded] = ['clear', 'degraded'].map((role) =>
      shapes('walk').find((s) => s.role === role),
    );
    if (clear?.kind !== 'rect' || degraded?.kind !== 'rect') throw new Error('bands are missing');
    expect(degraded.height).toBe(clear.height / 2);
    expect(
      shapes('walk')
        .filter((s) => s.role === 'lost')
        .every((s) => s.kind === 'path'),
    ).toBe(true);
    expect(shapes('bound').map((s) => s.role)).toEqual(expect.arrayContaining(['bound', 'arrow']));
    expect(shapes('bound').map((s) => s.role)).not.toContain('median');
  });

  test('as SVG it is one well-formed picture, whatever the names hold', () => {
    const svg = sceneToSvg(
      tapeScene({
        title: 'A & <script>',
        ground: travelledGround(path),
        unit: 'm',
        measure: 'travelled',
        claims: [{ atM: 500, label: '"up to" 500 m' }],
        hereM: 30,
      }),
    );
    expect(svg).toContain('Wall &lt;b&gt;&quot;1&quot;&lt;/b&gt;');
    expect(svg).toContain('(beyond this tape)');
    expect(svg).not.toContain('<script>');
    expect(svg).not.toContain('NaN');
    expect((svg.match(/<g>/g) ?? []).length).toBe((svg.match(/<\/g>/g) ?? []).length);
  });
});

describe('words for figures', () => {
  const cellOf = (walks: readonly WalkInterval[]) =>
    summariseRanges(walks).fitted[0] as NonNullable<ReturnType<typeof summariseRanges>['fitted'][0]>;
  const walk = (heldM: number, failedM?: number): WalkInterval => ({
    product: 'A',
    path: 'P',
    walk: '1',
    heldM,
    failedM,
  });

  test('an interval, a bound from below, a bound from above', () => {
    expect(intervalText({ heldM: 118, failedM: 121 }, 'm')).toBe('held to 118 m, failed by 121 m');
    expect(intervalText({ heldM: 420, failedM: undefined }, 'ft')).toBe('more than 1378 ft');
    expect(intervalText({ heldM: 0, failedM: 20 }, 'm')).toBe('less than 20.0 m');
  });

  test('an estimate only where there is one; n on everything', () => {
    expect(estimateText(cellOf([walk(50, 55), walk(60, 66), walk(70, 77)]), 'm')).toMatch(
      /^median .* \(95 %: .* to .*; n = 3\)$/,
    );
    expect(estimateText(cellOf([walk(90), walk(95)]), 'm')).toBe('more than 90.0 m in 2 of 2 walks');
    expect(estimateText(cellOf([walk(50, 60)]), 'm')).toBe(
      'between 50.0 m and 60.0 m agrees with every walk (n = 1)',
    );
  });

  test('what is thin is said', () => {
    const said = (walks: readonly WalkInterval[]): string => {
      const [range] = rangesByPath(
        {
          ...EMPTY_SETUP,
          paths: [
            {
              id: 'p',
              name: 'P',
              condition: 'open',
              model: 'free-space',
              distanceMethod: 'wheel',
              hazards: '',
              permission: '',
              legs: [{ lengthM: 200, bearingDeg: 0, riseM: 0, exposure: 'open' }],
              obstructions: [],
              checkpoints: [],
            },
          ],
          products: [
            {
              id: 'a',
              name: 'A',
              kindId: 'microphone',
              bandMHz: 2400,
              powerMw: 10,
              claims: [],
              units: [{ id: 'u', label: 'A', history: '' }],
              rigs: [newRig('r', 'u')],
              simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
            },
          ],
        },
        [],
        'first dropout',
      );
      return thinnessOf(EMPTY_SETUP, {
        ...(range as NonNullable<typeof range>),
        subjects: [{ id: 'a', name: 'A' }] as unknown as NonNullable<typeof range>['subjects'],
        summary: summariseRanges(walks),
      })
        .map((sentence) => sentence.text)
        .join();
    };
    expect(said([walk(90), walk(95)])).toContain('a bound ("more than"), not a range');
    expect(said([walk(50, 60)])).toContain('one walk decides nothing');
  });
});
