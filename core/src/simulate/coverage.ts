import { fitRanges } from '../estimate/range/fit.ts';
import { intervalCovers } from '../estimate/range/profile.ts';
import { logNormalCdf, normalQuantile } from '../numeric/normal.ts';
import { seeded, type Random } from '../random/seeded.ts';
import type { WalkInterval } from '../walk/walkInterval.ts';

/** One kind of comparison, simulated many times: two products on one path. */
export interface CoverageCell {
  readonly walksEach: number;
  /** Standard deviation of ln distance between walks. */
  readonly sigma: number;
  /** Ratio of neighbouring marks. */
  readonly stepRatio: number;
  /** Share of all walks that outlast the path, on the average. */
  readonly censoredShare: number;
  /** True ratio of medians. */
  readonly ratio: number;
}

/** How many intervals were given, and how many of them covered the truth. */
export interface Covered {
  readonly given: number;
  readonly covering: number;
}

export interface CoverageCounts {
  readonly sets: number;
  readonly median: Covered;
  readonly p10: Covered;
  readonly ratio: Covered;
  /** Sets in which a product's walks were all censored on one side. */
  readonly oneSided: number;
  readonly withoutInterval: number;
}

const MEDIAN_M = 100;
const Z10 = normalQuantile(0.1);

/**
 * Brackets of walks between geometric marks whose phase is each walk's own; beyond `endM` the path ends
 * first.
 */
function walksOf(
  random: Random,
  product: string,
  medianM: number,
  { walksEach, sigma, stepRatio }: CoverageCell,
  endM: number,
): WalkInterval[] {
  const step = Math.log(stepRatio);
  return Array.from({ length: walksEach }, (_, i): WalkInterval => {
    const phase = random.uniform() * step;
    const logD = Math.log(medianM) + sigma * random.normal();
    const mark = Math.floor((logD - phase) / step);
    const row = { product, path: 'path', walk: String(i) };
    // One looks at the path's end too.
    if (logD >= Math.log(endM)) return { ...row, heldM: endM, failedM: undefined };
    return {
      ...row,
      heldM: Math.exp(mark * step + phase),
      failedM: Math.min(endM, Math.exp((mark + 1) * step + phase)),
    };
  });
}

/** Known truth: how often the intervals of median, p10 (of the first product) and ratio cover it. Seeded. */
export function coverageOf(cell: CoverageCell, sets: number, seed: string): CoverageCounts {
  const { sigma, ratio, censoredShare } = cell;
  const random = seeded('coverage', seed, JSON.stringify(cell));
  // Where the path must end for that share of all walks to outlast it, by bisection on the two distributions.
  const endM = censoredShare === 0 ? Infinity : pathEnd(censoredShare, sigma, ratio);
  const none = () => ({ given: 0, covering: 0 });
  const counts = { sets, median: none(), p10: none(), ratio: none(), oneSided: 0, withoutInterval: 0 };
  for (let i = 0; i < sets; i++) {
    const walks = [
      ...walksOf(random, 'A', MEDIAN_M, cell, endM),
      ...walksOf(random, 'B', MEDIAN_M * ratio, cell, endM),
    ];
    const fit = fitRanges(walks);
    const [cellA, contrast] = [fit.model.cell('A', 'path'), fit.model.productDifference('B', 'A')];
    const truth = Math.log(MEDIAN_M) - fit.model.centre;
    const covers = [
      cellA && intervalCovers(fit, { weights: cellA, z: 0 }, truth),
      cellA && intervalCovers(fit, { weights: cellA, z: Z10 }, truth + Z10 * sigma),
      contrast && intervalCovers(fit, { weights: contrast, z: 0 }, Math.log(ratio)),
    ];
    if (!contrast) counts.oneSided++;
    if (covers.some((c) => c === undefined)) counts.withoutInterval++;
    [counts.median, counts.p10, counts.ratio].forEach((count, k) => {
      if (covers[k] === undefined) return;
      count.given++;
      if (covers[k]) count.covering++;
    });
  }
  return counts;
}

function pathEnd(share: number, sigma: number, ratio: number): number {
  const beyond = (endM: number): number =>
    [1, ratio].reduce((sum, r) => sum + upper(Math.log(endM / (MEDIAN_M * r)) / sigma), 0) / 2;
  let [low, high] = [MEDIAN_M / 100, MEDIAN_M * 100];
  for (let i = 0; i < 80; i++) {
    const mid = Math.sqrt(low * high);
    if (beyond(mid) > share) low = mid;
    else high = mid;
  }
  return low;
}

const upper = (z: number): number => Math.exp(logNormalCdf(-z));
