import { holm } from '../../numeric/holm.ts';
import { twoSidedNormalP, Z95 } from '../../numeric/normal.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { middleOf } from './cellFinding.ts';
import type { Bounds } from './commonBracket.ts';
import { boundedBy, type Ends } from './ends.ts';
import { isFit, type NoFit, type RangeFit } from './fit.ts';
import { profileInterval, profileP } from './profile.ts';
import { FLAT, inMetres, quantileEstimate } from './quantile.ts';
import { NO_SAMPLE, type Sample } from './sample.ts';
import { scaleErrorOfRatio, withOffsetOfRatio, withScaleError, type ScaleError } from './scaleError.ts';
import { spreadsInDoubt, welchRatio } from './welch.ts';
import * as phrases from './phrases.ts';

/**
 * What the test of a ratio rests on: walks with one spread for all, or each product its own where they plainly
 * differ (Welch); pairs of walks side by side, each a block; units, or outings, as samples of themselves.
 */
export const RATIO_METHODS = ['shared', 'welch', 'paired', 'units', 'outings'] as const;
export type RatioMethod = (typeof RATIO_METHODS)[number];

export interface RatioFinding {
  readonly numerator: string;
  readonly denominator: string;
  readonly method: RatioMethod;
  /** "5 pairs", "2 and 3 units"; absent where it rests on the walks one by one. */
  readonly basis: string | undefined;
  /** One outing or two with both, several walks on each: it speaks for these set-ups, their repeat is not tested. */
  readonly forTheseSetUps: boolean;
  /** Three walks or fewer, one spread for both, and it may be two: such an interval holds somewhat less often. */
  readonly spreadsInDoubt: boolean;
  readonly estimable: boolean;
  readonly reason: string | undefined;
  readonly estimate:
    | {
        readonly ratio: number;
        readonly logRatio: number;
        readonly seLog: number;
        readonly wald95: readonly [number, number];
        readonly waldP: number;
      }
    | undefined;
  readonly interval95: Ends | undefined;
  /** What distances by unlike methods, or by eye on unlike days, add; and the interval with it. */
  readonly scale: ScaleError;
  readonly withScale95: Ends | undefined;
  /**
   * Two-sided test of "equally far" by the calibration of the interval, and Holm's correction of it over
   * all pairs.
   */
  readonly p: number | undefined;
  readonly holmP: number | undefined;
  /** Walks of the numerator and of the denominator. */
  readonly walks: readonly [number, number];
  /**
   * Between which ratios every pair of walks lies, one of each product on a path that both walked; an
   * absent end has no bound. Absent when they share no path.
   */
  readonly bounds: Ends | undefined;
}

/** Two products, each with the sample of its walks. */
export interface Compared {
  readonly numerator: string;
  readonly denominator: string;
  readonly above: Sample;
  readonly below: Sample;
}

export const comparedOf = (
  [numerator, denominator]: readonly [string, string],
  samples: ReadonlyMap<string, Sample>,
): Compared => ({
  numerator,
  denominator,
  above: samples.get(numerator) ?? NO_SAMPLE,
  below: samples.get(denominator) ?? NO_SAMPLE,
});

/** Bounds of both on the one path on which all their walks were; undefined where there are several. */
function onOnePath({
  above,
  below,
}: Compared): { readonly above: Bounds; readonly below: Bounds } | undefined {
  const paths = new Set([...above.boundsByPath.keys(), ...below.boundsByPath.keys()]);
  const [path = ''] = paths;
  const [a, b] = [above.boundsByPath.get(path), below.boundsByPath.get(path)];
  return paths.size === 1 && a && b ? { above: a, below: b } : undefined;
}

/** What a ratio rests on. */
type How = Pick<RatioFinding, 'method' | 'basis' | 'forTheseSetUps'> &
  Partial<Pick<RatioFinding, 'spreadsInDoubt'>>;

/** So few walks hardly tell two spreads apart. */
const FEW = 3;

/** An estimate of ln ratio, however it was come by. */
interface Estimated {
  readonly logRatio: number;
  readonly seLog: number;
  readonly interval95: Ends | undefined;
  readonly p: number | undefined;
}

/** By the locations of one fit, or by each product's own spread where `apart` is allowed and they plainly differ. */
export function ratioInFit(
  fit: RangeFit | NoFit,
  compared: Compared,
  weights: number[] | undefined,
  how: How,
  apart = false,
): RatioFinding {
  const { above, below } = compared;
  const onePath = onOnePath(compared);
  // Spreads of several paths are not told apart from their places.
  const welch = apart && weights && onePath ? welchRatio(above.walks, below.walks) : undefined;
  const interval95 = welch
    ? welch.interval95
    : weights && inMetres(profileInterval(fit, { weights, z: 0 }), 0);
  const p = welch ? welch.p : weights && profileP(fit, { weights, z: 0 }, 0);
  const method = welch
    ? { ...how, method: 'welch' as const }
    : {
        ...how,
        spreadsInDoubt:
          apart &&
          onePath !== undefined &&
          Math.min(above.walks.length, below.walks.length) <= FEW &&
          spreadsInDoubt([above.walks, below.walks]),
      };
  if (!isFit(fit)) return ratioFindingOf(compared, method, { reason: fit.reason, interval95, p });
  if (!weights) return ratioFindingOf(compared, method, { reason: oneSided(compared), interval95, p });
  const estimate = quantileEstimate({ ...fit, model: { ...fit.model, centre: 0 } }, { weights, z: 0 });
  if (!estimate) return ratioFindingOf(compared, method, { reason: FLAT, interval95, p });
  const logRatio = Math.log(welch?.ratio ?? estimate.estimateM);
  return ratioFindingOf(compared, method, { logRatio, seLog: welch?.seLog ?? estimate.seLog, interval95, p });
}

/** What was found, however, with what is common to every ratio. */
export function ratioFindingOf(
  compared: Compared,
  how: How,
  by: Estimated | (Partial<Estimated> & { readonly reason: string }),
): RatioFinding {
  const { numerator, denominator, above, below } = compared;
  const onePath = onOnePath(compared);
  const [a, b] = [above.observed, below.observed];
  const interval95 =
    by.interval95 &&
    boundedBy(by.interval95, { least: a.least / b.greatest, greatest: a.greatest / b.least });
  const common = scaleErrorOfRatio(above.walks, below.walks);
  const scale = onePath
    ? withOffsetOfRatio(
        common,
        [above.walks, below.walks],
        [middleOf(onePath.above), middleOf(onePath.below)],
      )
    : common;
  const { logRatio, seLog } = by;
  const estimate =
    logRatio === undefined || seLog === undefined
      ? undefined
      : {
          ratio: Math.exp(logRatio),
          logRatio,
          seLog,
          wald95: [Math.exp(logRatio - Z95 * seLog), Math.exp(logRatio + Z95 * seLog)] as const,
          waldP: twoSidedNormalP(logRatio / seLog),
        };
  return {
    numerator,
    denominator,
    spreadsInDoubt: false,
    ...how,
    estimable: estimate !== undefined && !('reason' in by),
    reason: 'reason' in by ? by.reason : undefined,
    estimate,
    interval95,
    scale,
    withScale95: interval95 && withScaleError(interval95, estimate?.ratio, scale.u),
    p: by.p,
    holmP: undefined,
    walks: [above.walks.length, below.walks.length],
    bounds: ratioBounds(compared),
  };
}

function ratioBounds({ above, below }: Compared): Ends | undefined {
  const ends = Array.from(above.boundsByPath, ([path, a]) => ({
    above: a,
    below: below.boundsByPath.get(path),
  })).flatMap((e) => (e.below ? [{ above: e.above, below: e.below }] : []));
  if (ends.length === 0) return undefined;
  const low = Math.min(
    ...ends.map(({ above, below }) => above.allHeldToM / (below.allFailedByM ?? Infinity)),
  );
  const high = Math.max(
    ...ends.map(({ above, below }) => (above.allFailedByM ?? Infinity) / below.allHeldToM),
  );
  return { low: low > 0 ? low : undefined, high: high < Infinity ? high : undefined };
}

function oneSided({ numerator, denominator, above, below }: Compared): string {
  const oneWay = (own: readonly WalkInterval[]): boolean =>
    own.every((w) => w.failedM === undefined) || own.every((w) => w.heldM === 0);
  const guilty = [...(oneWay(above.walks) ? [numerator] : []), ...(oneWay(below.walks) ? [denominator] : [])];
  return guilty.length > 0
    ? phrases.allWalksCensoredOnOneSide(guilty.join(' and '))
    : phrases.noPathTiesTheTwoProducts;
}

/** Holm's correction over those ratios that have a test. */
export function withHolm(ratios: readonly RatioFinding[]): RatioFinding[] {
  const adjusted = holm(ratios.flatMap((r) => r.p ?? []));
  let next = 0;
  return ratios.map((r) => (r.p === undefined ? r : { ...r, holmP: adjusted[next++] }));
}
