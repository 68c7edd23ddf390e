import {
  distanceOf,
  firth,
  firthCoefficientInterval,
  readTrials,
  type TrialDistance,
  type TrialRow,
} from '@urvek/core';
import { BadInput } from './badInput.ts';
import { readRows } from './readRows.ts';

/** The `trials` command: hits and misses by distance. @throws BadInput */
export async function trials(file: string, { json }: { json?: true }): Promise<string> {
  const rows = await readRows(file, readTrials);
  const products = [...new Set(rows.map((r) => r.product))];
  const found = products.map((product) => ({
    product,
    result: resultOf(
      rows.filter((r) => r.product === product),
      file,
    ),
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

function resultOf(rows: readonly TrialRow[], file: string) {
  const fit = firth(rows);
  if (!fit) throw new BadInput(`${file}: all trials are at one distance; no curve can be laid through them`);
  return {
    firth: {
      coefficients: { '(Intercept)': fit.coefficients[0], log_distance: fit.coefficients[1] },
      vcov: fit.covariance,
      profile_penalized_ci95: {
        '(Intercept)': ends(firthCoefficientInterval(rows, fit, 0)),
        log_distance: ends(firthCoefficientInterval(rows, fit, 1)),
      },
    },
    D50: distance(distanceOf(rows, fit, 0.5)),
    D90: distance(distanceOf(rows, fit, 0.9)),
    separation: fit.separation,
  };
}

function table(
  found: readonly { product: string | undefined; result: ReturnType<typeof resultOf> }[],
): string {
  const metres = (m: number | null, without: string): string => (m === null ? without : `${m.toFixed(1)} m`);
  const line = (name: string, d: ReturnType<typeof distance>): string =>
    `${name}: ${metres(d.estimate_m, 'none: answers do not fall off with distance')} (95 %: ${metres(d.ci95[0], 'no bound')} to ${metres(d.ci95[1], 'no bound')})`;
  return found
    .flatMap(({ product, result }) => [
      ...(product === undefined ? [] : [product]),
      line('half of the presses answered at', result.D50),
      line('nine of ten answered at', result.D90),
      ...(result.separation === 'none'
        ? []
        : [`separation: ${result.separation}; the curve is held by Firth’s penalty`]),
      '',
    ])
    .join('\n');
}
