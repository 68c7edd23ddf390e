import { studentQuantile, studentTwoSidedP } from '../../numeric/student.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { boundsOf } from './commonBracket.ts';
import type { Ends } from './ends.ts';
import { fitRanges, isFit, type NoFit, type RangeFit } from './fit.ts';
import { dot } from './quantile.ts';
import * as phrases from './phrases.ts';

/** Walks of one group share what a unit is, or what a day and a set-up were. */
export type GroupOf = (walk: WalkInterval) => string;

/** ln location of a group, with its squared standard error by its own walks. */
interface Location {
  readonly mu: number;
  readonly squaredError: number;
}

export interface OverGroups {
  readonly logEstimate: number;
  readonly seLog: number;
  readonly df: number;
  /** Of ln distance, or ln ratio. */
  readonly interval95: readonly [number, number];
  readonly p: number;
}

/** Why there is no test over groups. */
export interface NotOverGroups {
  readonly reason: string;
}

const keyOf = (w: WalkInterval, group: GroupOf): string => JSON.stringify([w.product, group(w)]);

/** The groups of each of some products, located in one fit; or why they cannot be. */
function locate(walks: readonly WalkInterval[], group: GroupOf): Map<string, Location> | NotOverGroups {
  const rows = walks.map((w) => ({ ...w, product: keyOf(w, group) }));
  const fit = fitRanges(rows);
  const located = new Map<string, Location>();
  for (const key of fit.model.productLevels) {
    const location = isFit(fit)
      ? fitted(fit, key)
      : bracketed(
          fit,
          rows.filter((r) => r.product === key),
        );
    if (!location)
      return {
        reason: phrases.allItsWalksAreCensoredOn(
          (JSON.parse(key) as string[]).filter((t) => t !== '').join(', '),
        ),
      };
    located.set(key, location);
  }
  return located;
}

function fitted(fit: RangeFit, key: string): Location | undefined {
  const weights = fit.model.cell(key, fit.model.pathLevels[0] as string);
  if (!weights) return undefined;
  const rows = fit.covariance.map((row) => dot([...weights, 0], row));
  return { mu: dot(weights, fit.beta), squaredError: dot([...weights, 0], rows) };
}

/**
 * Where one bracket fits all walks of a group, its middle stands for the location, off by up to half of it:
 * rectangular, (b − a)²/12 (JCGM 100, 4.3.7, from memory).
 */
function bracketed({ model }: NoFit, rows: readonly WalkInterval[]): Location | undefined {
  const { common } = boundsOf(rows);
  if (model.pathLevels.length > 1 || !common || !(common.heldM > 0) || common.failedM === undefined)
    return undefined;
  const [low, high] = [Math.log(common.heldM), Math.log(common.failedM)];
  return { mu: (low + high) / 2 - model.centre, squaredError: (high - low) ** 2 / 12 };
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/**
 * Student's t on the fitted locations of groups: their spread about the mean of their own set, pooled over the
 * sets, groups less sets degrees of freedom. It is never taken for less than the groups' own errors explain.
 */
function overGroups(
  sets: readonly (readonly Location[])[],
  signs: readonly number[],
): OverGroups | undefined {
  const all = sets.flat();
  const df = all.length - sets.length;
  if (df < 1) return undefined;
  const squares = sets.reduce((sum, set) => {
    const at = mean(set.map((l) => l.mu));
    return sum + set.reduce((s, l) => s + (l.mu - at) ** 2, 0);
  }, 0);
  const variance = Math.max(squares / df, mean(all.map((l) => l.squaredError)));
  const logEstimate = sets.reduce(
    (sum, set, i) => sum + (signs[i] as number) * mean(set.map((l) => l.mu)),
    0,
  );
  const seLog = Math.sqrt(variance * sets.reduce((sum, set) => sum + 1 / set.length, 0));
  if (!(seLog > 0)) return undefined;
  const half = studentQuantile(0.975, df) * seLog;
  return {
    logEstimate,
    seLog,
    df,
    interval95: [logEstimate - half, logEstimate + half],
    p: studentTwoSidedP(Math.abs(logEstimate) / seLog, df),
  };
}

/**
 * Ratio of two products whose walks come in groups that are a sample: units, or outings that each was walked
 * on by itself. Worked value: units A 100, 104, 98 and 120, 125, 118; B 130, 128, 135 and 112, 110, 115:
 * B to A 1.0992, 0.6564 to 1.8410, p 0.5126.
 */
export function ratioOverGroups(
  numerator: readonly WalkInterval[],
  denominator: readonly WalkInterval[],
  group: GroupOf,
): OverGroups | NotOverGroups {
  const located = locate([...numerator, ...denominator], group);
  if ('reason' in located) return located;
  const of = (walks: readonly WalkInterval[]): Location[] =>
    [...new Set(walks.map((w) => keyOf(w, group)))].map((key) => located.get(key) as Location);
  return (
    overGroups([of(numerator), of(denominator)], [1, -1]) ?? {
      reason: phrases.oneGroupOfEachWhatThey,
    }
  );
}

/**
 * Ratio of two products over groups that hold both: Student's t on the differences within each, in which what a
 * day was cancels, and what each set-up was shows as their spread.
 */
export function ratioWithinGroups(
  numerator: readonly WalkInterval[],
  denominator: readonly WalkInterval[],
  group: GroupOf,
): OverGroups | NotOverGroups {
  const within = new Set(denominator.map(group));
  const shared = new Set(numerator.map(group).filter((g) => within.has(g)));
  const [a, b] = [numerator, denominator].map((walks) => walks.filter((w) => shared.has(group(w)))) as [
    WalkInterval[],
    WalkInterval[],
  ];
  const located = locate([...a, ...b], group);
  if ('reason' in located) return located;
  const at = (walks: readonly WalkInterval[], of: string): Location =>
    located.get(JSON.stringify([walks[0]?.product, of])) as Location;
  const differences = [...shared].map((of): Location => {
    const [x, y] = [at(a, of), at(b, of)];
    return { mu: x.mu - y.mu, squaredError: x.squaredError + y.squaredError };
  });
  return overGroups([differences], [1]) ?? { reason: phrases.oneOutingWithBoth };
}

/** Median of one product over groups that are a sample: outings. In metres. */
export function medianOverGroups(
  walks: readonly WalkInterval[],
  group: GroupOf,
): { readonly estimateM: number; readonly seLog: number; readonly interval95M: Ends } | undefined {
  const located = locate(walks, group);
  if ('reason' in located) return undefined;
  const found = overGroups([[...located.values()]], [1]);
  if (!found) return undefined;
  const centre = fitRanges(walks).model.centre;
  const [low, high] = found.interval95.map((l) => Math.exp(l + centre)) as [number, number];
  return { estimateM: Math.exp(found.logEstimate + centre), seLog: found.seLog, interval95M: { low, high } };
}
