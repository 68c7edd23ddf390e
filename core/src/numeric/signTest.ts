import { atLeast } from './binomial.ts';

/**
 * Exact two-sided sign test: p of k of n when either sign is as likely, ties left out beforehand. Worked
 * values: 8 of 8 0.0078, 5 of 5 0.0625, 9 of 10 0.0215.
 */
export function signTest(k: number, n: number): number {
  if (!Number.isInteger(k) || !Number.isInteger(n) || !(n > 0 && k >= 0 && k <= n))
    throw new RangeError(`invalid signs: ${k} of ${n}`);
  return Math.min(1, 2 * atLeast(Math.max(k, n - k), n, 0.5));
}
