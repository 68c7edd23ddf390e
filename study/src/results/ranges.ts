import {
  byIdentity,
  kindOf,
  type Criterion,
  type AcrossSummary,
  type RangeSummary,
  type Side,
  outcomeOf,
  type Direction,
  type DistanceMethod,
  type WalkMode,
  type OutcomeInterval,
  type WalkIntervalRow,
  type WalkOutcome,
  criterionFor,
  type WantedCriterion,
} from '@urvek/core';
import { type Setup, type WalkHeader } from '@urvek/contract';
import { summarise, summariseAcross } from './summarise.ts';
import { type SetupPath, type Finding, speaking } from './findings.ts';
import { comesBack, type ComesBack } from './comesBack.ts';
import { namedCourse } from './course.ts';
import { pairsOf, type SubjectPair } from './ratioEvidence.ts';
import type { Subject } from './subjects.ts';
import { walkRows } from './walkRows.ts';
import { wallsOf, type WallFound } from './walls.ts';
import * as phrases from './phrases.ts';

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
  readonly interval: OutcomeInterval | undefined;
  /** Why there is none, and between which named points it lies. */
  readonly absent: string | undefined;
  readonly between: WalkOutcome['between'];
  /** What it found at places that have names and no metres. */
  readonly course: string | undefined;
  readonly finished: boolean;
  /** Absent: not stated. */
  readonly outing: string | undefined;
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
  /** Coverage that comes back farther on, walk by walk. */
  readonly comesBack: readonly ComesBack[];
  /** Products most of whose walks end where the path changes. */
  readonly walls: readonly WallFound[];
  /** Each two that were walked here, with what their walks say beside the model. */
  readonly pairs: readonly SubjectPair[];
  /** Who is compared here, in the order of the kit. */
  readonly subjects: readonly Subject[];
}

/** The same with all that is known of its walks: it stays where it was worked out. */
export interface PathRanges extends RangeView {
  /** Finished walks: what estimates, curves and tables are made of. */
  readonly findings: readonly Finding[];
  /** Those and the ones under way, which the audits look at. */
  readonly begun: readonly Finding[];
}

export const viewOf = ({ findings: _, begun: __, ...view }: PathRanges): RangeView => view;

/** A walk as a range shows it. */
export const rangeWalk = (finding: Finding, criterion: Criterion, side?: Side): RangeWalk => {
  const outcome = outcomeOf(finding, criterion, side);
  const finished = finding.trace.endReason !== undefined;
  return {
    walkId: finding.walkId,
    label: finding.label,
    header: finding.header,
    product: finding.product,
    interval: finished ? outcome.interval : undefined,
    absent: finished ? outcome.absent : phrases.itIsNotFinished,
    between: finished ? outcome.between : undefined,
    course: finished ? namedCourse(finding.trace) : undefined,
    finished,
    outing: finding.outing,
    mode: finding.trace.begin.body.mode ?? 'continuous',
    simulated: finding.trace.begin.body.simulatedSeed !== undefined,
    methods: finding.trace.methods,
    directions: finding.directions.map((d) => d.direction),
    reconnections: finding.trace.reconnections,
  };
};

/** How many finished walks say something, each by its kind's criterion: what an estimate would be made of. */
export function countOutcomes(
  { products, paths }: Setup,
  findings: readonly Finding[],
  wanted: WantedCriterion,
): number {
  const kindOfProduct = new Map(products.map((p) => [p.id, p.kindId]));
  const pathIds = new Set(paths.map((p) => p.id));
  return speaking(findings).filter((finding) => {
    const { trace, header } = finding;
    const kindId = kindOfProduct.get(header.productId);
    return (
      trace.endReason !== undefined &&
      kindId !== undefined &&
      pathIds.has(header.pathId) &&
      outcomeOf(finding, criterionFor(wanted, kindId)).interval !== undefined
    );
  }).length;
}

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
      const begun = cells.get(`${path.id}-${kindId}`) ?? [];
      if (begun.length === 0 && kinds.length > 1) return [];
      return [pathRange(path, kindId, criterionFor(wanted, kindId), side, begun)];
    }),
  );
}

/** Of how many kinds, criteria and directions a path's ranges are kept. */
const MOST_RANGES = 12;

const pathRange = byIdentity(
  (
    path: SetupPath,
    kindId: string,
    criterion: Criterion,
    side: Side | undefined,
    begun: readonly Finding[],
  ): PathRanges => {
    const findings = begun.filter((f) => f.trace.endReason !== undefined);
    const rows = walkRows(findings, criterion, side);
    const subjects = [...new Map(findings.map((f) => [f.subject.id, f.subject])).values()];
    return {
      id: `${path.id}-${kindId}`,
      path,
      kindId,
      criterion,
      side,
      findings,
      begun,
      walks: begun.map((f) => rangeWalk(f, criterion, side)),
      comesBack: comesBack(findings),
      subjects,
      walls: wallsOf({ rows, subjects, path }),
      pairs: pairsOf({ findings, subjects, criterion, side }),
      summary: summarise(rows),
    };
  },
  MOST_RANGES,
);

/** One kind of product over all its paths: does an advantage hold everywhere? */
export interface AcrossPaths {
  readonly kindId: string;
  readonly criterion: Criterion;
  readonly summary: AcrossSummary;
}

/** Kinds that were walked on two paths or more. */
export function acrossPaths(ranges: readonly PathRanges[]): AcrossPaths[] {
  return [...new Set(ranges.map((r) => r.kindId))].flatMap((kindId) => {
    const own = ranges.filter((r) => r.kindId === kindId && r.summary.n > 0);
    const [first] = own;
    return first && own.length > 1
      ? [
          {
            kindId,
            criterion: first.criterion,
            summary: summariseAcross(own.flatMap((r) => walkRows(r.findings, r.criterion, r.side))),
          },
        ]
      : [];
  });
}

/**
 * The rows of the walk-interval file: what the command line fits again. Units stand in it where a product
 * has two.
 */
export function intervalRows(
  findings: readonly Finding[],
  wanted: WantedCriterion,
  side?: Side,
): WalkIntervalRow[] {
  const rows = walkRows(findings, wanted, side);
  const unitOf = new Map(rows.map((r) => [r.product, r.unit]));
  const twoUnits = rows.some((r) => unitOf.get(r.product) !== r.unit);
  return rows.map(({ finding, unit, ...row }) => ({
    ...row,
    direction: side ?? finding.directions.map((d) => d.direction).join(' and '),
    ...(twoUnits ? { unit } : {}),
  }));
}
