import { normalQuantile } from './normal.ts';

export interface Proportion {
  readonly low: number;
  readonly high: number;
}

function check(k: number, n: number): void {
  if (!(Number.isFinite(k) && Number.isFinite(n) && n > 0 && k >= 0 && k <= n))
    throw new RangeError(`invalid proportion: ${k} of ${n}`);
}

/**
 * Wilson's score interval (E. B. Wilson, J. Amer. Statist. Assoc. 22 (1927)), without continuity
 * correction. `k` need not be whole: a mean share of n walks counts as so many of them.
 */
export function wilson(k: number, n: number, level = 0.95): Proportion {
  check(k, n);
  const z2 = normalQuantile(0.5 + level / 2) ** 2;
  const p = k / n;
  const middle = p + z2 / (2 * n);
  const half = Math.sqrt((z2 * (p * (1 - p) + z2 / (4 * n))) / n);
  const scale = 1 + z2 / n;
  return {
    low: k === 0 ? 0 : Math.max(0, (middle - half) / scale),
    high: k === n ? 1 : Math.min(1, (middle + half) / scale),
  };
}

/** ln n!, by summing: n is a number of presses. */
function logFactorial(n: number): number {
  let sum = 0;
  for (let i = 2; i <= n; i++) sum += Math.log(i);
  return sum;
}

/** P(at least k of n) for a chance p each. */
export function atLeast(k: number, n: number, p: number): number {
  if (k === 0) return 1;
  if (p <= 0) return 0;
  if (p >= 1) return 1;
  let term = Math.exp(
    logFactorial(n) - logFactorial(k) - logFactorial(n - k) + k * Math.log(p) + (n - k) * Math.log1p(-p),
  );
  let sum = term;
  for (let i = k; i < n; i++) {
    term *= ((n - i) / (i + 1)) * (p / (1 - p));
    sum += term;
  }
  return Math.min(1, sum);
}

/**
 * The interval that surely covers as often as it says (C. J. Clopper and E. S. Pearson, Biometrika 26
 * (1934)), equal tails. Worked value: 5 of 5 bound the chance below at 0.05^(1/5) = 54.9 % (95 %,
 * one-sided).
 */
export function clopperPearson(k: number, n: number, level = 0.95): Proportion {
  check(k, n);
  if (!Number.isInteger(k) || !Number.isInteger(n)) throw new RangeError(`invalid proportion: ${k} of ${n}`);
  const tail = (1 - level) / 2;
  const solve = (excess: (p: number) => number): number => {
    let [low, high] = [0, 1];
    for (let i = 0; i < 80; i++) {
      const mid = (low + high) / 2;
      if (excess(mid) < 0) low = mid;
      else high = mid;
    }
    return (low + high) / 2;
  };
  return {
    low: k === 0 ? 0 : solve((p) => atLeast(k, n, p) - tail),
    high: k === n ? 1 : solve((p) => tail - (1 - atLeast(k + 1, n, p))),
  };
}

/**
 * What k of n bounds the chance below by, one-sided (Clopper and Pearson). Worked values, 95 %: one of one 5 %,
 * three of three 36.8 %, ten of ten 74.1 %.
 */
export const atLeastShare = (k: number, n: number, level = 0.95): number =>
  clopperPearson(k, n, 2 * level - 1).low;
