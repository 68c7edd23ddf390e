import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { fitRanges, isFit } from './fit.ts';
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
