import { studentQuantileOfReal, studentTwoSidedP } from './student.ts';

/** A mean with the square of its standard error, from so many values. */
export interface MeanOf {
  readonly mean: number;
  readonly squaredError: number;
  readonly n: number;
}

export interface WelchT {
  readonly difference: number;
  readonly standardError: number;
  /** Half the 95 % interval. */
  readonly half95: number;
  readonly p: number;
  readonly df: number;
}

/**
 * Difference of two means that have a spread each (B. L. Welch, Biometrika 34 (1947), from memory).
 * @throws RangeError for fewer than two values on a side, or without any spread
 */
export function welchT(a: MeanOf, b: MeanOf): WelchT {
  const squared = a.squaredError + b.squaredError;
  if (!(a.n >= 2 && b.n >= 2 && squared > 0))
    throw new RangeError(`invalid means: ${a.n} and ${b.n} values, squared error ${squared}`);
  const df = squared ** 2 / (a.squaredError ** 2 / (a.n - 1) + b.squaredError ** 2 / (b.n - 1));
  const standardError = Math.sqrt(squared);
  const difference = a.mean - b.mean;
  return {
    difference,
    standardError,
    half95: studentQuantileOfReal(0.975, df) * standardError,
    p: studentTwoSidedP(Math.abs(difference) / standardError, df),
    df,
  };
}
