import { chiSquareUpper } from '../../numeric/chiSquare.ts';
import { holm } from '../../numeric/holm.ts';
import { sandwich } from '../../numeric/linear.ts';
import { twoSidedNormalP, Z90, Z95 } from '../../numeric/normal.ts';
import { countCensoring, type Censoring, type WalkInterval } from '../../walk/walkInterval.ts';
import { boundsOf, type Bounds } from './commonBracket.ts';
import { boundedBy, observedOf, type Ends } from './ends.ts';
import { fitRanges, isFit, type NoFit, type RangeFit } from './fit.ts';
import {
  boundWithScaleError,
  scaleErrorOf,
  scaleErrorOfRatio,
  withOffset,
  withOffsetOfRatio,
  withScaleError,
  type ScaleError,
} from './scaleError.ts';
import { ownSpread, type OwnSpread } from './ownSpread.ts';
import { welchRatio } from './welch.ts';
import { fUpper } from '../../numeric/fDistribution.ts';
import { profileInterval, profileP, type ProfileInterval, type Target } from './profile.ts';

export interface QuantileEstimate {
  readonly estimateM: number;
  readonly seLog: number;
  readonly wald95M: readonly [number, number];
}

export interface CellFinding {
  readonly product: string;
  readonly path: string;
  readonly walks: number;
  readonly estimable: boolean;
  readonly reason: string | undefined;
  readonly bounds: Bounds | undefined;
  readonly median: QuantileEstimate | undefined;
  readonly p10: QuantileEstimate | undefined;
  /** Calibrated profile intervals in metres; they exist for some sets whose σ is not estimable, too. */
  /** By the spread that the products of a fit share. */
  readonly interval95M: { readonly median: Ends | undefined; readonly p10: Ends | undefined };
  /** p10 and p90 by its own walks and their own spread: what needs, "up to" and reports speak of. */
  readonly own: OwnSpread | undefined;
  /** Walks that failed, known where or not; and those of them that nobody placed. */
  readonly failures: number;
  readonly unplaced: number;
  /**
   * The error that is common to their distances, and the intervals and bounds with it: what is judged on. The
   * median's spread is shared by the products of a fit, those of p10 and p90 are its own.
   */
  readonly scale: ScaleError;
  readonly withScale95M: {
    readonly median: Ends | undefined;
    readonly p10: Ends | undefined;
    readonly p90: Ends | undefined;
    readonly allHeldToM: number | undefined;
    readonly allFailedByM: number | undefined;
  };
}

export interface RatioFinding {
  readonly numerator: string;
  readonly denominator: string;
  /** One spread for both, or each its own where they plainly differ (Welch). */
  readonly method: 'shared' | 'welch';
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

export interface RangeSummary {
  readonly n: number;
  readonly censoring: Readonly<Record<Censoring, number>>;
  readonly productLevels: readonly string[];
  readonly pathLevels: readonly string[];
  readonly estimable: boolean;
  readonly reason: string | undefined;
  /** Treatment coding, the first level of each the reference; an absent coefficient is not estimable. */
  readonly coefficients: readonly { readonly name: string; readonly value: number | undefined }[];
  readonly sigma: number | undefined;
  readonly loglik: number | undefined;
  readonly covarianceNames: readonly string[];
  readonly covariance: readonly (readonly number[])[] | undefined;
  readonly fitted: readonly CellFinding[];
  readonly productRatios: readonly RatioFinding[];
  readonly lrTestProduct: ChiSquareTest | undefined;
  /**
   * Whether the advantage of a product depends on the path; absent where one path, or one product, was
   * walked.
   */
  readonly interaction: ChiSquareTest | undefined;
  /** Ratios from walks side by side, each pair a block of its own; empty where there are none. */
  readonly pairedRatios: readonly RatioFinding[];
  /**
   * Ratios with units nested in products, their effects summing to zero; empty where every product has one
   * unit.
   */
  readonly unitRatios: readonly RatioFinding[];
  /** Each unit of the products that have several, by itself; empty where every product has one. */
  readonly units: readonly UnitFinding[];
  /** Units of one product, two by two, with Holm's correction over all such pairs. */
  readonly unitPairs: readonly RatioFinding[];
}

/** One unit of a product on one path: what its own walks say. */
export interface UnitFinding {
  readonly product: string;
  readonly unit: string;
  readonly cell: CellFinding;
}

export interface ChiSquareTest {
  readonly statistic: number;
  readonly df: number;
  /** By χ², for many walks. */
  readonly pValue: number;
  /** By F, calibrated for few walks like the intervals: what is published. */
  readonly pCalibrated: number | undefined;
}

/**
 * A likelihood ratio of q restrictions against n ln(1 + q F/(n − p)), F on q and n − p degrees of freedom, p
 * the locations of the larger model: exact for uncensored normal data.
 */
function lrOf(statistic: number, df: number, larger: RangeFit): ChiSquareTest {
  const n = larger.model.informative.length;
  const left = n - larger.model.data.columns;
  return {
    statistic,
    df,
    pValue: chiSquareUpper(statistic, df),
    pCalibrated: left >= 1 ? fUpper((Math.expm1(statistic / n) * left) / df, df, left) : undefined,
  };
}

export const INTERVAL_METHOD = 'profile likelihood, drop n ln(1 + t²/(n − p)), raised for coarse brackets';

/**
 * Beyond this standard error of ln distance the likelihood is flat: the location may be anywhere in a wide
 * bracket, and the maximum's place in it means nothing.
 */
const FLAT_SE_LOG = 5;
const FLAT = 'one bracket fits its walks: only the bracket is known';

/** What is costly and not always wanted: p10 by the shared spread, and what each cell's own walks say. */
export interface Wanted {
  readonly sharedP10?: boolean;
  readonly own?: boolean;
}

/**
 * The lognormal accelerated-failure-time model, ln D = μ + product + path + σZ, on walks that share one
 * criterion, direction and grade scale.
 */
export function summariseRanges(
  walks: readonly WalkInterval[],
  { sharedP10 = true, own = true }: Wanted = {},
): RangeSummary {
  const fit = fitRanges(walks);
  const { productLevels, pathLevels } = fit.model;
  const named = namedCoefficients(fit);
  const known = named.filter(
    (c): c is NamedCoefficient & { weights: number[] } => isFit(fit) && c.weights !== undefined,
  );
  const pairs = productLevels.flatMap((a, i) => productLevels.slice(i + 1).map((b) => [b, a] as const));
  return {
    n: walks.length,
    censoring: countCensoring(walks),
    productLevels,
    pathLevels,
    estimable: isFit(fit),
    reason: isFit(fit) ? leftOut(walks, fit) : fit.reason,
    coefficients: named.map(({ name, weights, shift }) => ({
      name,
      value: isFit(fit) && weights ? dot(weights, fit.beta) + shift : undefined,
    })),
    sigma: isFit(fit) ? fit.sigma : undefined,
    loglik: isFit(fit) ? fit.loglik : undefined,
    covarianceNames: isFit(fit) ? [...known.map((c) => c.name), 'log_sigma'] : [],
    covariance: isFit(fit)
      ? sandwich([...known.map((c) => [...c.weights, 0]), [...fit.beta.map(() => 0), 1]], fit.covariance)
      : undefined,
    fitted: productLevels.flatMap((product) =>
      pathLevels.map((path) => cellFinding(fit, walks, product, path, { sharedP10, own })),
    ),
    productRatios: withHolm(
      pairs.map(([numerator, denominator]) =>
        ratioFinding(
          fit,
          walks,
          numerator,
          denominator,
          fit.model.productDifference(numerator, denominator),
          true,
        ),
      ),
    ),
    lrTestProduct: isFit(fit) ? lrTest(walks, fit) : undefined,
    interaction: interactionTest(walks, fit),
    pairedRatios: pairedRatios(walks, pairs),
    ...unitFindings(walks, pairs),
  };
}

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, v, i) => sum + v * (b[i] as number), 0);

interface NamedCoefficient {
  name: string;
  weights: number[] | undefined;
  shift: number;
}

function namedCoefficients({ model }: RangeFit | NoFit): NamedCoefficient[] {
  const [product0, path0] = [model.productLevels[0], model.pathLevels[0]];
  if (product0 === undefined || path0 === undefined) return [];
  return [
    { name: '(Intercept)', weights: model.cell(product0, path0), shift: model.centre },
    ...model.productLevels.slice(1).map((level) => ({
      name: `product${level}`,
      weights: model.productDifference(level, product0),
      shift: 0,
    })),
    ...model.pathLevels
      .slice(1)
      .map((level) => ({ name: `path${level}`, weights: model.pathDifference(level, path0), shift: 0 })),
  ];
}

function leftOut(walks: readonly WalkInterval[], { model }: RangeFit): string | undefined {
  const out = walks.length - model.informative.length;
  return out === 0
    ? undefined
    : `${out} of ${walks.length} walks only bound from one side and do not enter the estimate`;
}

function cellFinding(
  fit: RangeFit | NoFit,
  all: readonly WalkInterval[],
  product: string,
  path: string,
  wanted: Wanted = {},
): CellFinding {
  const walks = all.filter((w) => w.product === product && w.path === path);
  const weights = fit.model.cell(product, path);
  const quantile = (z: number): QuantileEstimate | undefined =>
    isFit(fit) && weights ? quantileEstimate(fit, { weights, z }) : undefined;
  const median = quantile(0);
  const observed = observedOf(walks.length > 0 ? walks : all);
  const interval = (z: number): Ends | undefined => {
    const ends = weights && inMetres(profileInterval(fit, { weights, z }), fit.model.centre);
    return ends && boundedBy(ends, observed);
  };
  const p10 = median && quantile(-Z90);
  const interval95M = {
    median: interval(0),
    p10: wanted.sharedP10 ? interval(-Z90) : undefined,
  };
  const bounds = walks.length > 0 ? boundsOf(walks) : undefined;
  const scale = withOffset(scaleErrorOf(walks), walks, median?.estimateM ?? (bounds && middleOf(bounds)));
  const own = wanted.own ? ownSpread(walks) : undefined;
  const ownEnds = (of: 'p10' | 'p90'): Ends | undefined => {
    const found = own?.[of];
    return found && widened(boundedBy(found.interval95M, observed), found.estimateM);
  };
  const widened = (ends: Ends | undefined, estimateM: number | undefined): Ends | undefined =>
    ends && withScaleError(ends, estimateM, scale.u);
  return {
    product,
    path,
    walks: walks.length,
    estimable: median !== undefined,
    reason: isFit(fit) && weights && !median ? FLAT : cellReason(fit, walks, weights),
    bounds,
    median,
    p10,
    interval95M,
    own,
    failures: walks.filter(failed).length,
    unplaced: walks.filter((w) => w.unplaced).length,
    scale,
    withScale95M: {
      median: widened(interval95M.median, median?.estimateM),
      p10: ownEnds('p10'),
      p90: ownEnds('p90'),
      allHeldToM: bounds && boundWithScaleError(bounds.allHeldToM, -1, scale.u),
      allFailedByM: bounds?.allFailedByM && boundWithScaleError(bounds.allFailedByM, 1, scale.u),
    },
  };
}

/** Where walks that have no median lie, roughly. */
const middleOf = ({ allHeldToM, allFailedByM = allHeldToM }: Bounds): number | undefined =>
  allHeldToM > 0 ? Math.sqrt(allHeldToM * allFailedByM) : allFailedByM > 0 ? allFailedByM : undefined;

/** It failed, known where or not. */
const failed = (w: WalkInterval): boolean => w.failedM !== undefined || w.unplaced === true;

const inMetres = (i: ProfileInterval | undefined, centre: number): Ends | undefined =>
  i && {
    low: i.low === undefined ? undefined : Math.exp(i.low + centre),
    high: i.high === undefined ? undefined : Math.exp(i.high + centre),
  };

function cellReason(
  fit: RangeFit | NoFit,
  walks: readonly WalkInterval[],
  weights: number[] | undefined,
): string | undefined {
  if (weights === undefined || !isFit(fit)) {
    if (walks.length === 0) return 'no walk here, and none elsewhere ties it to the rest';
    if (!walks.some(failed)) return `no failure in ${walks.length} of ${walks.length} walks`;
    if (walks.every((w) => w.failedM === undefined))
      return `failed in ${walks.filter(failed).length} of ${walks.length} walks, each time at a place that nobody knows`;
    if (walks.every((w) => w.heldM === 0))
      return `failed at the first point in ${walks.length} of ${walks.length} walks`;
    if (walks.length === 1) return 'one walk: its interval and nothing else';
    return isFit(fit) ? 'censored on one side' : fit.reason;
  }
  return walks.length === 0 ? 'no walk here: predicted from the other products and paths' : undefined;
}

/** Undefined where the likelihood is flat. */
function quantileEstimate(fit: RangeFit, target: Target): QuantileEstimate | undefined {
  const log = dot(target.weights, fit.beta) + target.z * fit.sigma;
  const gradient = [...target.weights, target.z * fit.sigma];
  const seLog = Math.sqrt((sandwich([gradient], fit.covariance)[0] as number[])[0] as number);
  if (!(seLog < FLAT_SE_LOG)) return undefined;
  const at = (z: number): number => Math.exp(log + fit.model.centre + z * seLog);
  return { estimateM: at(0), seLog, wald95M: [at(-Z95), at(Z95)] };
}

function ratioFinding(
  fit: RangeFit | NoFit,
  walks: readonly WalkInterval[],
  numerator: string,
  denominator: string,
  weights: number[] | undefined,
  /** Spreads may be told apart: neither units nor pairs are in between. */
  apart = false,
): RatioFinding {
  const of = (product: string): WalkInterval[] => walks.filter((w) => w.product === product);
  const [above, below] = [of(numerator), of(denominator)];
  const [a, b] = [observedOf(above), observedOf(below)];
  // Spreads of several paths are not told apart from their places.
  const onePath = new Set([...above, ...below].map((w) => w.path)).size === 1;
  const welch = apart && weights && onePath ? welchRatio(above, below) : undefined;
  const ends = welch ? welch.interval95 : weights && inMetres(profileInterval(fit, { weights, z: 0 }), 0);
  const interval95 = ends && boundedBy(ends, { least: a.least / b.greatest, greatest: a.greatest / b.least });
  const scale = withOffsetOfRatio(
    scaleErrorOfRatio(above, below),
    onePath ? [...above, ...below] : [],
    onePath ? [middleOf(boundsOf(above)), middleOf(boundsOf(below))] : [undefined, undefined],
  );
  const common = {
    numerator,
    denominator,
    method: welch ? ('welch' as const) : ('shared' as const),
    interval95,
    scale,
    withScale95: interval95 && withScaleError(interval95, undefined, scale.u),
    p: welch ? welch.p : weights && profileP(fit, { weights, z: 0 }, 0),
    holmP: undefined,
    walks: [above.length, below.length] as const,
    bounds: ratioBounds(walks, numerator, denominator),
  };
  if (!isFit(fit)) return { ...common, estimable: false, reason: fit.reason, estimate: undefined };
  if (!weights)
    return {
      ...common,
      estimable: false,
      reason: oneSided(walks, [numerator, denominator]),
      estimate: undefined,
    };
  const estimate = quantileEstimate({ ...fit, model: { ...fit.model, centre: 0 } }, { weights, z: 0 });
  if (!estimate) return { ...common, estimable: false, reason: FLAT, estimate: undefined };
  const { ratio, seLog } = welch ?? { ratio: estimate.estimateM, seLog: estimate.seLog };
  const logRatio = Math.log(ratio);
  return {
    ...common,
    withScale95: interval95 && withScaleError(interval95, ratio, scale.u),
    estimable: true,
    reason: undefined,
    estimate: {
      ratio,
      logRatio,
      seLog,
      wald95: [Math.exp(logRatio - Z95 * seLog), Math.exp(logRatio + Z95 * seLog)],
      waldP: twoSidedNormalP(logRatio / seLog),
    },
  };
}

function ratioBounds(
  walks: readonly WalkInterval[],
  numerator: string,
  denominator: string,
): Ends | undefined {
  const onPath = (product: string, path: string): WalkInterval[] =>
    walks.filter((w) => w.product === product && w.path === path);
  const shared = [...new Set(walks.map((w) => w.path))].filter(
    (path) => onPath(numerator, path).length > 0 && onPath(denominator, path).length > 0,
  );
  if (shared.length === 0) return undefined;
  const ends = shared.map((path) => ({
    above: boundsOf(onPath(numerator, path)),
    below: boundsOf(onPath(denominator, path)),
  }));
  const low = Math.min(
    ...ends.map(({ above, below }) => above.allHeldToM / (below.allFailedByM ?? Infinity)),
  );
  const high = Math.max(
    ...ends.map(({ above, below }) => (above.allFailedByM ?? Infinity) / below.allHeldToM),
  );
  return { low: low > 0 ? low : undefined, high: high < Infinity ? high : undefined };
}

function oneSided(walks: readonly WalkInterval[], products: readonly string[]): string {
  const guilty = products.filter((product) => {
    const own = walks.filter((w) => w.product === product);
    return own.every((w) => w.failedM === undefined) || own.every((w) => w.heldM === 0);
  });
  return guilty.length > 0
    ? `${guilty.join(' and ')}: all walks censored on one side`
    : 'no path ties the two products together from both sides';
}

/** Holm's correction over those ratios that have a test. */
function withHolm(ratios: readonly RatioFinding[]): RatioFinding[] {
  const adjusted = holm(ratios.flatMap((r) => r.p ?? []));
  let next = 0;
  return ratios.map((r) => (r.p === undefined ? r : { ...r, holmP: adjusted[next++] }));
}

/** Walks side by side: each pair is a block, in which the place and the air of that moment cancel. */
function pairedRatios(
  walks: readonly WalkInterval[],
  pairs: readonly (readonly [string, string])[],
): RatioFinding[] {
  const paired = walks.filter((w) => w.pair !== undefined);
  if (paired.length === 0) return [];
  const fit = fitRanges(paired.map((w) => ({ ...w, path: JSON.stringify([w.path, w.pair]) })));
  const known = (product: string): boolean => fit.model.productLevels.includes(product);
  return withHolm(
    pairs
      .filter(([a, b]) => known(a) && known(b))
      .map(([a, b]) => ratioFinding(fit, paired, a, b, fit.model.productDifference(a, b))),
  );
}

/**
 * With two units of a product, the product is their mean: ln D = product + unit + path, units summing to
 * zero. Beside that each unit by itself, and the units of a product against each other.
 */
function unitFindings(
  walks: readonly WalkInterval[],
  pairs: readonly (readonly [string, string])[],
): Pick<RangeSummary, 'unitRatios' | 'units' | 'unitPairs'> {
  const units = new Map<string, Set<string>>();
  const level = ({ product, unit = '' }: WalkInterval): string => JSON.stringify([product, unit]);
  for (const w of walks) units.set(w.product, (units.get(w.product) ?? new Set()).add(level(w)));
  const several = [...units].filter(([, of]) => of.size > 1);
  if (several.length === 0) return { unitRatios: [], units: [], unitPairs: [] };
  const rows = walks.map((w) => ({ ...w, product: level(w) }));
  const fit = fitRanges(rows);
  const contrast = (a: string, b: string): number[] | undefined => {
    const terms = [...(units.get(a) ?? [])].flatMap((u) =>
      [...(units.get(b) ?? [])].map((v) => fit.model.productDifference(u, v)),
    );
    return terms.reduce<number[] | undefined>(
      (sum, term) => sum && term && sum.map((s, j) => s + (term[j] as number) / terms.length),
      new Array<number>(fit.model.data.columns).fill(0),
    );
  };
  const named = (key: string): string => (JSON.parse(key) as [string, string])[1];
  const label = (key: string): string => (JSON.parse(key) as [string, string]).join(', unit ');
  return {
    unitRatios: withHolm(pairs.map(([a, b]) => ratioFinding(fit, walks, a, b, contrast(a, b)))),
    units: several.flatMap(([product, of]) =>
      [...of].flatMap((unit) =>
        fit.model.pathLevels.flatMap((path): UnitFinding[] =>
          rows.some((r) => r.product === unit && r.path === path)
            ? [{ product, unit: named(unit), cell: cellFinding(fit, rows, unit, path) }]
            : [],
        ),
      ),
    ),
    unitPairs: withHolm(
      several.flatMap(([, of]) => {
        const list = [...of];
        return list.flatMap((a, i) =>
          list.slice(i + 1).map((b) => ({
            ...ratioFinding(fit, rows, b, a, fit.model.productDifference(b, a)),
            numerator: label(b),
            denominator: label(a),
          })),
        );
      }),
    ),
  };
}

/**
 * Product within path against product plus path: twice the gain in log-likelihood, a degree of freedom a
 * cell beyond the sum.
 */
function interactionTest(
  walks: readonly WalkInterval[],
  additive: RangeFit | NoFit,
): ChiSquareTest | undefined {
  if (!isFit(additive) || additive.model.informative.length < walks.length) return undefined;
  const { productLevels, pathLevels } = additive.model;
  const cells = new Set(walks.map((w) => JSON.stringify([w.product, w.path])));
  const df = cells.size - (productLevels.length + pathLevels.length - 1);
  if (df < 1) return undefined;
  const within = fitRanges(
    walks.map((w) => ({ ...w, product: JSON.stringify([w.product, w.path]), path: '' })),
  );
  if (!isFit(within) || within.model.informative.length < walks.length) return undefined;
  return lrOf(Math.max(0, 2 * (within.logLikelihood - additive.logLikelihood)), df, within);
}

/** Likelihood-ratio test of "all products reach equally far", path kept in the model. */
function lrTest(walks: readonly WalkInterval[], full: RangeFit): ChiSquareTest | undefined {
  const df = full.model.productLevels.length - 1;
  if (df === 0 || full.model.informative.length < walks.length) return undefined;
  const without = fitRanges(walks, false);
  if (!isFit(without)) return undefined;
  return lrOf(Math.max(0, 2 * (full.logLikelihood - without.logLikelihood)), df, full);
}
