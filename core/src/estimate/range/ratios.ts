import type { WalkInterval } from '../../walk/walkInterval.ts';
import { fitRanges, type NoFit, type RangeFit } from './fit.ts';
import { AS_STATED } from './levels.ts';
import { ratioOverGroups, ratioWithinGroups, type GroupOf } from './nested.ts';
import { SAMPLE_OF_OUTINGS, type Outings } from './outings.ts';
import {
  comparedOf,
  ratioFindingOf,
  ratioInFit,
  withHolm,
  type Compared,
  type RatioFinding,
} from './ratioFinding.ts';
import { samplesByProduct, type Sample } from './sample.ts';
import * as phrases from './phrases.ts';

export type Pair = readonly [numerator: string, denominator: string];

/** Ratios by each way of looking at the walks, and of each pair the one that they were made for. */
export interface Ratios {
  readonly product: RatioFinding[];
  /** From walks side by side, each pair a block; empty where there are none. */
  readonly paired: RatioFinding[];
  /** Over units; empty where every product has one. */
  readonly units: RatioFinding[];
}

/** More units than one of a product. */
const severalUnits = (walks: readonly WalkInterval[]): boolean =>
  new Set(walks.map((w) => w.unit ?? '')).size > 1;

export function ratiosOf(
  fit: RangeFit | NoFit,
  walks: readonly WalkInterval[],
  pairs: readonly Pair[],
): Ratios {
  const blocks = blockFits(walks);
  const samples = samplesByProduct(walks);
  const compared = pairs.map((pair) => comparedOf(pair, samples));
  const paired = compared.flatMap((c) => pairedRatio(blocks, c));
  const several = new Set(fit.model.productLevels.filter((p) => severalUnits(samples.get(p)?.walks ?? [])));
  const units = several.size === 0 ? [] : compared.map((c) => overUnits(c));
  const product = compared.map((c) => {
    const side = paired.find((r) => isOf(r, c));
    if (side?.interval95 && mostlyPaired(c)) return side;
    if (several.has(c.numerator) || several.has(c.denominator)) return overUnits(c);
    return byOutings(fit, blocks, c);
  });
  return { product: withHolm(product), paired: withHolm(paired), units: withHolm(units) };
}

const isOf = (r: RatioFinding, { numerator, denominator }: Compared): boolean =>
  r.numerator === numerator && r.denominator === denominator;

/** Fits in which a pair of walks, or an outing, is a block of its own; each made once it is asked for. */
interface Blocks {
  readonly pairedWalks: ReadonlyMap<string, Sample>;
  paired(): RangeFit | NoFit;
  outings(): RangeFit | NoFit;
}

function blockFits(walks: readonly WalkInterval[]): Blocks {
  const pairedWalks = walks.filter((w) => w.pair !== undefined);
  const block = (rows: readonly WalkInterval[], of: (w: WalkInterval) => string | undefined) =>
    once(() => fitRanges(rows, { ...AS_STATED, path: (w) => JSON.stringify([w.path, of(w)]) }));
  return {
    pairedWalks: samplesByProduct(pairedWalks),
    paired: block(pairedWalks, (w) => w.pair),
    outings: block(walks, (w) => w.outing),
  };
}

function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => (made ??= { value: make() }).value;
}

/** Walks side by side: what the place and the air of that moment were cancels. */
function pairedRatio({ pairedWalks, paired }: Blocks, compared: Compared): RatioFinding[] {
  const { numerator, denominator } = compared;
  const of = (product: string): Set<string> =>
    new Set((pairedWalks.get(product)?.walks ?? []).map((w) => `${w.path}/${w.pair}`));
  const [a, b] = [of(numerator), of(denominator)];
  const both = [...a].filter((pair) => b.has(pair)).length;
  if (a.size === 0 || b.size === 0) return [];
  const fit = paired();
  return [
    ratioInFit(
      fit,
      comparedOf([numerator, denominator], pairedWalks),
      fit.model.productDifference(numerator, denominator),
      {
        method: 'paired',
        basis: phrases.sideBySide(phrases.countedPairs(both)),
        forTheseSetUps: false,
      },
    ),
  ];
}

/** Half of the walks at least are of pairs: then these are what the walks were made for. */
function mostlyPaired({ above, below }: Compared): boolean {
  const own = [...above.walks, ...below.walks];
  return 2 * own.filter((w) => w.pair !== undefined).length >= own.length;
}

const groups = (walks: readonly WalkInterval[], of: GroupOf): number => new Set(walks.map(of)).size;

/** Units, or outings, of both as samples. */
function overSample(
  compared: Compared,
  method: 'units' | 'outings',
  of: GroupOf,
  test = ratioOverGroups,
  said?: string,
): RatioFinding {
  const [above, below] = [compared.above.walks, compared.below.walks];
  const how = {
    method,
    basis: said ?? phrases.byAnd(groups(above, of), groups(below, of), method),
    forTheseSetUps: false,
  };
  const over = test(above, below, of);
  if ('reason' in over) return ratioFindingOf(compared, how, over);
  const [low, high] = over.interval95;
  return ratioFindingOf(compared, how, {
    logRatio: over.logEstimate,
    seLog: over.seLog,
    interval95: { low: Math.exp(low), high: Math.exp(high) },
    p: over.p,
  });
}

const overUnits = (compared: Compared): RatioFinding => overSample(compared, 'units', (w) => w.unit ?? '');

/** The outings of both together; undefined where not every walk says on which it was made. */
function allOutings({ above, below }: Compared): Outings | undefined {
  if (!above.outings || !below.outings) return undefined;
  const count = new Set([...above.outings, ...below.outings]).size;
  return count === 0 ? undefined : { count, repeated: count < above.walks.length + below.walks.length };
}

/**
 * Where both were walked on the same outings, these are blocks, and from three on, with several walks of one,
 * a sample; where each had outings of its own, they are a sample from two each on, and tell nothing with one.
 * Walks that are an outing each, and those of which nobody says, stand one by one.
 */
function byOutings(fit: RangeFit | NoFit, blocks: Blocks, compared: Compared): RatioFinding {
  const { numerator, denominator, above, below } = compared;
  const sides = [above, below];
  const all = allOutings(compared);
  const own = sides.map((s) => s.outings?.size ?? 0) as [number, number];
  const plain = (forTheseSetUps: boolean): RatioFinding =>
    ratioInFit(
      fit,
      compared,
      fit.model.productDifference(numerator, denominator),
      { method: 'shared', basis: undefined, forTheseSetUps },
      true,
    );
  if (!all?.repeated) return plain(false);
  if (all.count === 1) return plain(true);
  const shared = own[0] + own[1] - all.count;
  const perOuting = ({ outings, walks }: Sample): boolean =>
    outings !== undefined && outings.size < walks.length;
  if (shared >= SAMPLE_OF_OUTINGS && sides.some(perOuting))
    return overSample(
      compared,
      'outings',
      (w) => w.outing as string,
      ratioWithinGroups,
      phrases.outingsWithBoth(shared),
    );
  if (shared > 0) {
    const inBlocks = blocks.outings();
    const weights = inBlocks.model.productDifference(numerator, denominator);
    const basis = phrases.withBoth(phrases.countedOutings(shared));
    if (weights)
      return ratioInFit(inBlocks, compared, weights, {
        method: 'outings',
        basis,
        forTheseSetUps: sides.some(perOuting),
      });
  }
  if (Math.min(...own) >= 2) return overSample(compared, 'outings', (w) => w.outing as string);
  const { estimate, interval95: _, p: __, ...rest } = plain(false);
  return {
    ...rest,
    method: 'outings',
    basis: phrases.byAndOutings(own[0], own[1]),
    estimate,
    interval95: undefined,
    withScale95: undefined,
    p: undefined,
    estimable: false,
    reason: phrases.eachWasWalkedOnOutingsOf,
  };
}
