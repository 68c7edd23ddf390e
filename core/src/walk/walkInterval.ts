/**
 * What one walk says about the separation at which its event happened: it lies in (heldM, failedM]. `heldM`
 * 0 = failed at the first point (left-censored); `failedM` absent = it never failed (right-censored);
 * both equal = the place is known exactly.
 */
export interface WalkInterval {
  readonly product: string;
  readonly path: string;
  readonly walk: string;
  readonly heldM: number;
  readonly failedM: number | undefined;
  /** Independent standard uncertainty of each place, m; absent: none is known of. */
  readonly heldUM?: number;
  readonly failedUM?: number;
  /** It failed, and nobody knows where: a bound of a failure, never of a path that ended. */
  readonly unplaced?: boolean;
  /**
   * How the distances were come by, and the standard uncertainty of ln distance that is common to the walks
   * of one product by that method.
   */
  readonly method?: string;
  readonly scaleU?: number;
  /**
   * Standard uncertainty, m, that is additive and common to all walks of a path: of the fixed end's own place, of
   * an operator's mean.
   */
  readonly offsetUM?: number;
  /** Walks between setting a rig up and taking it down share what that day and that set-up were. */
  readonly outing?: string;
  /** Which sample of the product was walked; it matters where there are two. */
  readonly unit?: string;
  /** Walks of one pair were made side by side, through the same air. */
  readonly pair?: string;
}

export type Censoring = 'interval' | 'left' | 'right' | 'exact';

/** @throws RangeError for an interval that holds no distance, or that says nothing. */
export function censoringOf({ heldM, failedM }: Pick<WalkInterval, 'heldM' | 'failedM'>): Censoring {
  if (!(heldM >= 0 && heldM < Infinity)) throw new RangeError(`invalid heldM: ${heldM}`);
  if (failedM === undefined) {
    if (heldM === 0) throw new RangeError('invalid interval: held 0 m and no failure says nothing');
    return 'right';
  }
  if (!(failedM > 0 && failedM < Infinity)) throw new RangeError(`invalid failedM: ${failedM}`);
  if (failedM < heldM)
    throw new RangeError(`invalid interval: failed at ${failedM} m, before it held at ${heldM} m`);
  if (heldM === 0) return 'left';
  return heldM === failedM ? 'exact' : 'interval';
}

export function countCensoring(walks: readonly WalkInterval[]): Record<Censoring, number> {
  const counts = { interval: 0, left: 0, right: 0, exact: 0 };
  for (const walk of walks) counts[censoringOf(walk)]++;
  return counts;
}
