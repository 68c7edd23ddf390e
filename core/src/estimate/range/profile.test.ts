import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import { maximise } from '../../numeric/maximise.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { fitRanges, isFit } from './fit.ts';
import { onLine } from './profileLine.ts';
import { intervalCovers, profileInterval } from './profile.ts';

const walks = fc
  .array(
    fc.record({
      at: fc.double({ min: 3.5, max: 5.5, noNaN: true }),
      width: fc.constantFrom(0, 0.02, 0.1, Infinity),
      product: fc.constantFrom('A', 'B'),
    }),
    { minLength: 5, maxLength: 12 },
  )
  .map((list) =>
    list.map(({ at, width, product }, i): WalkInterval => ({
      product,
      path: 'x',
      walk: String(i),
      heldM: Math.exp(at),
      failedM: width === Infinity ? undefined : Math.exp(at + width),
    })),
  );

test('the quick test of a value agrees with the interval’s ends, and the estimate lies inside', () => {
  fc.assert(
    fc.property(walks, fc.double({ min: -1, max: 1, noNaN: true }), (list, offset) => {
      const fit = fitRanges(list);
      const weights = fit.model.cell('A', 'x');
      if (!isFit(fit) || !weights || fit.model.informative <= fit.model.data.columns) return;
      const target = { weights, z: 0 };
      const interval = profileInterval(fit, target);
      const estimate = weights.reduce((sum, w, j) => sum + w * (fit.beta[j] as number), 0);
      expect(interval?.low ?? -Infinity).toBeLessThanOrEqual(estimate + 1e-6);
      expect(interval?.high ?? Infinity).toBeGreaterThanOrEqual(estimate - 1e-6);
      expect(intervalCovers(fit, target, estimate)).toBe(true);
      const value = estimate + offset;
      const near = [interval?.low, interval?.high].some(
        (end) => end !== undefined && Math.abs(end - value) < 1e-6,
      );
      if (!near)
        expect(intervalCovers(fit, target, value)).toBe(
          value >= (interval?.low ?? -Infinity) && value <= (interval?.high ?? Infinity),
        );
    }),
    { numRuns: 40 },
  );
});

test('a higher level reaches farther on both sides', () => {
  const fit = fitRanges(
    [50, 55, 61, 70].map((m, i): WalkInterval => ({
      product: 'A',
      path: 'x',
      walk: String(i),
      heldM: m,
      failedM: 1.05 * m,
    })),
  );
  const target = { weights: fit.model.cell('A', 'x') as number[], z: 0 };
  const [narrow, wide] = [profileInterval(fit, target, 0.8), profileInterval(fit, target, 0.99)];
  expect(wide?.low).toBeLessThan(narrow?.low as number);
  expect(wide?.high).toBeGreaterThan(narrow?.high as number);
  // Two walks of two products: as many as locations, so brackets only.
  const few = fitRanges([
    { product: 'A', path: 'x', walk: '1', heldM: 50, failedM: 55 },
    { product: 'B', path: 'x', walk: '1', heldM: 70, failedM: 75 },
  ]);
  expect(profileInterval(few, { weights: few.model.cell('A', 'x') as number[], z: 0 })).toBeUndefined();
});

/** Stands so far apart, places known to so much: walks as they are made by eye. */
const byEye = fc
  .record({
    grid: fc.constantFrom(1, 5, 20),
    fieldM: fc.constantFrom(100, 130, 1e9),
    uM: fc.constantFrom(0.1, 1, 5, 15),
    rangesM: fc.array(fc.double({ min: 50, max: 75, noNaN: true }), { minLength: 3, maxLength: 6 }),
    surer: fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
  })
  .map(({ grid, fieldM, uM, rangesM, surer }) =>
    rangesM.map((m, i): WalkInterval => {
      const heldM = Math.min(fieldM, Math.floor(m / grid) * grid);
      const u = surer[i] ? uM / 3 : uM;
      const failedM = heldM + grid < fieldM ? heldM + grid : undefined;
      return { product: 'A', path: 'x', walk: String(i), heldM, failedM, heldUM: u, failedUM: u };
    }),
  );

test('where errors of places make several peaks, an end is where the highest of them meets the floor', () => {
  // The highest value at θ that climbs from many starts reach, narrow spreads and wide ones.
  const highest = (line: ReturnType<typeof onLine>, theta: number): number =>
    Math.max(
      ...[1e-3, 1e-2, 0.1, 0.3, 1, 3, 10, 30, 100, 1000].map((tau) => {
        const start = Float64Array.of(tau);
        const { value } = line.evaluate(theta, start);
        return Number.isFinite(value) ? maximise((at) => line.evaluate(theta, at), start, 1e-9).value : value;
      }),
    );
  let ends = 0;
  fc.assert(
    fc.property(byEye, fc.constantFrom(0, -1.2816), (list, z) => {
      const fit = fitRanges(list);
      const target = { weights: [1], z };
      const interval = profileInterval(fit, target);
      if (!interval) return;
      const line = onLine(fit.model.data, target);
      const covered = (theta: number): boolean => intervalCovers(fit, target, theta) === true;
      for (const [end, out] of [
        [interval.low, -1],
        [interval.high, 1],
      ] as const) {
        if (end === undefined) continue;
        ends++;
        // The floor is what the end itself stands on, to a hundredth of a millimetre at 100 m.
        const [inside, beyond] = [end - out * 1e-6, end + out * 1e-6];
        expect([covered(inside), covered(beyond)]).toEqual([true, false]);
        const [near, far] = [highest(line, inside), highest(line, beyond)];
        expect(near).toBeGreaterThan(far - 1e-6);
        for (const step of [0.003, 0.03, 0.1])
          expect(highest(line, end + out * step)).toBeLessThan(near + 1e-6);
      }
    }),
    { numRuns: 150, seed: 7 },
  );
  expect(ends).toBeGreaterThan(200);
});
