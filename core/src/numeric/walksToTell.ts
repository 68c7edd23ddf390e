import { noncentralTCdf } from './noncentralT.ts';
import { studentQuantile } from './student.ts';

/** Power that is meant by "enough walks". */
const POWER = 0.8;
/** More walks than this are not practicable, and not counted. */
export const MOST_WALKS = 1000;

/** Least n at which Student's two-sided test at 5 % finds a shift of `shift(n)` standard errors in 80 %. */
function least(from: number, df: (n: number) => number, shift: (n: number) => number): number | undefined {
  const enough = (n: number): boolean =>
    1 - noncentralTCdf(studentQuantile(0.975, df(n)), df(n), shift(n)) >= POWER;
  // Power grows with n: doubled until it is enough, then halved.
  let [few, many] = [from - 1, from];
  while (!enough(many)) {
    if (many === MOST_WALKS) return undefined;
    [few, many] = [many, Math.min(MOST_WALKS, 2 * many)];
  }
  while (many - few > 1) {
    const middle = (few + many) >> 1;
    if (enough(middle)) many = middle;
    else few = middle;
  }
  return many;
}

/**
 * Walks, all together, that tell a median from a figure `gap` away in ln distance, where walks spread by
 * sigma. Undefined beyond a thousand. Worked values: gap 0.2, sigma 0.15: 7; 0.1, 0.25: 52.
 */
export function walksToTell(gap: number, sigma: number): number | undefined {
  if (!(gap > 0 && sigma > 0)) throw new RangeError(`invalid gap or sigma: ${gap}, ${sigma}`);
  return least(
    2,
    (n) => n - 1,
    (n) => (gap * Math.sqrt(n)) / sigma,
  );
}

/** The same of two products, a product each. Worked values: ratio 1.5, sigma 0.2: 5; 1.25, 0.2: 14. */
export function walksEachToTell(ratio: number, sigma: number): number | undefined {
  if (!(ratio > 0 && ratio !== 1 && sigma > 0))
    throw new RangeError(`invalid ratio or sigma: ${ratio}, ${sigma}`);
  const gap = Math.abs(Math.log(ratio));
  return least(
    2,
    (n) => 2 * (n - 1),
    (n) => (gap * Math.sqrt(n / 2)) / sigma,
  );
}
