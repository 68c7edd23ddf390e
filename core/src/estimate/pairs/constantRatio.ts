import type { Ends } from '../range/ends.ts';
import * as phrases from './phrases.ts';

export interface Bracket {
  readonly heldM: number;
  readonly failedM: number | undefined;
}

/**
 * Where the ratio of B to A is the same on every walk, each walk of both bounds it by hold_B/fail_A and
 * fail_B/hold_A, and the walks intersect. Undefined where no one ratio agrees with all. Worked value: A in
 * (2, 3] and B in (3, 3.3]: 1.00 to 1.65.
 */
export function constantRatioBounds(
  pairs: readonly { readonly a: Bracket; readonly b: Bracket }[],
): Ends | undefined {
  let [low, high] = [0, Infinity];
  for (const { a, b } of pairs) {
    low = Math.max(low, b.heldM / (a.failedM ?? Infinity));
    high = Math.min(high, a.heldM > 0 ? (b.failedM ?? Infinity) / a.heldM : Infinity);
  }
  if (pairs.length === 0 || low > high) return undefined;
  return { low: low > 0 ? low : undefined, high: high < Infinity ? high : undefined };
}

/** On what a claim of a ratio still hangs: A must end before `endsBeforeM`, and where to look for it. */
export interface HangsOn {
  readonly endsBeforeM: number;
  readonly pointsM: readonly number[];
}

/** Points to look at at once; the first settles A. */
const MOST_POINTS = 3;

/**
 * A claim that B reaches `ratio` times as far as A, with A in (a1, a2] and B lost by b2, can hold only if A
 * ends before b2/ratio. Undefined where that is settled already. Next points: counted from a1 in steps of the
 * fourth root of the ratio (finer than √ratio, the widest that tells it), from b2/ratio on, up to where both
 * are lost. Worked value: A in (3, 3.3], B lost by 3.3, 1.08: before 3.056; at 3.06, 3.12, 3.18.
 */
export function hangsOn(ratio: number, a: Bracket, b: Bracket): HangsOn | undefined {
  if (!(ratio > 1)) throw new RangeError(phrases.invalidRatio(ratio));
  if (b.failedM === undefined) return undefined;
  const endsBeforeM = b.failedM / ratio;
  if (endsBeforeM <= a.heldM || (a.failedM !== undefined && endsBeforeM > a.failedM)) return undefined;
  const farthest = Math.max(a.failedM ?? 0, b.failedM);
  const step = ratio ** 0.25;
  const from = a.heldM > 0 ? a.heldM : endsBeforeM;
  const before = Math.max(0, Math.ceil(Math.log(endsBeforeM / from) / Math.log(step) - 1e-9));
  const pointsM = Array.from({ length: MOST_POINTS }, (_, i) => from * step ** (before + i)).filter(
    (m) => m < farthest,
  );
  return { endsBeforeM, pointsM };
}
