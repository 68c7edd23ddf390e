import {
  atLeastShare,
  distanceOf,
  distanceOverWalks,
  firth,
  firthCoefficientInterval,
  pooled,
  readTrials,
  type TrialDistance,
  type ProductTrialRow,
  type TrialRow,
} from '@urvek/core';
import { readRows } from './readRows.ts';

/** The `trials` command: hits and misses by distance. @throws BadInput */
export async function trials(file: string, { json }: { json?: true }): Promise<string> {
  const rows = await readRows(file, readTrials);
  const products = [...new Set(rows.map((r) => r.product))];
  const found = products.map((product) => ({
    product,
    result: resultOf(rows.filter((r) => r.product === product)),
  }));
  if (!json) return table(found);
  const [only] = found;
  const object =
    products.length === 1 && only?.product === undefined
      ? only?.result
      : { products: Object.fromEntries(found.map((f) => [f.product ?? '', f.result])) };
  return `${JSON.stringify(object, null, 1)}\n`;
}

const ends = ({
  low,
  high,
}: {
  low: number | undefined;
  high: number | undefined;
}): [number | null, number | null] => [low ?? null, high ?? null];
const distance = ({ estimateM, profile95M, delta95M }: TrialDistance) => ({
  estimate_m: estimateM ?? null,
  ci95: ends(profile95M),
  delta95: delta95M ?? null,
});

/** k of n at each distance, with what it bounds the chance below by. */
const standsOf = (rows: readonly TrialRow[]) =>
  pooled([{ walk: '', rows }]).map((r) => ({
    distance_m: r.distanceM,
    answered: r.successes,
    of: r.trials,
    at_least: atLeastShare(r.successes, r.trials),
  }));

/** With the walk as the unit of evidence; or why there is no interval. */
function overWalks(rows: readonly ProductTrialRow[], p: number) {
  if (rows.some((r) => r.walk === undefined)) return { interval95: null, reason: NO_WALKS };
  const walks = [...new Set(rows.map((r) => r.walk as string))];
  const found = distanceOverWalks(
    walks.map((walk) => ({ walk, rows: rows.filter((r) => r.walk === walk) })),
    p,
  );
  return 'reason' in found
    ? { interval95: null, reason: found.reason }
    : { estimate_m: found.estimateM, interval95: [found.low, found.high], reason: null };
}

const NO_WALKS = 'no column walk: presses of one walk are not independent, and no interval holds';

function resultOf(rows: readonly ProductTrialRow[]) {
  const fit = firth(rows);
  const stands = standsOf(rows);
  if (!fit)
    return {
      firth: null,
      D50: null,
      D90: null,
      separation: null,
      reason: 'all trials are at one distance: no curve can be laid through them',
      stands,
    };
  return {
    reason: null,
    stands,
    firth: {
      coefficients: { '(Intercept)': fit.coefficients[0], log_distance: fit.coefficients[1] },
      vcov: fit.covariance,
      profile_penalized_ci95: {
        '(Intercept)': ends(firthCoefficientInterval(rows, fit, 0)),
        log_distance: ends(firthCoefficientInterval(rows, fit, 1)),
      },
    },
    D50: { ...distance(distanceOf(rows, fit, 0.5)), over_walks: overWalks(rows, 0.5) },
    D90: { ...distance(distanceOf(rows, fit, 0.9)), over_walks: overWalks(rows, 0.9) },
    separation: fit.separation,
  };
}

function table(
  found: readonly { product: string | undefined; result: ReturnType<typeof resultOf> }[],
): string {
  const metres = (m: number | null, without: string): string => (m === null ? without : `${m.toFixed(1)} m`);
  const line = (
    name: string,
    {
      estimate_m,
      over_walks: over,
    }: ReturnType<typeof distance> & { over_walks: ReturnType<typeof overWalks> },
  ): string =>
    over.interval95
      ? `${name}: ${metres(over.estimate_m ?? null, '')} (95 % over walks: ` +
        `${over.interval95.map((m) => metres(m ?? null, '')).join(' to ')})`
      : `${name}: ${metres(estimate_m, 'none: answers do not fall off with distance')} by the curve (${over.reason})`;
  return found
    .flatMap(({ product, result }) => [
      ...(product === undefined ? [] : [product]),
      ...result.stands.map(
        (s) =>
          `at ${s.distance_m.toFixed(1)} m: ${s.answered} of ${s.of} answered, at least ` +
          `${(100 * s.at_least).toFixed(0)} % (95 %, one-sided)`,
      ),
      ...(result.D50 ? [line('half of the presses answered at', result.D50)] : [result.reason]),
      ...(result.D90 ? [line('nine of ten answered at', result.D90)] : []),
      ...(result.separation === 'none' || result.separation === null
        ? []
        : [`separation: ${result.separation}; the curve is held by Firth’s penalty`]),
      '',
    ])
    .join('\n');
}
