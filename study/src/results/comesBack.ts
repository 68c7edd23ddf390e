import { pathPoint, type Direction } from '@urvek/core';
import { clipped } from './places.ts';
import type { Finding } from './findings.ts';

/** A walk that failed on the way out, and was usable again farther on. */
export interface CameBack {
  readonly walkId: string;
  readonly walk: string;
  readonly failedAtM: number;
  readonly backAtM: number;
  /** By how much the farther place stands higher, m; negative lower. */
  readonly higherM: number;
}

/** Coverage that comes back, of one product in one direction. */
export interface ComesBack {
  readonly product: string;
  readonly direction: Direction;
  /** Walks that looked in that direction, and those of them on which it came back. */
  readonly walks: number;
  readonly times: number;
  /** The first few, and the one that came back farthest. */
  readonly first: readonly CameBack[];
  readonly most: CameBack;
}

const USABLE = 3;
/** So many are kept by themselves: a page with thousands of walks tells them together. */
const KEPT = 2;

/**
 * Coverage that comes back: the last place that was usable again after a failure nearer by. Travelled
 * distances, with the rise of the path between the two.
 */
export function comesBack(findings: readonly Finding[]): ComesBack[] {
  const groups = new Map<
    string,
    { product: string; direction: Direction; walks: number; came: CameBack[] }
  >();
  for (const f of findings)
    for (const { direction, trace } of f.directions) {
      const key = `${f.subject.id}/${direction}`;
      const group = groups.get(key) ?? { product: f.product, direction, walks: 0, came: [] };
      groups.set(key, group);
      group.walks++;
      const came = trace.inwards ? undefined : cameBack(f, trace);
      if (came) group.came.push(came);
    }
  return [...groups.values()].flatMap(({ came, ...group }) => {
    const [first] = came;
    if (!first) return [];
    const most = came.reduce((x, y) => (y.backAtM - y.failedAtM > x.backAtM - x.failedAtM ? y : x));
    return [{ ...group, times: came.length, first: came.slice(0, KEPT), most }];
  });
}

function cameBack(finding: Finding, trace: Finding['trace']): CameBack | undefined {
  const out = trace.stretches.filter((s) => !s.returning && s.stated && s.from);
  const failed = out.find((s) => s.grade < USABLE);
  const back = failed && out.findLast((s) => s.grade >= USABLE && s.fromS > failed.fromS);
  if (!failed?.from || !back?.from) return undefined;
  const [failedAtM, backAtM] = [failed.from.travelledM, back.from.travelledM];
  if (!(backAtM > failedAtM)) return undefined;
  const up = (m: number): number => pathPoint(finding.path, clipped(finding, m))[2];
  return {
    walkId: finding.walkId,
    walk: finding.label,
    failedAtM,
    backAtM,
    higherM: up(backAtM) - up(failedAtM),
  };
}
