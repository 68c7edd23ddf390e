import { fitRanges } from '../range/fit.ts';
import { logNormalCdf, normalQuantile } from '../range/normal.ts';
import { intervalCovers } from '../range/profile.ts';
import type { WalkInterval } from '../range/walkInterval.ts';
import { seeded, type Random } from '../random/seeded.ts';

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

/** In how many sets the interval covered the truth; sets without an interval count as covering, and are counted. */
export interface CoverageCounts {
  readonly sets: number;
  readonly median: number;
  readonly p10: number;
  readonly ratio: number;
  /** Sets in which a product's walks were all censored on one side. */
  readonly oneSided: number;
  readonly withoutInterval: number;
}

const MEDIAN_M = 100;
const Z10 = normalQuantile(0.1);

/** Brackets of walks between geometric marks whose phase is each walk's own; beyond `endM` the path ends first. */
function walksOf(random: Random, product: string, medianM: number, { walksEach, sigma, stepRatio }: CoverageCell, endM: number): WalkInterval[] {
  const step = Math.log(stepRatio);
  return Array.from({ length: walksEach }, (_, i): WalkInterval => {
    const phase = random.uniform() * step;
    const logD = Math.log(medianM) + sigma * random.normal();
    const mark = Math.floor((logD - phase) / step);
    const row = { product, path: 'path', walk: String(i) };
    // One looks at the path's end too.
    if (logD >= Math.log(endM)) return { ...row, heldM: endM, failedM: undefined };
    return { ...row, heldM: Math.exp(mark * step + phase), failedM: Math.min(endM, Math.exp((mark + 1) * step + phase)) };
  });
}

/** Known truth: how often the intervals of median, p10 (of the first product) and ratio cover it. Seeded. */
export function coverageOf(cell: CoverageCell, sets: number, seed: string): CoverageCounts {
  const { sigma, ratio, censoredShare } = cell;
  const random = seeded('coverage', seed, JSON.stringify(cell));
  // Where the path must end for that share of all walks to outlast it, by bisection on the two distributions.
  const endM = censoredShare === 0 ? Infinity : pathEnd(censoredShare, sigma, ratio);
  const counts = { sets, median: 0, p10: 0, ratio: 0, oneSided: 0, withoutInterval: 0 };
  for (let i = 0; i < sets; i++) {
    const walks = [...walksOf(random, 'A', MEDIAN_M, cell, endM), ...walksOf(random, 'B', MEDIAN_M * ratio, cell, endM)];
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
    const [median, p10, ratioCovers] = covers.map((c) => (c ?? true ? 1 : 0)) as [number, number, number];
    counts.median += median;
    counts.p10 += p10;
    counts.ratio += ratioCovers;
  }
  return counts;
}

function pathEnd(share: number, sigma: number, ratio: number): number {
  const beyond = (endM: number): number => [1, ratio].reduce((sum, r) => sum + upper(Math.log(endM / (MEDIAN_M * r)) / sigma), 0) / 2;
  let [low, high] = [MEDIAN_M / 100, MEDIAN_M * 100];
  for (let i = 0; i < 80; i++) {
    const mid = Math.sqrt(low * high);
    if (beyond(mid) > share) low = mid;
    else high = mid;
  }
  return low;
}

const upper = (z: number): number => Math.exp(logNormalCdf(-z));
