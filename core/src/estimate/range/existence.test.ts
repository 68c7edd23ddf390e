import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { invertInformation, solveNearlyPositive, solvePositive, solveUphill } from '../../numeric/linear.ts';
import { maximise } from '../../numeric/maximise.ts';
import { strongComponents } from '../../numeric/strongComponents.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { cellsOf } from './cells.ts';
import { agreementOf } from './commonBracket.ts';
import { buildModel } from './model.ts';
import { summariseRanges } from './summarise.ts';

describe('small linear algebra', () => {
  /** A·Aᵀ plus a little of the identity is positive definite. */
  const positive = fc.integer({ min: 1, max: 6 }).chain((n) =>
    fc
      .tuple(
        fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: n * n, maxLength: n * n }),
        fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: n, maxLength: n }),
      )
      .map(([values, b]) => {
        const a = Matrix.from1DArray(n, n, values);
        return { matrix: a.mmul(a.transpose()).add(Matrix.eye(n).mul(0.5)), b };
      }),
  );

  test('Cholesky’s method agrees with ml-matrix', () => {
    fc.assert(
      fc.property(positive, ({ matrix, b }) => {
        const x = solvePositive(Float64Array.from(matrix.to1DArray()), Float64Array.from(b));
        const expected = new CholeskyDecomposition(matrix).solve(Matrix.columnVector(b)).to1DArray();
        expected.forEach((value, i) => expect(x?.[i]).toBeCloseTo(value, 6));
      }),
    );
  });

  test('the inverse times the matrix is one; what is not positive definite is said, or nearly solved', () => {
    fc.assert(
      fc.property(positive, ({ matrix }) => {
        const product = new Matrix(
          invertInformation(Float64Array.from(matrix.to1DArray()), matrix.rows),
        ).mmul(matrix);
        expect(product.sub(Matrix.eye(matrix.rows)).norm()).toBeLessThan(1e-5);
      }),
    );
    expect(solvePositive(Float64Array.of(1, 2, 2, 1), Float64Array.of(1, 1))).toBeUndefined();
    const flat = solveNearlyPositive(Float64Array.of(1, 1, 1, 1), Float64Array.of(1, 1));
    expect((flat?.[0] as number) + (flat?.[1] as number)).toBeCloseTo(1, 4);
  });

  test('a step leads upwards whatever the curvature, and is the exact one where that is possible', () => {
    const symmetric = fc
      .integer({ min: 1, max: 6 })
      .chain((n) =>
        fc.tuple(
          fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: n * n, maxLength: n * n }),
          fc.array(fc.double({ min: 0.1, max: 5, noNaN: true }), { minLength: n, maxLength: n }),
        ),
      );
    fc.assert(
      fc.property(symmetric, ([values, b]) => {
        const n = b.length;
        const a = Matrix.from1DArray(n, n, values);
        const right = Float64Array.from(b);
        const flat = Float64Array.from(a.add(a.transpose()).to1DArray());
        const step = solveUphill(flat, right);
        expect(step.reduce((sum, v, i) => sum + v * (right[i] as number), 0)).toBeGreaterThan(0);
        const exact = solvePositive(flat, right);
        if (exact) expect(step).toEqual(exact);
      }),
    );
    // Along one parameter it is as long as the curvature says, on either side of an inflection.
    expect(Array.from(solveUphill(Float64Array.of(-4), Float64Array.of(2)))).toEqual([0.5]);
    expect(Array.from(solveUphill(Float64Array.of(-4, 0, 0, 2), Float64Array.of(2, 2)))).toEqual([0.5, 1]);
  });

  test('a top is reached from where the function bends upwards', () => {
    // −ln(1 + x²) has its inflections at ±1 and is nearly flat at 1,000.
    let looks = 0;
    const top = maximise((at) => {
      looks++;
      const x = at[0] as number;
      const q = 1 + x * x;
      return {
        value: -Math.log(q),
        gradient: Float64Array.of((-2 * x) / q),
        hessian: Float64Array.of((2 * x * x - 2) / (q * q)),
      };
    }, Float64Array.of(1000));
    expect(top.converged).toBe(true);
    expect(top.at[0]).toBeCloseTo(0, 8);
    expect(looks).toBeLessThan(60);
  });

  test('a concave function is maximised from far away', () => {
    // −cosh about (2, −1): flat to Newton's method nowhere, steep far out.
    const f = (at: Float64Array) => {
      const [x, y] = [(at[0] as number) - 2, (at[1] as number) + 1];
      return {
        value: -Math.cosh(x) - Math.cosh(y),
        gradient: Float64Array.of(-Math.sinh(x), -Math.sinh(y)),
        hessian: Float64Array.of(-Math.cosh(x), 0, 0, -Math.cosh(y)),
      };
    };
    const top = maximise(f, Float64Array.of(60, -45));
    expect(top.converged).toBe(true);
    expect(top.at[0]).toBeCloseTo(2, 8);
    expect(top.at[1]).toBeCloseTo(-1, 8);
    expect(() =>
      maximise(
        () => ({ value: Number.NaN, gradient: Float64Array.of(0), hessian: Float64Array.of(0) }),
        Float64Array.of(7),
      ),
    ).toThrow('invalid start: 7');
  });
});

describe('what can be estimated', () => {
  test('strong components are exactly mutual reachability', () => {
    const graph = fc
      .integer({ min: 1, max: 7 })
      .chain((n) =>
        fc.tuple(fc.constant(n), fc.array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1)), { maxLength: 16 })),
      );
    fc.assert(
      fc.property(graph, ([n, edges]) => {
        const reach = Array.from({ length: n }, (_, i) => Array.from({ length: n }, (__, j) => i === j));
        for (const [a, b] of edges) (reach[a] as boolean[])[b] = true;
        for (let k = 0; k < n; k++)
          for (let i = 0; i < n; i++)
            for (let j = 0; j < n; j++) if (reach[i]?.[k] && reach[k]?.[j]) (reach[i] as boolean[])[j] = true;
        const component = strongComponents(n, edges);
        for (let i = 0; i < n; i++)
          for (let j = 0; j < n; j++)
            expect(component[i] === component[j]).toBe(Boolean(reach[i]?.[j] && reach[j]?.[i]));
      }),
      { numRuns: 200 },
    );
  });

  const walk = fc
    .record({
      product: fc.constantFrom('A', 'B'),
      path: fc.constantFrom('x', 'y'),
      low: fc.integer({ min: 0, max: 8 }),
      width: fc.integer({ min: 0, max: 4 }),
    })
    .map(({ product, path, low, width }): WalkInterval => ({
      product,
      path,
      walk: '1',
      heldM: Math.exp(low),
      failedM: Math.exp(low + width),
    }));

  test('one bracket fits all if and only if some choice of effects does, tried on a grid', () => {
    fc.assert(
      fc.property(fc.array(walk, { minLength: 1, maxLength: 6 }), (walks) => {
        // Whole-number ends make whole-number solutions enough (difference constraints are totally
        // unimodular).
        const range = Array.from({ length: 41 }, (_, i) => i - 20);
        const fits = (effects: Record<string, number>): boolean =>
          walks.every((w) => {
            const at = (effects[w.product] as number) + (effects[w.path] as number);
            return at >= Math.log(w.heldM) - 1e-9 && at <= Math.log(w.failedM as number) + 1e-9;
          });
        const some = range.some((a) => range.some((b) => range.some((y) => fits({ A: a, B: b, x: 0, y }))));
        expect(agreementOf(cellsOf(walks)) !== 'apart').toBe(some);
      }),
      { numRuns: 40 },
    );
  });

  test('walks between components do not enter, and their differences have no weights', () => {
    const held = (product: string, heldM: number): WalkInterval => ({
      product,
      path: 'x',
      walk: '1',
      heldM,
      failedM: undefined,
    });
    const model = buildModel([
      { ...held('A', 50), failedM: 60 },
      { ...held('A', 62), failedM: 70 },
      held('B', 90),
      { ...held('C', 0), failedM: 20 },
    ]);
    expect(model.informative).toBe(2);
    expect(model.cells.map((c) => c.product)).toEqual(['A']);
    expect(model.cell('A', 'x')).toEqual([1]);
    expect(model.cell('B', 'x')).toBeUndefined();
    expect(model.productDifference('C', 'A')).toBeUndefined();
    expect(() => model.cell('D', 'x')).toThrow('invalid product: "D"');
  });

  test('holds and fails that meet at one place, and nothing else, bound neither median nor spread', () => {
    for (const holds of [1, 2, 3])
      for (const u of [0, 0.6, 5]) {
        const row = (heldM: number, failedM: number | undefined, walk: string): WalkInterval => ({
          ...{ product: 'A', path: 'x', walk, heldM, failedM },
          ...{ heldUM: u, failedUM: u },
        });
        const walks = [
          row(0, 60, 'fails'),
          ...Array.from({ length: holds }, (_, i) => row(60, undefined, String(i))),
        ];
        const [cell] = summariseRanges(walks).fitted;
        expect(cell?.median).toBeUndefined();
        expect([cell?.interval95M.median, cell?.own?.p10]).toEqual([undefined, undefined]);
        expect(cell?.bounds).toMatchObject({ allHeldToM: 0, allFailedByM: undefined });
      }
  });
});
