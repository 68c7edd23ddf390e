import {
  nothingTellsApart,
  type CellFinding,
  type Criterion,
  type RatioFinding,
  criterionFor,
  type WantedCriterion,
} from '@urvek/core';
import { type Rig, type Setup } from '@urvek/contract';
import { plannedRigs, plannedWalks } from '../plan/plannedWalks.ts';
import type { SetupPath } from '../results/findings.ts';
import type { RangeView, RangeWalk } from '../results/ranges.ts';
import * as phrases from './phrases.ts';

/**
 * What stands in a cell of the reach board: nothing is to be walked there; it is to be; walks that only bracket it;
 * walks that all held, or all failed at once; an estimate; walks that say nothing in metres.
 */
export const REACH_STATES = ['not planned', 'planned', 'brackets', 'bound', 'estimate', 'refused'] as const;
export type ReachState = (typeof REACH_STATES)[number];

/** One that is compared, on one path. */
export interface ReachCell {
  /** Path and subject: its name in an address. */
  readonly id: string;
  readonly path: SetupPath;
  readonly subject: string;
  readonly state: ReachState;
  /** Finished walks that say something by the criterion; and those that the plan wants here. */
  readonly walks: number;
  readonly planned: number;
  readonly cell: CellFinding | undefined;
  readonly brackets: readonly NonNullable<RangeWalk['interval']>[];
  /** Against the reference of its kind; absent for the reference itself, and where there is none. */
  readonly ratio: { readonly of: RatioFinding; readonly inverse: boolean } | undefined;
  /** Why there is no estimate. */
  readonly why: string | undefined;
}

export interface ReachRow {
  readonly subjectId: string;
  readonly subject: string;
  readonly productId: string;
  readonly kindId: string;
  readonly criterion: Criterion;
  readonly reference: boolean;
  readonly cells: readonly ReachCell[];
}

export interface ReachBoard {
  readonly paths: readonly SetupPath[];
  /** Kind by kind, in the order of the kit. */
  readonly rows: readonly ReachRow[];
}

interface Shown {
  readonly setup: Setup;
  readonly ranges: readonly RangeView[];
  readonly criterion: WantedCriterion;
  /** Whom the others of its kind are set against; without it, the first of each kind. */
  readonly referenceId?: string | undefined;
}

/** Who reaches how far, where: rigs by paths. */
export function reachBoard({ setup, ranges, criterion, referenceId }: Shown): ReachBoard {
  const planned = new Map<string, number>();
  for (const { item } of plannedWalks(setup)) {
    const key = plannedKey(item.path.id, item.product.id, item.rig.id);
    planned.set(key, (planned.get(key) ?? 0) + 1);
  }
  const kinds = [...new Set(setup.products.map((p) => p.kindId))];
  const rows = kinds.flatMap((kindId) => {
    const own = ranges.filter((r) => r.kindId === kindId);
    const subjects = subjectsShown(setup, own, kindId);
    const reference = subjects.find((s) => s.id === referenceId) ?? subjects[0];
    return subjects.map((subject): ReachRow => ({
      subjectId: subject.id,
      subject: subject.name,
      productId: subject.productId,
      kindId,
      criterion: own[0]?.criterion ?? criterionFor(criterion, kindId),
      reference: subject === reference,
      cells: setup.paths.map((path) =>
        cellOf(
          path,
          subject,
          reference,
          own.find((r) => r.path.id === path.id),
          subject.rigs.reduce(
            (sum, r) => sum + (planned.get(plannedKey(path.id, subject.productId, r.id)) ?? 0),
            0,
          ),
        ),
      ),
    }));
  });
  return { paths: setup.paths, rows };
}

const plannedKey = (pathId: string, productId: string, rigId: string): string =>
  `${pathId}~${productId}~${rigId}`;

interface Named {
  readonly id: string;
  readonly name: string;
  readonly productId: string;
  readonly rigs: readonly Rig[];
}

/**
 * Those that were walked, with the rigs that nothing tells apart from theirs; then each planned rig that is yet
 * another, and products of which no walk is there.
 */
function subjectsShown(setup: Setup, own: readonly RangeView[], kindId: string): Named[] {
  const walked = new Map(own.flatMap((r) => r.subjects.map((s) => [s.id, s] as const)));
  const planned = new Set(plannedRigs(setup).map(({ rig }) => rig));
  return setup.products
    .filter((p) => p.kindId === kindId)
    .flatMap((p): Named[] => {
      const subjects = [...walked.values()].filter((s) => s.product.id === p.id);
      if (subjects.length === 0) return [{ id: p.id, name: p.name, productId: p.id, rigs: p.rigs }];
      const like = (rig: Rig) =>
        subjects.find((s) => s.rigs.some((r) => r.id === rig.id || nothingTellsApart(r, rig)));
      return [
        ...subjects.map((s) => ({
          id: s.id,
          name: s.name,
          productId: p.id,
          rigs: p.rigs.filter((r) => like(r) === s),
        })),
        ...p.rigs
          .filter((r) => planned.has(r) && !like(r))
          .map((r) => ({ id: `${p.id}.${r.id}`, name: `${p.name}, ${r.name}`, productId: p.id, rigs: [r] })),
      ];
    });
}

function cellOf(
  path: SetupPath,
  subject: Named,
  reference: Named | undefined,
  range: RangeView | undefined,
  planned: number,
): ReachCell {
  const walks = range?.walks.filter((w) => w.product === subject.name && w.finished) ?? [];
  const cell = range?.summary.fitted.find((c) => c.product === subject.name && c.walks > 0);
  const brackets = walks.flatMap((w) => (w.interval ? [w.interval] : []));
  const state = stateOf(cell, walks.length, planned);
  return {
    id: `${path.id}~${subject.id}`,
    ...{ path, subject: subject.name, state, planned, cell, brackets },
    walks: state === 'refused' ? walks.length : (cell?.walks ?? 0),
    ratio: range && ratioTo(range, subject.name, reference?.name),
    why: state === 'refused' ? (walks[0]?.absent ?? phrases.noDistanceIsKnown) : cell?.reason,
  };
}

function stateOf(cell: CellFinding | undefined, walks: number, planned: number): ReachState {
  if (!cell) return walks > 0 ? 'refused' : planned > 0 ? 'planned' : 'not planned';
  if (cell.median) return 'estimate';
  const common = cell.unplaced === 0 ? cell.bounds?.common : undefined;
  const oneSided = cell.failures === 0 || (common !== undefined && common.heldM === 0);
  return oneSided ? 'bound' : 'brackets';
}

function ratioTo(range: RangeView, subject: string, reference: string | undefined): ReachCell['ratio'] {
  if (reference === undefined || subject === reference) return undefined;
  const of = range.summary.productRatios.find(
    (r) =>
      r.estimate &&
      [r.numerator, r.denominator].includes(subject) &&
      [r.numerator, r.denominator].includes(reference),
  );
  return of && { of, inverse: of.numerator === reference };
}

/** A ratio to the reference with its 95 % interval; `apart`: the interval leaves 1 out. */
export function ratioFigures({ of, inverse }: NonNullable<ReachCell['ratio']>): {
  readonly ratio: number;
  readonly low: number | undefined;
  readonly high: number | undefined;
  readonly apart: boolean;
} {
  const ratio = (of.estimate as NonNullable<typeof of.estimate>).ratio;
  const { low, high } = of.withScale95 ?? { low: undefined, high: undefined };
  const over = (value: number | undefined): number | undefined => value && 1 / value;
  const ends = inverse ? { low: over(high), high: over(low) } : { low, high };
  return {
    ratio: inverse ? 1 / ratio : ratio,
    ...ends,
    apart: (ends.low !== undefined && ends.low > 1) || (ends.high !== undefined && ends.high < 1),
  };
}
