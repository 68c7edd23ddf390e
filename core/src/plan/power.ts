import { fitRanges } from '../estimate/range/fit.ts';
import { intervalCovers } from '../estimate/range/profile.ts';
import { logNormalCdf, normalQuantile } from '../numeric/normal.ts';
import { seeded, type Random } from '../random/seeded.ts';
import { MOST_WALKS, walksEachToTell } from '../numeric/walksToTell.ts';
import type { WalkInterval } from '../walk/walkInterval.ts';
import * as phrases from './phrases.ts';

export interface PowerQuestion {
  /** The ratio of distances worth telling apart. */
  readonly ratio: number;
  /** Spread between walks: standard deviation of ln distance. */
  readonly sigma: number;
  readonly walksEach: number;
  /** Ratio of neighbouring marks: 1.05 is a step of 5 %. */
  readonly stepRatio: number;
}

const Z = normalQuantile(0.975);

function check({ ratio, sigma, walksEach, stepRatio }: PowerQuestion): void {
  if (!(ratio > 0 && ratio !== 1)) throw new RangeError(phrases.invalidRatio(ratio));
  if (!(sigma > 0)) throw new RangeError(phrases.invalidSigma(sigma));
  if (!Number.isInteger(walksEach) || walksEach < 2)
    throw new RangeError(phrases.invalidWalkseach(walksEach));
  if (!(stepRatio > 1)) throw new RangeError(phrases.invalidStepratio(stepRatio));
}

/**
 * Share of comparisons that tell the ratio, by the normal approximation: good for many walks and fine steps.
 */
export function approximatePower({
  ratio,
  sigma,
  walksEach,
}: Pick<PowerQuestion, 'ratio' | 'sigma' | 'walksEach'>): number {
  return Math.exp(logNormalCdf(Math.abs(Math.log(ratio)) / (sigma * Math.sqrt(2 / walksEach)) - Z));
}

/** First guess of the walks per product that tell a ratio in 80 % of comparisons, by the noncentral t. */
export const approximateWalks = (ratio: number, sigma: number): number =>
  walksEachToTell(ratio, sigma) ?? MOST_WALKS;

/** One walk of a product with this median, bracketed by geometric marks whose phase is its own. */
function walkOf(
  random: Random,
  product: string,
  medianM: number,
  sigma: number,
  stepRatio: number,
): WalkInterval {
  const step = Math.log(stepRatio);
  const phase = random.uniform() * step;
  const mark = Math.floor((Math.log(medianM) + sigma * random.normal() - phase) / step);
  return {
    product,
    path: 'path',
    walk: '',
    heldM: Math.exp(mark * step + phase),
    failedM: Math.exp((mark + 1) * step + phase),
  };
}

/**
 * Whether one simulated comparison of two products tells them apart by the test of the ratio that would be
 * published.
 */
function tellsApart(random: Random, { ratio, sigma, walksEach, stepRatio }: PowerQuestion): boolean {
  const walks = [['A', 100] as const, ['B', 100 * ratio] as const].flatMap(([product, medianM]) =>
    Array.from({ length: walksEach }, () => walkOf(random, product, medianM, sigma, stepRatio)),
  );
  const fit = fitRanges(walks);
  const weights = fit.model.productDifference('B', 'A');
  return weights !== undefined && intervalCovers(fit, { weights, z: 0 }, 0) === false;
}

export interface Power {
  readonly question: PowerQuestion;
  readonly comparisons: number;
  /** Share that told the products apart. */
  readonly power: number;
}

/** Power by simulation of the whole test; the same seed gives the same answer. */
export function simulatePower(question: PowerQuestion, comparisons: number, seed: string): Power {
  check(question);
  const random = seeded('power', seed, JSON.stringify(question));
  let told = 0;
  for (let i = 0; i < comparisons; i++) if (tellsApart(random, question)) told++;
  return { question, comparisons, power: told / comparisons };
}
