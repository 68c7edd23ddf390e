import {
  heldTo,
  INTERVAL_METHOD,
  ratioInDb,
  turnbull,
  type Bounds,
  type CellFinding,
  type ChiSquareTest,
  type Ends,
  type OwnSpread,
  type QuantileEstimate,
  type RangeSummary,
  type RatioFinding,
  type WalkInterval,
} from '@urvek/core';

const OWN_METHOD = 'profile likelihood, its own spread, each end calibrated by the noncentral t';

const orNull = <T>(value: T | undefined): T | null => value ?? null;
const ends = (e: Ends | undefined): [number | null, number | null] | null =>
  e ? [orNull(e.low), orNull(e.high)] : null;

const quantile = (
  q: QuantileEstimate | undefined,
  interval: Ends | undefined,
  withScale: Ends | undefined,
) =>
  q
    ? {
        estimate_m: q.estimateM,
        se_log: q.seLog,
        wald95: q.wald95M,
        interval95: ends(interval),
        with_scale95: ends(withScale),
        method: INTERVAL_METHOD,
      }
    : null;

/**
 * What is known without an estimate; `common_bracket_m` is where one distance would agree with every walk.
 */
const bounds = (b: Bounds | undefined, withScale?: CellFinding['withScale95M']) =>
  b
    ? {
        walks: b.walks,
        all_held_to_m: b.allHeldToM,
        all_failed_by_m: orNull(b.allFailedByM),
        ...(withScale
          ? {
              all_held_to_with_scale_m: orNull(withScale.allHeldToM),
              all_failed_by_with_scale_m: orNull(withScale.allFailedByM),
            }
          : {}),
        common_bracket_m: b.common ? [b.common.heldM, orNull(b.common.failedM)] : null,
      }
    : null;

const masses = (rows: readonly WalkInterval[]) =>
  rows.length === 0
    ? null
    : turnbull(rows).masses.map((m) => ({
        lower_m: m.lowerM,
        upper_m: orNull(m.upperM),
        mass: m.mass,
        survival_after: m.survivalAfter,
      }));

const test = (t: ChiSquareTest | undefined) =>
  t
    ? {
        statistic: t.statistic,
        df: t.df,
        p_value: t.pValue,
        p_calibrated: orNull(t.pCalibrated),
      }
    : null;

const ofCell = (c: CellFinding, rows: readonly WalkInterval[]): WalkInterval[] =>
  rows.filter((r) => r.product === c.product && r.path === c.path);

/** Walks that held to a place, of those that tell. */
function kOfN(rows: readonly WalkInterval[], distanceM: number | undefined): [number, number] | null {
  if (distanceM === undefined) return null;
  const { held, of } = heldTo(rows, distanceM);
  return [held, of];
}

/** p10 or p90 by the product's own walks. */
const ownQuantile = (q: OwnSpread['p10'], withScale: Ends | undefined, rows: readonly WalkInterval[]) =>
  q
    ? {
        estimate_m: orNull(q.estimateM),
        interval95: ends(q.interval95M),
        with_scale95: ends(withScale),
        k_of_n: kOfN(rows, q.estimateM),
        method: OWN_METHOD,
      }
    : null;

const cell = (c: CellFinding, rows: readonly WalkInterval[]) => ({
  product: c.product,
  path: c.path,
  walks: c.walks,
  estimable: c.estimable,
  reason: orNull(c.reason),
  median_by: c.medianBy,
  outings: orNull(c.outings?.count),
  failures: c.failures,
  unplaced: c.unplaced,
  median: quantile(c.shared.median, c.shared.interval95M, c.withScale95M.median),
  p10: quantile(c.p10, c.interval95M.p10, c.withScale95M.p10),
  interval95_median_m: ends(c.shared.interval95M),
  published_median: c.median
    ? {
        estimate_m: c.median.estimateM,
        interval95: ends(c.interval95M.median),
        with_scale95: ends(c.withScale95M.median),
      }
    : null,
  own_spread: c.own
    ? {
        sigma: orNull(c.own.sigma),
        p10: ownQuantile(c.own.p10, c.withScale95M.p10, ofCell(c, rows)),
        p90: ownQuantile(c.own.p90, c.withScale95M.p90, ofCell(c, rows)),
      }
    : null,
  with_scale95_median_m: ends(c.withScale95M.median),
  scale_u: c.scale.u,
  scale_method: orNull(c.scale.method),
  bounds: bounds(c.bounds, c.withScale95M),
  turnbull: masses(ofCell(c, rows)),
});

/** What one unit says by itself. */
const unitCell = (c: CellFinding) => ({
  path: c.path,
  walks: c.walks,
  reason: orNull(c.reason),
  median: quantile(c.median, c.interval95M.median, c.withScale95M.median),
  interval95_median_m: ends(c.interval95M.median),
});

/** A ratio of distances as a difference of levels, at a stated exponent. */
function dbAt(r: RatioFinding, exponent: number | undefined) {
  if (exponent === undefined) return null;
  const db = (ratio: number | undefined): number | null =>
    ratio === undefined ? null : ratioInDb(ratio, exponent);
  return {
    n: exponent,
    db: db(r.estimate?.ratio),
    interval95: r.interval95 ? [db(r.interval95.low), db(r.interval95.high)] : null,
  };
}

const ratio = (r: RatioFinding, exponent: number | undefined) => ({
  numerator: r.numerator,
  denominator: r.denominator,
  estimable: r.estimable,
  reason: orNull(r.reason),
  ratio_method: r.method,
  ratio_basis: orNull(r.basis),
  for_these_set_ups: r.forTheseSetUps,
  spreads_in_doubt: r.spreadsInDoubt,
  ratio: orNull(r.estimate?.ratio),
  log_ratio: orNull(r.estimate?.logRatio),
  se_log: orNull(r.estimate?.seLog),
  wald95: orNull(r.estimate?.wald95),
  wald_p: orNull(r.estimate?.waldP),
  interval95: ends(r.interval95),
  with_scale95: ends(r.withScale95),
  scale_u: r.scale.u,
  method: INTERVAL_METHOD,
  p: orNull(r.p),
  holm_p: orNull(r.holmP),
  db_at_n: dbAt(r, exponent),
  walks: r.walks,
  bounds: ends(r.bounds),
});

/** The summary as the command line prints it: what cannot be estimated is null. */
export function rangesJson(summary: RangeSummary, rows: readonly WalkInterval[], exponent?: number) {
  return {
    n: summary.n,
    censoring: summary.censoring,
    product_levels: summary.productLevels,
    path_levels: summary.pathLevels,
    estimable: summary.estimable,
    reason: orNull(summary.reason),
    coefficients: Object.fromEntries(summary.coefficients.map(({ name, value }) => [name, orNull(value)])),
    sigma: orNull(summary.sigma),
    loglik: orNull(summary.loglik),
    vcov_names: summary.covarianceNames,
    vcov: orNull(summary.covariance),
    interval_method: INTERVAL_METHOD,
    fitted: summary.fitted.map((c) => cell(c, rows)),
    product_ratios: summary.productRatios.map((r) => ratio(r, exponent)),
    paired_ratios: summary.pairedRatios.map((r) => ratio(r, exponent)),
    unit_ratios: summary.unitRatios.map((r) => ratio(r, exponent)),
    units: summary.units.map((u) => ({ product: u.product, unit: u.unit, ...unitCell(u.cell) })),
    unit_spreads: summary.unitSpreads.map(({ product, path, units, between, within }) => ({
      ...{ product, path, units },
      between_sd_log: between,
      within_sd_log: within,
    })),
    unit_pairs: summary.unitPairs.map((r) => ratio(r, exponent)),
    turnbull: masses(rows),
    interaction: test(summary.interaction),
    lr_test_product: test(summary.lrTestProduct),
  };
}
