import { describe, expect, test } from '@jest/globals';
import { summariseRanges } from '../estimate/range/summarise.ts';
import type { Path } from '../geometry/path.ts';
import { breakPointM, freeSpaceLossDb, twoRayLossDb, twoSlopeLossDb } from '../propagation/pathLoss.ts';
import { seeded } from '../random/seeded.ts';
import { findWalk, walkIntervals } from '../walk/finding.ts';
import { operate } from './operator.ts';
import { shadowingField } from './shadowing.ts';
import { SIMULATED_SITE, startWalk, type SimulatedGear } from './simulatedGear.ts';
import { trueEventM, trueFirstDropout } from './truth.ts';
import { logOf } from '../test/logOf.ts';

const path: Path = {
  id: 'p',
  name: 'open',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM: 500, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
};
const simulatedGear = (productSeed: string, requiredDbm: number): SimulatedGear => ({
  productSeed,
  requiredDbm,
  frequencyMHz: 2400,
  eirpDbm: 10,
  receiveGainDbi: 0,
  heightsM: [1.5, 1.5],
  bodyLossDb: [8, 2],
});

describe('path loss', () => {
  test.each([
    [2400, 100, 80.05],
    [5800, 100, 87.72],
    [433.92, 50, 59.18],
  ])('free space at %d MHz over %d m is %d dB (ITU-R P.525, from memory)', (mhz, m, db) => {
    expect(freeSpaceLossDb(mhz, m)).toBeCloseTo(db, 2);
  });

  test.each([
    [2400, 100, [1.5, 1.5], 74.9],
    [2400, 400, [1.5, 1.5], 97.16],
    [5800, 400, [1.5, 1.5], 97.73],
    [433.92, 200, [1, 1.6], 87.97],
  ] as const)('two rays at %d MHz over %d m, heights %j: %d dB', (mhz, m, heights, db) => {
    expect(twoRayLossDb(mhz, m, heights)).toBeCloseTo(db, 2);
  });

  test('the break point, and the slopes on either side of it', () => {
    expect(breakPointM(2400, [1.5, 1.5])).toBeCloseTo(72.05, 2);
    expect(breakPointM(5800, [1.5, 1.5])).toBeCloseTo(174.1, 1);
    expect(twoSlopeLossDb(2400, 400, [1.5, 1.5]) - twoSlopeLossDb(2400, 200, [1.5, 1.5])).toBeCloseTo(
      12.04,
      2,
    );
    expect(() => freeSpaceLossDb(2400, 0)).toThrow('invalid distanceM: 0');
  });
});

test('shadowing has the spread and the correlation it is asked for', () => {
  const field = shadowingField('s', 200_000, 3, 12);
  const at = Array.from({ length: 150_000 }, (_, i) => field(i));
  const variance = at.reduce((sum, v) => sum + v * v, 0) / at.length;
  const covariance = at.slice(12).reduce((sum, v, i) => sum + v * (at[i] as number), 0) / (at.length - 12);
  expect(Math.sqrt(variance)).toBeGreaterThan(2.85);
  expect(Math.sqrt(variance)).toBeLessThan(3.15);
  // Gudmundson's model: e⁻¹ at the decorrelation distance.
  expect(covariance / variance).toBeGreaterThan(0.31);
  expect(covariance / variance).toBeLessThan(0.43);
});

describe('the simulated gear', () => {
  test('plays the same walk for the same seeds, and another for others', () => {
    const play = (seed: string) => {
      const walk = startWalk(simulatedGear('a', -85), path, seed);
      return Array.from({ length: 500 }, () => walk.step());
    };
    expect(play('x')).toEqual(play('x'));
    expect(play('x').map((t) => t.marginDb)).not.toEqual(play('y').map((t) => t.marginDb));
  });

  test('walks out at about walking pace, turns, and stands at the fixed end', () => {
    const walk = startWalk(simulatedGear('a', -85), path, 'x');
    let tick = walk.step();
    while (tick.tS < 60) tick = walk.step();
    expect(tick.travelledM).toBeGreaterThan(70);
    expect(tick.travelledM).toBeLessThan(100);
    expect(Math.abs(tick.wheelM / tick.travelledM - 1)).toBeLessThan(0.01);
    walk.turn();
    while (!tick.standing) tick = walk.step();
    expect(tick.travelledM).toBe(0);
  });
});

describe('known truth, from the gear to the estimate', () => {
  // Even ground: then distances are lognormal. On ground with dips, walks of one product clump at the dips.
  const even = { ...SIMULATED_SITE, shadowingSdDb: 0 };
  const play = (product: string, requiredDbm: number, walks: number) =>
    Array.from({ length: walks }, (_, i) => {
      const seed = `truth/${product}/${i}`;
      const { log, ticks } = operate(
        startWalk(simulatedGear(product, requiredDbm), path, seed, even),
        seeded(seed),
      );
      const begin = {
        atS: 0,
        kind: 'begin',
        body: {
          baselineGrade: 5,
          direction: 'mobile-to-fixed',
          reading: { travelledM: 0, method: 'marked line', pressed: false },
          playoutDelayS: 0,
        },
      };
      const events = logOf(
        [begin, ...log].map(({ atS, kind, body }) => [atS, kind, body] as const),
        { walkId: seed },
      );
      return {
        finding: findWalk({ walkId: seed, label: String(i), product, path, log: events }) as NonNullable<
          ReturnType<typeof findWalk>
        >,
        ticks,
      };
    });
  const walks = [...play('near', -85, 8), ...play('far', -91, 8)];

  test('nearly every logged interval holds the place where the link truly dropped', () => {
    const judged = walks.flatMap(({ finding, ticks }) => {
      const [interval] = walkIntervals([finding], 'first dropout');
      const truth = trueEventM(ticks, 'first dropout');
      return interval && truth !== undefined
        ? [
            interval.heldM - 2 * (interval.heldUM ?? 0) <= truth &&
              truth <= (interval.failedM ?? Infinity) + 2 * (interval.failedUM ?? 0),
          ]
        : [];
    });
    expect(judged.length).toBeGreaterThanOrEqual(14);
    // Two standard uncertainties cover about 95 %; a dropout shorter than the operator logs is missed now
    // and then.
    expect(judged.filter(Boolean).length / judged.length).toBeGreaterThanOrEqual(0.75);
  });

  test('the intervals of the medians, somewhat widened, and of the ratio hold the truth of 150 walks', () => {
    const summary = summariseRanges(
      walkIntervals(
        walks.map((w) => w.finding),
        'first dropout',
      ),
    );
    const truth = {
      near: trueFirstDropout(simulatedGear('near', -85), path, 150, 'many', even).medianM as number,
      far: trueFirstDropout(simulatedGear('far', -91), path, 150, 'many', even).medianM as number,
    };
    for (const product of ['near', 'far'] as const) {
      const { low = 0, high = 0 } =
        summary.fitted.find((c) => c.product === product)?.interval95M.median ?? {};
      // One draw of a 95 % interval misses now and then: about twice as wide it should not.
      const wider = (high / low) ** 0.35;
      expect(low / wider).toBeLessThan(truth[product]);
      expect(high * wider).toBeGreaterThan(truth[product]);
      expect(high / low).toBeLessThan(2);
    }
    const ratio = summary.productRatios[0]?.interval95;
    expect(ratio?.low).toBeLessThan(truth.far / truth.near);
    expect(ratio?.high).toBeGreaterThan(truth.far / truth.near);
    expect(ratio?.low).toBeGreaterThan(1);
  });
});
