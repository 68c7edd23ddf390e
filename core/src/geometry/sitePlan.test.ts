import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { foliageLossDb } from '../propagation/foliage.ts';
import { firstBetween, inTheWayOf } from '../propagation/obstructions.ts';
import { predictPath, type PathLink } from '../propagation/predictPath.ts';
import { routePointsOf } from '../propagation/routePoint.ts';
import type { Path } from './path.ts';
import {
  crossingsAt,
  isInside,
  legsThrough,
  nearestOnRoute,
  planPoints,
  type Feature,
  type PlanPoint,
} from './sitePlan.ts';

const square = (west: number, south: number, side: number): PlanPoint[] => [
  [west, south],
  [west + side, south],
  [west + side, south + side],
  [west, south + side],
];
const feature = (kind: Feature['kind'], outline: PlanPoint[], more: Partial<Feature> = {}): Feature => ({
  id: kind,
  label: kind,
  kind,
  outline,
  ...more,
});
const east = (features: Feature[], lengthM = 100): Path => ({
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM, bearingDeg: 90, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
  features,
});
const link: PathLink = {
  frequencyMHz: 2400,
  eirpDbm: 10,
  receiveGainDbi: 0,
  requiredDbm: -72,
  heightsM: [1.5, 1.5],
};

describe('what lies between the two ends', () => {
  test('a wall is met where it stands, and not before or beside it', () => {
    const wall = feature(
      'wall',
      [
        [40, -10],
        [40, 10],
      ],
      { material: 'brick', thicknessM: 0.1 },
    );
    expect(crossingsAt([wall], [39, 0])).toEqual([]);
    expect(crossingsAt([wall], [80, 0])).toMatchObject([{ atM: 40, depthM: 0.1 }]);
    expect(crossingsAt([wall], [80, 60])).toEqual([]);
    // At a slant of 45° the way through is √2 times the thickness.
    expect(
      crossingsAt(
        [
          feature(
            'wall',
            [
              [30, 0],
              [0, 30],
            ],
            { thicknessM: 0.2 },
          ),
        ],
        [50, 0.0001],
      )[0]?.depthM,
    ).toBeCloseTo(0.2 * Math.SQRT2, 5);
  });

  test('trees count by the depth that the line runs in them, from inside too', () => {
    const trees = feature('trees', square(20, -5, 10));
    for (const [endM, depthM] of [
      [100, 10],
      [26, 6],
    ] as const) {
      const [crossing] = crossingsAt([trees], [endM, 0]);
      expect(crossing?.atM).toBeCloseTo(20, 9);
      expect(crossing?.depthM).toBeCloseTo(depthM, 9);
    }
    const [beyond] = predictPath(east([trees]), link, 1).points.slice(-1);
    const [open] = predictPath(east([]), link, 1).points.slice(-1);
    expect((open?.marginDb ?? 0) - (beyond?.marginDb ?? 0)).toBeCloseTo(foliageLossDb(2400, 10), 9);
  });

  test('a storey counts when the mobile end is in it, and steps lose nothing', () => {
    expect(crossingsAt([feature('floor', square(50, -5, 10))], [55, 0])).toHaveLength(1);
    expect(crossingsAt([feature('floor', square(50, -5, 10))], [70, 0])).toEqual([]);
    expect(inTheWayOf(east([feature('floor', square(50, -5, 10))]))(55).obstructions).toEqual([
      { kind: 'fixed-loss', atM: 0, lossDb: 14 },
    ]);
    expect(crossingsAt([feature('steps', square(50, -5, 10))], [70, 0])).toEqual([]);
  });

  test('a wagon cuts the line of sight, and a low wall does not', () => {
    const at = (f: Feature) => routePointsOf(east([f]), link)(80);
    expect(at(feature('vehicle', square(30, -2, 4), { heightM: 3 }))).toMatchObject({ lineOfSight: false });
    expect(at(feature('vehicle', square(30, -2, 4), { heightM: 3 })).fresnelClearanceRatio).toBeLessThan(0);
    expect(
      at(
        feature(
          'wall',
          [
            [30, -2],
            [30, 2],
          ],
          { material: 'brick', thicknessM: 0.1, heightM: 0.6 },
        ),
      ),
    ).toMatchObject({ lineOfSight: true, bearingDeg: 90, separationM: 80 });
    expect(
      at(
        feature(
          'wall',
          [
            [30, -2],
            [30, 2],
          ],
          { material: 'brick', thicknessM: 0.1 },
        ),
      ),
    ).toMatchObject({ lineOfSight: false });
  });

  test('where the route first has it between, and why it breaks there', () => {
    const wall = feature(
      'wall',
      [
        [38, -10],
        [38, 10],
      ],
      { material: 'concrete', thicknessM: 0.2, label: 'mill wall' },
    );
    expect(firstBetween(east([wall]))).toEqual([{ label: 'mill wall', atM: 38.5 }]);
    expect(predictPath(east([wall], 500), { ...link, requiredDbm: -72 }).breaks?.because).toBe(
      'mill wall, 38.0 m',
    );
    // Over a wall of stated height goes at least as much as through one without.
    const over =
      predictPath(east([{ ...wall, heightM: 1.6 }], 500), link).points.at(-1)?.marginDb ?? -Infinity;
    expect(over).toBeGreaterThan(predictPath(east([wall], 500), link).points.at(-1)?.marginDb ?? 0);
  });

  test('swapping the ends changes nothing: an outline is met as often from either side', () => {
    // Corners on whole metres and ends off them, so that no end stands on an outline.
    const whole = fc.integer({ min: -50, max: 50 });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(whole, whole), { minLength: 3, maxLength: 6 }),
        whole,
        whole,
        (corners, i, j) => {
          const outline = corners.map(([e, n]): PlanPoint => [e + 0.311, n - 0.127]);
          const [x, y] = [i + 0.4571, j + 0.7319];
          const depth = (f: PlanPoint[], to: PlanPoint): number =>
            crossingsAt([feature('trees', f)], to).reduce((sum, c) => sum + c.depthM, 0);
          const shifted = outline.map(([e, n]): PlanPoint => [e - x, n - y]);
          expect(depth(shifted, [-x, -y])).toBeCloseTo(depth(outline, [x, y]), 6);
        },
      ),
    );
  });
});

describe('one route, by legs or drawn', () => {
  test('points and legs say the same, and rises stay with their legs', () => {
    const legs = [
      { lengthM: 50, bearingDeg: 30, riseM: 3, exposure: 'wooded' as const },
      { lengthM: 80, bearingDeg: 300, riseM: -2, exposure: 'indoor' as const },
    ];
    const again = legsThrough(planPoints({ legs }), legs);
    again.forEach((leg, i) => {
      expect(leg).toMatchObject({ riseM: legs[i]?.riseM, exposure: legs[i]?.exposure });
      expect(leg.lengthM).toBeCloseTo(legs[i]?.lengthM ?? 0, 9);
      expect(leg.bearingDeg).toBeCloseTo(legs[i]?.bearingDeg ?? 0, 9);
    });
    expect(
      legsThrough(
        [
          [0, 0],
          [0, 0],
          [3, 4],
        ],
        [],
      ),
    ).toMatchObject([{ lengthM: 5 }]);
  });

  test('the nearest place of a bent route', () => {
    const legs = legsThrough(
      [
        [0, 0],
        [30, 0],
        [30, 40],
      ],
      [],
    );
    expect(nearestOnRoute({ legs }, [33, 20])).toBeCloseTo(50, 9);
    expect(nearestOnRoute({ legs }, [-5, 0])).toBe(0);
    expect(isInside([5, 5], square(0, 0, 10))).toBe(true);
    expect(isInside([15, 5], square(0, 0, 10))).toBe(false);
  });
});
