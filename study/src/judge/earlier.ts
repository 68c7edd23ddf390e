import { summariseRanges, type Criterion, type RatioFinding, criterionFor } from '@urvek/core';
import { type Setup } from '@urvek/contract';
import type { Finding, SetupPath } from '../results/findings.ts';
import { walkRows } from '../results/walkRows.ts';
import * as phrases from './phrases.ts';

export interface EarlierComparison {
  readonly setup: Setup;
  readonly findings: readonly Finding[];
}

/** A product now against itself, or another, earlier, on one path. */
export interface AgainstEarlier {
  readonly product: string;
  /** Who it is set against: the same name is the same product. */
  readonly against: string;
  readonly path: string;
  readonly criterion: Criterion;
  /** Now over earlier; absent where the two may not be compared. */
  readonly ratio: RatioFinding | undefined;
  /** Why it is no comparison but a memory. */
  readonly fromMemory: string | undefined;
}

const NOW = 'now';
const EARLIER = 'earlier';
/** Points within this are the same, m. */
const SAME_POINT_M = 0.5;

/** What keeps two paths from being one; undefined where their points are the same. */
function otherPath(now: SetupPath, then: SetupPath): string | undefined {
  if (now.condition !== then.condition) return phrases.thePathWasThenAndIs(then.condition, now.condition);
  const near = (a: { atM: number }, b: { atM: number }): boolean => Math.abs(a.atM - b.atM) <= SAME_POINT_M;
  const missing = [
    ...now.checkpoints.filter((c) => !then.checkpoints.some((d) => near(c, d))),
    ...then.checkpoints.filter((c) => !now.checkpoints.some((d) => near(c, d))),
  ];
  return missing.length === 0 ? undefined : phrases.checkpointsAreNotTheSamePoints(missing.length);
}

/**
 * What was walked now against what was walked in an earlier comparison, on paths of the same name: a product
 * against itself, and against others of its kind; a ratio over the same points and criterion, or "from
 * memory".
 */
export function againstEarlier(now: EarlierComparison, then: EarlierComparison): AgainstEarlier[] {
  const [own, old] = [byPlace(now.findings), byPlace(then.findings)];
  return own.flatMap((a) =>
    old.flatMap((b): AgainstEarlier[] => {
      const { product } = a.subject;
      if (a.path.name !== b.path.name || product.kindId !== b.subject.product.kindId) return [];
      const criterion = criterionFor(now.setup.plan.criterion, product.kindId);
      const rows = (of: typeof a, label: string) =>
        walkRows(of.findings, criterion).map(({ finding: _, criterion: __, ...row }) => ({
          ...row,
          product: label,
          path: a.path.name,
        }));
      const [current, earlier] = [rows(a, NOW), rows(b, EARLIER)];
      if (current.length === 0 || earlier.length === 0) return [];
      const fromMemory = otherPath(a.path, b.path) ?? differentCriterion(now, then, product.kindId);
      return [
        {
          product: a.subject.name,
          against: b.subject.name,
          path: a.path.name,
          criterion,
          fromMemory,
          ratio:
            fromMemory === undefined ? summariseRanges([...earlier, ...current]).productRatios[0] : undefined,
        },
      ];
    }),
  );
}

/** Walks by subject and path. */
function byPlace(
  findings: readonly Finding[],
): { subject: Finding['subject']; path: SetupPath; findings: Finding[] }[] {
  const places = new Map<string, Finding[]>();
  for (const f of findings) {
    const key = `${f.subject.id}/${f.header.pathId}`;
    places.set(key, [...(places.get(key) ?? []), f]);
  }
  return [...places.values()].map((of) => {
    const { subject, path } = of[0] as Finding;
    return { subject, path: path as SetupPath, findings: of };
  });
}

function differentCriterion(
  now: EarlierComparison,
  then: EarlierComparison,
  kindId: string,
): string | undefined {
  const [a, b] = [now, then].map(({ setup }) => criterionFor(setup.plan.criterion, kindId));
  return a === b ? undefined : phrases.itsPlanJudgedByThisOne(b, a);
}
