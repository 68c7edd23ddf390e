import { traceWalk, type Path, type Trace, type WalkEvent } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';

/** The picture is drawn anew at most so often, ms, and never for more than a twentieth of the time. */
const LEAST_PAUSE_MS = 100;
const SHARE = 20;

/**
 * The trace of a walk under way, for its picture: soon after something is logged, not with it. A press
 * costs the same however long the log is; the picture of a long one comes a little later.
 */
export function useTraceSoon(
  log: readonly WalkEvent[],
  entries: number,
  path: Path | undefined,
): Trace | undefined {
  const [trace, setTrace] = useState<Trace>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const costMs = useRef(0);
  useEffect(() => {
    if (entries === 0 || timer.current !== undefined) return;
    timer.current = setTimeout(
      () => {
        timer.current = undefined;
        const from = performance.now();
        setTrace(traceWalk(log, { path }));
        costMs.current = performance.now() - from;
      },
      Math.max(LEAST_PAUSE_MS, SHARE * costMs.current),
    );
  }, [log, entries, path]);
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      timer.current = undefined;
    },
    [],
  );
  return trace;
}
