import { sandwich } from '../../numeric/linear.ts';
import { countCensoring, type Censoring, type WalkInterval } from '../../walk/walkInterval.ts';
import { cellFinding, type CellFinding } from './cellFinding.ts';
import { fitRanges, isFit, type NoFit, type RangeFit } from './fit.ts';
import { interactionTest, productTest, type ChiSquareTest } from './likelihoodRatio.ts';
import { dot } from './quantile.ts';
import type { RatioFinding } from './ratioFinding.ts';
import { ratiosOf, type Pair } from './ratios.ts';
import { spreadsInDoubt } from './welch.ts';
import { unitFindings, type UnitFinding, type UnitSpread } from './unitFinding.ts';
import * as phrases from './phrases.ts';

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
  /** Of each pair by what the walks were made for: pairs, units, outings, or walks one by one. */
  readonly productRatios: readonly RatioFinding[];
  readonly lrTestProduct: ChiSquareTest | undefined;
  /**
   * Whether the advantage of a product depends on the path; absent where one path, or one product, was
   * walked.
   */
  readonly interaction: ChiSquareTest | undefined;
  /** Ratios from walks side by side, each pair a block of its own; empty where there are none. */
  readonly pairedRatios: readonly RatioFinding[];
  /** Ratios by Student's t over units; empty where every product has one unit. */
  readonly unitRatios: readonly RatioFinding[];
  /** Each unit of the products that have several, by itself; empty where every product has one. */
  readonly units: readonly UnitFinding[];
  /** Between units and within them, of the products that have several. */
  readonly unitSpreads: readonly UnitSpread[];
  /** Units of one product, two by two, with Holm's correction over all such pairs. */
  readonly unitPairs: readonly RatioFinding[];
}

export const INTERVAL_METHOD = phrases.profileLikelihoodDropNLn1;

/**
 * The lognormal accelerated-failure-time model, ln D = μ + product + path + σZ, on walks that share one
 * criterion, direction and grade scale.
 */
export function summariseRanges(
  walks: readonly WalkInterval[],
  { sharedP10 = true }: { readonly sharedP10?: boolean } = {},
): RangeSummary {
  const fit = fitRanges(walks);
  const { productLevels, pathLevels } = fit.model;
  const named = namedCoefficients(fit);
  const known = named.filter(
    (c): c is NamedCoefficient & { weights: number[] } => isFit(fit) && c.weights !== undefined,
  );
  const [onlyPath] = pathLevels;
  const ownMedian =
    pathLevels.length === 1 &&
    productLevels.length > 1 &&
    onlyPath !== undefined &&
    spreadsInDoubt(productLevels.map((p) => walks.filter((w) => w.product === p)));
  const ratios = ratiosOf(fit, walks, pairsOf(productLevels));
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
      pathLevels.map((path) => cellFinding(fit, walks, product, path, { sharedP10, own: true, ownMedian })),
    ),
    productRatios: ratios.product,
    lrTestProduct: isFit(fit) ? productTest(walks, fit) : undefined,
    interaction: interactionTest(walks, fit),
    pairedRatios: ratios.paired,
    unitRatios: ratios.units,
    ...unitFindings(walks),
  };
}

/** What walks on several paths say together: how products compare, and whether that depends on the path. */
export type AcrossSummary = Pick<RangeSummary, 'n' | 'productRatios' | 'interaction'>;

/** The same model asked for no more than that: no cell by itself, no unit. */
export function summariseAcross(walks: readonly WalkInterval[]): AcrossSummary {
  const fit = fitRanges(walks);
  return {
    n: walks.length,
    productRatios: ratiosOf(fit, walks, pairsOf(fit.model.productLevels)).product,
    interaction: interactionTest(walks, fit),
  };
}

/** Each two products once, the later of the order above the earlier. */
const pairsOf = (products: readonly string[]): Pair[] =>
  products.flatMap((a, i) => products.slice(i + 1).map((b) => [b, a] as const));

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
  const out = walks.length - model.informative;
  return out === 0 ? undefined : phrases.ofWalksOnlyBoundFromOne(out, walks.length);
}
