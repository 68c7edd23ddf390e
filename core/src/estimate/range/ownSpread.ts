import { Z90 } from '../../numeric/normal.ts';
import { noncentralTQuantile } from '../../numeric/noncentralT.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import type { Ends } from './ends.ts';
import { isFit } from './fit.ts';
import { fitOneLocation } from './keptFits.ts';
import { profileSides } from './profile.ts';

/** What a product's own walks say of the distance that one in ten, or nine in ten, outlast: no other's spread. */
export interface OwnSpread {
  /** Standard deviation of ln distance; absent where it cannot be told from none. */
  readonly sigma: number | undefined;
  readonly p10: { readonly estimateM: number | undefined; readonly interval95M: Ends } | undefined;
  readonly p90: { readonly estimateM: number | undefined; readonly interval95M: Ends } | undefined;
}

/**
 * How far the profile of exact walks has dropped where the pivot T = √n (x̄ − θ)/s is t, for θ = μ + zσ: the
 * greatest likelihood under that restriction has 1/σ as the root of a quadratic.
 */
export function dropAt(t: number, n: number, z: number): number {
  const theta = -t / Math.sqrt(n);
  const squares = n - 1 + n * theta * theta;
  const u = (n * theta * z + Math.sqrt((n * theta * z) ** 2 + 4 * n * squares)) / (2 * squares);
  const here = n * Math.log(u) - ((n - 1) * u * u + n * (theta * u - z) ** 2) / 2;
  const top = (-n / 2) * Math.log((n - 1) / n) - n / 2;
  return top - here;
}

/** The two drops depend on the numbers of walks and of outings only: worked out once for each. */
const drops = new Map<string, { readonly low: number; readonly high: number }>();

/**
 * √n (x̄ − θ)/s of exact walks has the noncentrality −z√n. Walks that come in m groups tell no more of the
 * mean than m of them: √m (x̄ − θ)/s is taken for it, on m − 1 degrees of freedom.
 */
function dropsFor(n: number, m: number, z: number): { readonly low: number; readonly high: number } {
  const key = `${n} ${m} ${z}`;
  let known = drops.get(key);
  if (!known) {
    const at = (p: number): number =>
      dropAt(noncentralTQuantile(p, m - 1, -z * Math.sqrt(m)) * Math.sqrt(n / m), n, z);
    drops.set(key, (known = { low: at(0.975), high: at(0.025) }));
  }
  return known;
}

/**
 * p10 and p90 of one product on one path from its own walks: each end of the profile is where its signed root
 * reaches what the noncentral t allows for exact walks, on n − 1 degrees of freedom. Undefined for fewer than
 * two walks that inform it.
 * @param groups of how many outings the walks are, where some hold several of them; two at least
 * @param fit of these walks by themselves, with one location
 */
export function ownSpread(
  walks: readonly WalkInterval[],
  groups = walks.length,
  fit = fitOneLocation(walks),
): OwnSpread | undefined {
  const n = fit.model.informative;
  if (n < 2 || n < walks.length) return undefined;
  const weights = fit.model.cell('', '');
  if (!weights) return undefined;
  const location = isFit(fit) ? (fit.beta[0] as number) : undefined;
  const quantile = (z: number): NonNullable<OwnSpread['p10']> | undefined => {
    const { low, high } = dropsFor(n, Math.min(n, groups), z);
    const ends = profileSides(fit, { weights, z }, low, high);
    const metres = (at: number | undefined): number | undefined =>
      at === undefined ? undefined : Math.exp(at + fit.model.centre);
    return (
      ends && {
        estimateM: isFit(fit) && location !== undefined ? metres(location + z * fit.sigma) : undefined,
        interval95M: { low: metres(ends.low), high: metres(ends.high) },
      }
    );
  };
  return { sigma: isFit(fit) ? fit.sigma : undefined, p10: quantile(-Z90), p90: quantile(Z90) };
}
