import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { fitExponent, type LevelReading } from '../estimate/level/fitExponent.ts';
import { seeded } from '../random/seeded.ts';
import { foliageLossDb } from './foliage.ts';
import { CLEAR_SHARE, fresnelRadiusM, groundClearanceRatio, sightHeightM } from './fresnel.ts';
import { indoorLossDb } from './indoor.ts';
import { edgeParameter, knifeEdgeLossDb } from './knifeEdge.ts';
import { breakPointM, freeSpaceLossDb, twoRayLossDb } from './pathLoss.ts';
import {
  distanceRatio,
  predictPoint,
  predictionWarnings,
  ratioInDb,
  reachM,
  type LinkBudget,
} from './predict.ts';
import { slabLossDb, wallLossDb } from './slab.ts';

describe('published formulae', () => {
  test('Fresnel radii, and the habit of five feet at 5 GHz', () => {
    expect(fresnelRadiusM(2400, 50, 50)).toBeCloseTo(1.767, 3);
    expect(fresnelRadiusM(5800, 228.6, 228.6)).toBeCloseTo(2.431, 3);
    // 60 % free over 1500 ft at 5 GHz (common practice: hold both ends 5 ft up).
    expect(CLEAR_SHARE * fresnelRadiusM(5000, 228.6, 228.6)).toBeCloseTo(1.57, 2);
  });

  test.each([
    [0, 6.03],
    [1, 13.93],
    [2.4, 20.54],
    [-0.78, 0],
    [-3, 0],
  ])('knife edge J(%d) = %d dB (ITU-R P.526, from memory)', (nu, db) => {
    expect(knifeEdgeLossDb(nu)).toBeCloseTo(db, 2);
  });

  test.each([
    [2400, 10, 5.77],
    [2400, 40, 14.92],
    [5800, 40, 19.17],
    [2400, 0, 0],
  ])('foliage at %d MHz, %d m deep: %d dB (Weissberger 1982, from memory)', (mhz, m, db) => {
    expect(foliageLossDb(mhz, m)).toBeCloseTo(db, 2);
  });

  test.each([
    ['brick', 0.1, 2400, 3.03],
    ['brick', 0.1, 5800, 3.89],
    ['concrete', 0.2, 2400, 14.57],
    ['concrete', 0.2, 5800, 27.54],
    ['glass', 0.006, 2400, 1.91],
    ['glass', 0.006, 5800, 3.2],
  ] as const)('%s of %d m at %d MHz: %d dB (ITU-R P.2040, from memory)', (material, m, mhz, db) => {
    expect(slabLossDb(mhz, material, m)).toBeCloseTo(db, 2);
  });

  test('indoors (ITU-R P.1238, from memory): office at 2.4 GHz, one floor, 20 m', () => {
    expect(indoorLossDb(2400, 20, 30, 14)).toBeCloseTo(92.64, 2);
  });

  test('decibels and ratios of distance', () => {
    expect(distanceRatio(3, 2)).toBeCloseTo(1.413, 3);
    expect(distanceRatio(10, 2)).toBeCloseTo(3.162, 3);
    expect(distanceRatio(10, 4)).toBeCloseTo(1.778, 3);
    expect(ratioInDb(1.08, 2)).toBeCloseTo(0.668, 3);
    expect(ratioInDb(1.08, 4)).toBeCloseTo(1.337, 3);
    // 5 W for 4 W.
    expect(10 * Math.log10(5 / 4)).toBeCloseTo(0.97, 2);
    expect(distanceRatio(10 * Math.log10(5 / 4), 2)).toBeCloseTo(1.118, 3);
  });
});

describe('properties', () => {
  const mhz = fc.double({ min: 100, max: 6000, noNaN: true });
  const metres = fc.double({ min: 1, max: 2000, noNaN: true });
  const height = fc.double({ min: 0.2, max: 10, noNaN: true });

  test('free space: farther is weaker; the ends may be swapped', () => {
    fc.assert(
      fc.property(mhz, metres, metres, height, height, (f, a, b, h1, h2) => {
        if (1.001 * a < b) expect(freeSpaceLossDb(f, a)).toBeLessThan(freeSpaceLossDb(f, b));
        expect(twoRayLossDb(f, a, [h1, h2])).toBeCloseTo(twoRayLossDb(f, a, [h2, h1]), 9);
        const at = 0.3 * a;
        expect(edgeParameter(f, 3, at, a, [h1, h2])).toBeCloseTo(edgeParameter(f, 3, a - at, a, [h2, h1]), 9);
      }),
    );
  });

  test('clearance over ground is least where the closed form says, and one radius at the break point', () => {
    fc.assert(
      fc.property(mhz, metres, height, height, (f, d, h1, h2) => {
        const heights = [h1, h2] as const;
        const sampled = Math.min(
          ...Array.from({ length: 999 }, (_, i) => ((i + 1) / 1000) * d).map(
            (x) => sightHeightM(x, d, heights) / fresnelRadiusM(f, x, d - x),
          ),
        );
        expect(groundClearanceRatio(f, d, heights)).toBeLessThanOrEqual(sampled + 1e-9);
        expect(sampled / groundClearanceRatio(f, d, heights)).toBeLessThan(1.01);
        expect(groundClearanceRatio(f, breakPointM(f, heights), heights)).toBeCloseTo(1, 9);
      }),
      { numRuns: 50 },
    );
  });

  test('a wall of uncertain thickness loses what its resonances lose on average', () => {
    const losses = Array.from({ length: 101 }, (_, i) =>
      slabLossDb(5800, 'glass', 0.006 * (0.9 + 0.002 * i)),
    );
    expect(wallLossDb(5800, 'glass', 0.006)).toBeGreaterThan(Math.min(...losses));
    expect(wallLossDb(5800, 'glass', 0.006)).toBeLessThan(Math.max(...losses));
    expect(() => wallLossDb(2400, 'brick', -1)).toThrow('invalid thicknessM: -1');
    expect(() => foliageLossDb(2400, 401)).toThrow('invalid depthM: 401');
  });
});

describe('prediction', () => {
  const link: LinkBudget = {
    frequencyMHz: 2400,
    eirpDbm: 20,
    receiveGainDbi: 2,
    requiredDbm: -70,
    heightsM: [1.5, 1.5],
    model: 'free-space',
    obstructions: [],
  };

  test('margin is the budget: 22 + 70 − 80.05 dB at 100 m', () => {
    expect(predictPoint(link, 100)).toMatchObject({ distanceM: 100, obstructionDb: 0 });
    expect(predictPoint(link, 100).marginDb).toBeCloseTo(92 - 80.05, 2);
    expect(predictPoint({ ...link, model: 'two-ray' }, 100).pathLossDb).toBeCloseTo(74.9, 2);
    expect(predictPoint({ ...link, heightsM: [1.5, 31.5] }, 40).freeSpaceDb).toBeCloseTo(
      freeSpaceLossDb(2400, 50),
      9,
    );
  });

  test('obstructions act beyond them: walls add, foliage by its depth in all, of edges the worst', () => {
    const at = (obstructions: LinkBudget['obstructions'], m: number): number =>
      predictPoint({ ...link, obstructions }, m).obstructionDb;
    const wall = { kind: 'slab', atM: 38, material: 'brick', thicknessM: 0.1 } as const;
    expect(at([wall], 38)).toBe(0);
    expect(at([wall, { ...wall, atM: 39 }], 40)).toBeCloseTo(2 * wallLossDb(2400, 'brick', 0.1), 9);
    expect(
      at(
        [
          { kind: 'foliage', fromM: 10, toM: 30 },
          { kind: 'foliage', fromM: 50, toM: 90 },
        ],
        70,
      ),
    ).toBeCloseTo(foliageLossDb(2400, 40), 9);
    const edges = [
      { kind: 'knife-edge', atM: 20, heightM: 1.5 },
      { kind: 'knife-edge', atM: 50, heightM: 4 },
    ] as const;
    expect(at(edges, 100)).toBeCloseTo(Math.max(at([edges[0]], 100), at([edges[1]], 100)), 9);
    expect(at([edges[0]], 100)).toBeCloseTo(6.03, 2);
    expect(at([{ kind: 'fixed-loss', atM: undefined, lossDb: 7 }], 1)).toBe(7);
  });

  test('reach is up to the first loss, though the margin may come back', () => {
    const points = [10, 20, 30, 40].map((m, i) => ({
      ...predictPoint(link, m),
      marginDb: [5, 1, -1, 2][i] as number,
    }));
    expect(reachM(points)).toBe(20);
    expect(reachM(points.slice(0, 2))).toBeUndefined();
    expect(reachM(points.slice(2))).toBe(0);
    expect(
      predictionWarnings({
        ...link,
        frequencyMHz: 433,
        obstructions: [{ kind: 'slab', atM: 1, material: 'wood', thicknessM: 0.02 }],
      })[0],
    ).toContain('starts at 1000 MHz');
  });
});

test('exponent and shadowing are found again; leaving lost readings out makes the exponent too low', () => {
  const random = seeded('levels');
  const [exponent, sd, sensitivity] = [3, 4, -82];
  const all = Array.from({ length: 600 }, (_, i) => {
    const distanceM = 5 * 1.008 ** i;
    return { distanceM, levelDbm: -40 - 10 * exponent * Math.log10(distanceM / 10) + sd * random.normal() };
  });
  const readings = all.map((r): LevelReading =>
    r.levelDbm < sensitivity ? { distanceM: r.distanceM, lost: true } : r,
  );
  const fit = fitExponent(readings, sensitivity);
  expect(fit?.censored).toBeGreaterThan(60);
  expect(Math.abs((fit?.exponent ?? 0) - exponent)).toBeLessThan(0.1);
  expect(Math.abs((fit?.shadowingSdDb ?? 0) - sd)).toBeLessThan(0.4);
  const naive = fitExponent(
    readings.filter((r) => 'levelDbm' in r),
    sensitivity,
  );
  expect(naive?.exponent).toBeLessThan((fit?.exponent ?? 0) - 0.1);
  // Without censoring it is least squares.
  const full = fitExponent(all, sensitivity);
  const x = all.map((r) => Math.log10(r.distanceM));
  const [mx, my] = [
    x.reduce((a, b) => a + b) / x.length,
    all.reduce((s, r) => s + r.levelDbm, 0) / all.length,
  ];
  const slope =
    all.reduce((s, r, i) => s + ((x[i] as number) - mx) * (r.levelDbm - my), 0) /
    x.reduce((s, v) => s + (v - mx) ** 2, 0);
  expect(full?.exponent).toBeCloseTo(-slope / 10, 8);
  expect(fitExponent(all.slice(0, 2), sensitivity)).toBeUndefined();
});
