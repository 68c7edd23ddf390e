import {
  kindOf,
  type Criterion,
  type RangeSummary,
  type Side,
  summariseRanges,
  walkIntervals,
  type WalkInterval,
  type WalkIntervalRow,
} from '@urvek/core';
import { criterionFor, type WantedCriterion, type Setup } from '@urvek/contract';
import { type SetupPath, type Finding, speaking, productOf } from './findings.ts';

/** "Incline", or "Incline, Microphone" where several kinds are compared. */
export const rangeTitle = (
  { products }: Setup,
  { path, kindId }: Pick<PathRanges, 'path' | 'kindId'>,
): string =>
  new Set(products.map((p) => p.kindId)).size > 1 ? `${path.name}, ${kindOf(kindId).name}` : path.name;

/** Estimates of one kind of product on one path by one criterion. */
export interface PathRanges {
  readonly id: string;
  readonly path: SetupPath;
  readonly kindId: string;
  readonly criterion: Criterion;
  /** The direction asked for; absent: whatever was walked. */
  readonly side: Side | undefined;
  readonly summary: RangeSummary;
  readonly findings: readonly Finding[];
}

/** Paths are estimated apart, and kinds: an advantage in the open says nothing about the shed, a remote nothing about a microphone. */
export function rangesByPath(
  setup: Setup,
  findings: readonly Finding[],
  wanted: WantedCriterion,
  side?: Side,
): PathRanges[] {
  const kinds = [...new Set(setup.products.map((p) => p.kindId))];
  return setup.paths.flatMap((path) =>
    kinds.flatMap((kindId): PathRanges[] => {
      const own = speaking(findings).filter(
        (f) => f.header.pathId === path.id && productOf(setup, f)?.kindId === kindId,
      );
      const criterion = criterionFor(wanted, kindId);
      if (own.length === 0 && kinds.length > 1) return [];
      return [
        {
          id: `${path.id}-${kindId}`,
          path,
          kindId,
          criterion,
          side,
          findings: own,
          summary: summariseRanges(walkRows(setup, own, criterion, side)),
        },
      ];
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
            summary: summariseRanges(own.flatMap((r) => walkRows(setup, r.findings, r.criterion, r.side))),
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

/** The rows of the walk-interval file: what the command line fits again. Units stand in it where a product has two. */
export function intervalRows(
  setup: Setup,
  findings: readonly Finding[],
  wanted: WantedCriterion,
  side?: Side,
): WalkIntervalRow[] {
  const rows = walkRows(setup, findings, wanted, side);
  const twoUnits = rows.some((r) => rows.some((q) => q.product === r.product && q.unit !== r.unit));
  return rows.map(({ finding, unit, ...row }) => ({
    ...row,
    direction: side ?? finding.directions.map((d) => d.direction).join(' and '),
    ...(twoUnits ? { unit } : {}),
  }));
}
