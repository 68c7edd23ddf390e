import {
  kindOf,
  type Criterion,
  type RangeSummary,
  type Side,
  outcomeOf,
  walkIntervals,
  type Direction,
  type DistanceMethod,
  type WalkMode,
  type WalkInterval,
  type WalkIntervalRow,
} from '@urvek/core';
import { criterionFor, type WantedCriterion, type Setup, type WalkHeader } from '@urvek/contract';
import { summarise } from './summarise.ts';
import { type SetupPath, type Finding, speaking, productOf } from './findings.ts';

/** "Incline", or "Incline, Microphone" where several kinds are compared. */
export const rangeTitle = (
  { products }: Setup,
  { path, kindId }: Pick<RangeView, 'path' | 'kindId'>,
): string =>
  new Set(products.map((p) => p.kindId)).size > 1 ? `${path.name}, ${kindOf(kindId).name}` : path.name;

/** One walk, as far as a range asks. */
export interface RangeWalk {
  readonly walkId: string;
  readonly label: string;
  readonly header: WalkHeader;
  readonly product: string;
  /** By the range's criterion and direction; absent: no outcome, or still under way. */
  readonly interval: { readonly heldM: number; readonly failedM: number | undefined } | undefined;
  readonly finished: boolean;
  readonly mode: WalkMode;
  readonly simulated: boolean;
  readonly methods: readonly DistanceMethod[];
  readonly directions: readonly Direction[];
  readonly reconnections: Finding['trace']['reconnections'];
}

/** Estimates of one kind of product on one path by one criterion, as they are shown. */
export interface RangeView {
  readonly id: string;
  readonly path: SetupPath;
  readonly kindId: string;
  readonly criterion: Criterion;
  /** The direction asked for; absent: whatever was walked. */
  readonly side: Side | undefined;
  readonly summary: RangeSummary;
  readonly walks: readonly RangeWalk[];
}

/** The same with all that is known of its walks: it stays where it was worked out. */
export interface PathRanges extends RangeView {
  readonly findings: readonly Finding[];
}

export const viewOf = ({ findings: _, ...view }: PathRanges): RangeView => view;

/** A walk as a range shows it. */
export const rangeWalk = (finding: Finding, criterion: Criterion, side?: Side): RangeWalk => ({
  walkId: finding.walkId,
  label: finding.label,
  header: finding.header,
  product: finding.product,
  interval: finding.trace.endReason ? outcomeOf(finding, criterion, side).interval : undefined,
  finished: finding.trace.endReason !== undefined,
  mode: finding.trace.begin.body.mode ?? 'continuous',
  simulated: finding.trace.begin.body.simulatedSeed !== undefined,
  methods: finding.trace.methods,
  directions: finding.directions.map((d) => d.direction),
  reconnections: finding.trace.reconnections,
});

/**
 * Paths are estimated apart, and kinds: an advantage in the open says nothing about the shed, a remote
 * nothing about a microphone.
 */
export function rangesByPath(
  setup: Setup,
  findings: readonly Finding[],
  wanted: WantedCriterion,
  side?: Side,
): PathRanges[] {
  const kinds = [...new Set(setup.products.map((p) => p.kindId))];
  const kindOfProduct = new Map(setup.products.map((p) => [p.id, p.kindId]));
  const cells = new Map<string, Finding[]>();
  for (const f of speaking(findings)) {
    const id = `${f.header.pathId}-${kindOfProduct.get(f.header.productId)}`;
    const own = cells.get(id);
    if (own) own.push(f);
    else cells.set(id, [f]);
  }
  return setup.paths.flatMap((path) =>
    kinds.flatMap((kindId): PathRanges[] => {
      const id = `${path.id}-${kindId}`;
      const own = cells.get(id) ?? [];
      const criterion = criterionFor(wanted, kindId);
      if (own.length === 0 && kinds.length > 1) return [];
      const walks = own.map((f) => rangeWalk(f, criterion, side));
      const summary = summarise(walkRows(setup, own, criterion, side));
      return [{ id, path, kindId, criterion, side, findings: own, walks, summary }];
    }),
  );
}

/** One kind of product over all its paths: does an advantage hold everywhere? */
export interface AcrossPaths {
  readonly kindId: string;
  readonly criterion: Criterion;
  readonly summary: RangeSummary;
}

/** Kinds that were walked on two paths or more. */
export function acrossPaths(setup: Setup, ranges: readonly PathRanges[]): AcrossPaths[] {
  return [...new Set(ranges.map((r) => r.kindId))].flatMap((kindId) => {
    const own = ranges.filter((r) => r.kindId === kindId && r.summary.n > 0);
    const [first] = own;
    return first && own.length > 1
      ? [
          {
            kindId,
            criterion: first.criterion,
            summary: summarise(own.flatMap((r) => walkRows(setup, r.findings, r.criterion, r.side))),
          },
        ]
      : [];
  });
}

/** Walks as intervals, with the unit walked and the pair that a walk belongs to. */
export function walkRows(
  setup: Setup,
  findings: readonly Finding[],
  wanted: WantedCriterion,
  side?: Side,
): (WalkInterval & { readonly criterion: Criterion; readonly finding: Finding })[] {
  return speaking(findings).flatMap((finding) => {
    const product = productOf(setup, finding);
    if (!product) return [];
    const rig = product.rigs.find((r) => r.id === finding.header.rigId);
    const unit = product.units.find((u) => u.id === rig?.unitMobileId)?.label;
    const pair = finding.header.slot?.pair;
    const criterion = criterionFor(wanted, product.kindId);
    return walkIntervals([finding], criterion, side).map((interval) => ({
      ...interval,
      ...(unit === undefined ? {} : { unit }),
      ...(pair === undefined ? {} : { pair }),
      criterion,
      finding,
    }));
  });
}

/**
 * The rows of the walk-interval file: what the command line fits again. Units stand in it where a product
 * has two.
 */
export function intervalRows(
  setup: Setup,
  findings: readonly Finding[],
  wanted: WantedCriterion,
  side?: Side,
): WalkIntervalRow[] {
  const rows = walkRows(setup, findings, wanted, side);
  const unitOf = new Map(rows.map((r) => [r.product, r.unit]));
  const twoUnits = rows.some((r) => unitOf.get(r.product) !== r.unit);
  return rows.map(({ finding, unit, ...row }) => ({
    ...row,
    direction: side ?? finding.directions.map((d) => d.direction).join(' and '),
    ...(twoUnits ? { unit } : {}),
  }));
}
