import { isAutomatic, keyText, lagOf, positionAt, type WalkEvent } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useMemo, useState } from 'react';
import { useSelected } from '../../state/lens.ts';

/** Where one points, on the tape, over time or in the log: the same moment in all three. */
export interface Pointer {
  /** What was logged by hand, in order of time. */
  readonly entries: readonly WalkEvent[];
  readonly selected: WalkEvent | undefined;
  /** On the walk's clock, s; undefined: nothing is pointed at. */
  readonly atS: number | undefined;
  /** Along the path; undefined where that moment has no known place. */
  readonly atM: number | undefined;
  select(entry: WalkEvent | undefined): void;
  hoverAtS(atS: number | undefined): void;
  hoverAtM(atM: number | undefined): void;
  selectAtM(atM: number): void;
}

/** The selected entry is in the address; what the mouse is over counts as long as it is there. */
export function usePointer({ trace }: Finding, log: readonly WalkEvent[]): Pointer {
  const [at, setAt] = useSelected('entry', true);
  // Stepping through a log is no way that one goes back.
  const [hoverS, setHoverS] = useState<number>();
  const entries = useMemo(
    () =>
      [...log]
        .filter((e) => e.kind !== 'correction' && !isAutomatic(e) && e.kind !== 'fix')
        .sort((a, b) => a.time.walkS - b.time.walkS),
    [log],
  );
  const happenedS = (e: WalkEvent): number =>
    e.time.walkS - lagOf(e, trace.begin.body.playoutDelayS ?? 0, trace.begin.body.delay).lagS;
  const placeM = (s: number): number | undefined => positionAt(trace.fixes, s)?.travelledM;
  const selected = entries.find((e) => keyText(e) === at);
  const atS = hoverS ?? (selected && happenedS(selected));
  /** The moment at which one was nearest to a place, on the way out first. */
  const momentOf = (m: number): number | undefined => {
    let best: { readonly s: number; readonly off: number } | undefined;
    for (const { atS: s, travelledM } of between(trace.fixes)) {
      const off = Math.abs(travelledM - m);
      if (!best || off < best.off - 1e-9) best = { s, off };
    }
    return best?.s;
  };
  return {
    entries,
    selected,
    atS,
    atM: atS === undefined ? undefined : placeM(atS),
    select: (entry) => setAt(entry && keyText(entry)),
    hoverAtS: setHoverS,
    hoverAtM: (m) => setHoverS(m === undefined ? undefined : momentOf(m)),
    selectAtM: (m) => {
      const off = (e: WalkEvent): number => Math.abs((placeM(happenedS(e)) ?? Infinity) - m);
      const [nearest] = [...entries].sort((a, b) => off(a) - off(b));
      if (nearest && off(nearest) < Infinity) setAt(keyText(nearest));
    },
  };
}

/** Places on the way, so many between each two that are known. */
const STEPS = 20;

function between(fixes: Finding['trace']['fixes']): { readonly atS: number; readonly travelledM: number }[] {
  return fixes.flatMap((fix, i) => {
    const next = fixes[i + 1];
    if (!next) return [fix];
    return Array.from({ length: STEPS }, (_, k) => ({
      atS: fix.atS + ((next.atS - fix.atS) * k) / STEPS,
      travelledM: fix.travelledM + ((next.travelledM - fix.travelledM) * k) / STEPS,
    }));
  });
}
