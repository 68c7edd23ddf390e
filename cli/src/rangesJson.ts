import { INTERVAL_METHOD, type Bounds, type CellFinding, type Ends, type QuantileEstimate, type RangeSummary, type RatioFinding } from '@urvek/core';

const orNull = <T>(value: T | undefined): T | null => value ?? null;
const ends = (e: Ends | undefined): [number | null, number | null] | null => (e ? [orNull(e.low), orNull(e.high)] : null);

const quantile = (q: QuantileEstimate | undefined, interval: Ends | undefined) =>
  q ? { estimate_m: q.estimateM, se_log: q.seLog, wald95: q.wald95M, interval95: ends(interval) } : null;

/** What is known without an estimate; `common_bracket_m` is where one distance would agree with every walk. */
const bounds = (b: Bounds | undefined) =>
  b ? { walks: b.walks, all_held_to_m: b.allHeldToM, all_failed_by_m: orNull(b.allFailedByM), common_bracket_m: b.common ? [b.common.heldM, orNull(b.common.failedM)] : null } : null;

const cell = (c: CellFinding) => ({
  product: c.product, path: c.path, walks: c.walks,
  estimable: c.estimable, reason: orNull(c.reason),
  median: quantile(c.median, c.interval95M.median),
  p10: quantile(c.p10, c.interval95M.p10),
  interval95_median_m: ends(c.interval95M.median),
  bounds: bounds(c.bounds),
});

const ratio = (r: RatioFinding) => ({
  numerator: r.numerator, denominator: r.denominator,
  estimable: r.estimable, reason: orNull(r.reason),
  ratio: orNull(r.estimate?.ratio), log_ratio: orNull(r.estimate?.logRatio), se_log: orNull(r.estimate?.seLog),
  wald95: orNull(r.estimate?.wald95), wald_p: orNull(r.estimate?.waldP),
  interval95: ends(r.interval95),
  walks: r.walks,
  bounds: ends(r.bounds),
});

/** The summary as the command line prints it: what cannot be estimated is null. */
export function rangesJson(summary: RangeSummary) {
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
    fitted: summary.fitted.map(cell),
    product_ratios: summary.productRatios.map(ratio),
    lr_test_product: summary.lrTestProduct ? { statistic: summary.lrTestProduct.statistic, df: summary.lrTestProduct.df, p_value: summary.lrTestProduct.pValue } : null,
  };
}
