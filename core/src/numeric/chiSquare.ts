import { twoSidedNormalP } from './normal.ts';

/**
 * Upper tail of the chi-square distribution for a whole number of degrees of freedom, by the finite series
 * Q(x; v + 2) = Q(x; v) + (x/2)^(v/2) e^(−x/2) / Γ(v/2 + 1) (Abramowitz and Stegun 26.4.8).
 * No difference from one is taken, so that small p-values keep their digits.
 * Worked value: chiSquareUpper(5.2836286, 1) = 0.021526839.
 */
export function chiSquareUpper(x: number, df: number): number {
  if (!(x >= 0)) throw new RangeError(`invalid x: ${x}`);
  if (!Number.isInteger(df) || df < 1) throw new RangeError(`invalid df: ${df}`);
  const odd = df % 2 === 1;
  let upper = odd ? twoSidedNormalP(Math.sqrt(x)) : Math.exp(-x / 2);
  let term = odd ? Math.sqrt((2 * x) / Math.PI) * Math.exp(-x / 2) : (x / 2) * Math.exp(-x / 2);
  for (let v = odd ? 1 : 2; v < df; v += 2) {
    upper += term;
    term *= x / (v + 2);
  }
  return upper;
}
