import {
  findWalk, judgeClaim, parseClaim, separationRangeM, pathLengthM, summariseRanges, walkIntervals, balancedOrder,
  type Claim, type Criterion, type PathLink, type RangeSummary, type Slot, type StandIn, type Verdict, type WalkFinding, type WalkIntervalRow, type WalkRecord,
} from '@urvek/core';
import type { Product, ProductClaim, Rig, Setup } from './setup.ts';
import type { StoredWalk, WalkHeader } from './walk.ts';

export type SetupPath = Setup['paths'][number];

/** A finding together with the header it came from. */
export interface Finding extends WalkFinding {
  readonly header: WalkHeader;
}

/** Walks in order of their start, numbered within product and path; those of a product or path since removed are left out. */
export function findWalks(setup: Setup, walks: readonly StoredWalk[]): Finding[] {
  const counts = new Map<string, number>();
  return [...walks].sort((a, b) => a.header.startedMs - b.header.startedMs).flatMap(({ header, log }) => {
    const product = setup.products.find((p) => p.id === header.productId);
    const path = setup.paths.find((p) => p.id === header.pathId);
    if (!product || !path) return [];
    const key = `${product.id}/${path.id}`;
    const count = (counts.get(key) ?? 0) + 1;
    counts.set(key, count);
    const record: WalkRecord = { walkId: header.id, label: String(count), product: product.name, path, log };
    const finding = findWalk(record);
    return finding ? [{ ...finding, header }] : [];
  });
}

/** A claim of distance, in metres. Claims of other forms stand on no tape. */
export const claimOf = (claim: ProductClaim): Claim => ({ entered: claim.entered, distanceM: parseClaim('distance', claim.entered).value, upTo: claim.upTo, condition: claim.condition });

export const distanceClaims = (product: Product): ProductClaim[] => product.claims.filter((c) => c.form === 'distance');

/** A path must outrun what it tests by this much, or the result will be a bound. */
export const OUTRUN = 1.5;

export const claimText = (claim: ProductClaim): string => `${claim.upTo ? 'up to ' : ''}${claim.entered}, ${claim.condition === 'unstated' ? 'condition unstated' : claim.condition}`;

const speaksTo = (path: SetupPath, claim: ProductClaim): boolean => claim.condition === 'unstated' || claim.condition === path.condition;

/** The claims that a path can speak to, where they stand on its tape. */
export const claimFlags = ({ products }: Setup, path: SetupPath): { atM: number; label: string }[] =>
  products.flatMap((p) => distanceClaims(p).filter((c) => speaksTo(path, c)).map((c) => ({ atM: claimOf(c).distanceM, label: `${p.name}: ${claimText(c)}` })));

/** Estimates of one path by one criterion. */
export interface PathRanges {
  readonly path: SetupPath;
  readonly criterion: Criterion;
  readonly summary: RangeSummary;
  readonly findings: readonly Finding[];
}

/** Paths are estimated apart: an advantage in the open says nothing about the shed. */
export function rangesByPath(setup: Setup, findings: readonly Finding[], criterion: Criterion): PathRanges[] {
  return setup.paths.map((path) => {
    const own = findings.filter((f) => f.header.pathId === path.id);
    return { path, criterion, findings: own, summary: summariseRanges(walkIntervals(own, criterion)) };
  });
}

export interface ClaimVerdict {
  readonly product: Product;
  readonly claim: ProductClaim;
  readonly path: SetupPath | undefined;
  readonly verdict: Verdict;
}

/** Each claim on each path of its own condition; "not tested" where there is none. */
export function judgeClaims(setup: Setup, ranges: readonly PathRanges[]): ClaimVerdict[] {
  return setup.products.flatMap((product) => product.claims.flatMap((claim) => {
    if (claim.form !== 'distance') return [{ product, claim, path: undefined, verdict: notJudged(claim) }];
    const fitting = ranges.filter(({ path }) => speaksTo(path, claim));
    const judge = (range: PathRanges | undefined): ClaimVerdict => ({
      product, claim, path: range?.path,
      verdict: judgeClaim(claimOf(claim), {
        criterion: range?.criterion ?? setup.plan.criterion,
        cell: range?.summary.fitted.find((c) => c.product === product.name),
        unitsTested: unitsWalked(product, range?.findings ?? []),
        pathReachM: range && separationRangeM(range.path, 0, pathLengthM(range.path)).greatestM,
      }),
    });
    return fitting.length === 0 ? [judge(undefined)] : fitting.map(judge);
  }));
}

const notJudged = ({ form }: ProductClaim): Verdict => ({
  outcome: 'not tested', reason: `Urvek does not judge claims of ${form} yet.`, next: undefined, caveats: [],
});

/** Units that took part in walks of a product. */
export function unitsWalked(product: Product, findings: readonly Finding[]): number {
  const rigs = new Set(findings.filter((f) => f.header.productId === product.id).map((f) => f.header.rigId));
  return new Set(product.rigs.filter((r) => rigs.has(r.id)).map((r) => r.unitMobileId)).size;
}

export interface PlannedWalk {
  readonly product: Product;
  readonly rig: Rig;
  readonly path: SetupPath;
}

/** Every product on every path, in a balanced order; each with its first rig. */
export function plannedWalks({ products, paths, plan }: Setup): Slot<PlannedWalk>[] {
  return paths.flatMap((path) => balancedOrder(products, plan.walksEach).flatMap(({ item: product, ...slot }) => {
    const rig = product.rigs[0];
    return rig ? [{ ...slot, item: { product, rig, path } }] : [];
  }));
}

/** A planned walk with the walk that fills it: finished walks fill the slots of their product and path in order. */
export interface SlotState extends Slot<PlannedWalk> {
  readonly finding: Finding | undefined;
}

export function planState(setup: Setup, findings: readonly Finding[]): SlotState[] {
  const left = findings.filter((f) => f.trace.endReason);
  return plannedWalks(setup).map((slot) => {
    const at = left.findIndex((f) => f.header.productId === slot.item.product.id && f.header.pathId === slot.item.path.id);
    return { ...slot, finding: at === -1 ? undefined : left.splice(at, 1)[0] };
  });
}

/** The rows of the walk-interval file: what the command line fits again. */
export function intervalRows(findings: readonly Finding[], criterion: Criterion): WalkIntervalRow[] {
  return walkIntervals(findings, criterion).map((interval) => {
    const finding = findings.find((f) => f.product === interval.product && f.path.name === interval.path && f.label === interval.walk);
    return { ...interval, criterion, direction: finding?.trace.direction ?? '' };
  });
}

/** The link of a product on a rig, for predictions; undefined until it is said what level the receiver needs. */
export const pathLinkOf = (product: Product, rig: Rig): PathLink | undefined =>
  product.sensitivityDbm === undefined ? undefined : {
    frequencyMHz: product.bandMHz,
    eirpDbm: 10 * Math.log10(rig.powerMw ?? product.powerMw) - (rig.feederLossDb ?? 0) - (rig.bodyLossDb ?? 0),
    receiveGainDbi: rig.antennaGainDbi ?? 0,
    requiredDbm: product.sensitivityDbm,
    heightsM: [rig.heightFixedM, rig.heightMobileM],
  };

/** The stand-in that plays a product on a rig. */
export const standInOf = (product: Product, rig: Rig): StandIn => ({
  productSeed: product.id,
  frequencyMHz: product.bandMHz,
  eirpDbm: 10 * Math.log10(rig.powerMw ?? product.powerMw) - (rig.feederLossDb ?? 0),
  receiveGainDbi: rig.antennaGainDbi ?? 0,
  requiredDbm: product.standIn.requiredDbm,
  heightsM: [rig.heightFixedM, rig.heightMobileM],
  bodyLossDb: [product.standIn.bodyLossOutDb, product.standIn.bodyLossBackDb],
});
