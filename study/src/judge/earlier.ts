import { summariseRanges, type Criterion, type RatioFinding } from '@urvek/core';
import { criterionFor, type Setup } from '@urvek/contract';
import { productOf, type Finding, type SetupPath } from '../results/findings.ts';
import { walkRows } from '../results/ranges.ts';

export interface EarlierComparison {
  readonly setup: Setup;
  readonly findings: readonly Finding[];
}

/** A product now against itself earlier, on one path. */
export interface AgainstEarlier {
  readonly product: string;
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
  if (now.condition !== then.condition)
    return `the path was ${then.condition} then and is ${now.condition} now`;
  const near = (a: { atM: number }, b: { atM: number }): boolean => Math.abs(a.atM - b.atM) <= SAME_POINT_M;
  const missing = [
    ...now.checkpoints.filter((c) => !then.checkpoints.some((d) => near(c, d))),
    ...then.checkpoints.filter((c) => !now.checkpoints.some((d) => near(c, d))),
  ];
  return missing.length === 0 ? undefined : `${missing.length} checkpoints are not the same points`;
}

/**
 * Products and paths of the same name in an earlier comparison: a ratio over the same points and criterion,
 * or "from memory".
 */
export function againstEarlier(now: EarlierComparison, then: EarlierComparison): AgainstEarlier[] {
  return now.setup.products.flatMap((product) =>
    now.setup.paths.flatMap((path): AgainstEarlier[] => {
      const [oldProduct, oldPath] = [
        then.setup.products.find((p) => p.name === product.name),
        then.setup.paths.find((p) => p.name === path.name),
      ];
      if (!oldProduct || !oldPath) return [];
      const criterion = criterionFor(now.setup.plan.criterion, product.kindId);
      const base = { product: product.name, path: path.name, criterion };
      const rows = (of: EarlierComparison, label: string, productId: string, pathId: string) =>
        walkRows(
          of.setup,
          of.findings.filter((f) => productOf(of.setup, f)?.id === productId && f.header.pathId === pathId),
          criterion,
        ).map(({ walk, heldM, failedM }) => ({ product: label, path: path.name, walk, heldM, failedM }));
      const [own, old] = [
        rows(now, NOW, product.id, path.id),
        rows(then, EARLIER, oldProduct.id, oldPath.id),
      ];
      if (own.length === 0 || old.length === 0) return [];
      const fromMemory =
        product.kindId !== oldProduct.kindId
          ? 'it was of another kind then'
          : (otherPath(path, oldPath) ?? differentCriterion(now, then, product.kindId));
      return [
        {
          ...base,
          fromMemory,
          ratio: fromMemory === undefined ? summariseRanges([...old, ...own]).productRatios[0] : undefined,
        },
      ];
    }),
  );
}

function differentCriterion(
  now: EarlierComparison,
  then: EarlierComparison,
  kindId: string,
): string | undefined {
  const [a, b] = [now, then].map(({ setup }) => criterionFor(setup.plan.criterion, kindId));
  return a === b ? undefined : `its plan judged by “${b}”, this one judges by “${a}”`;
}
