import { separationNow, tagOf } from '@urvek/core';
import { useMemo, useState } from 'react';
import { useComparison, useFieldLog } from '../../api/queries.ts';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import type { BeaconClock } from '../../field/testSignals.ts';

/** Which walk the beacon belongs to: the one under way on this device, or a time of its own. */
export function useBeaconClock(): BeaconClock & {
  readonly ofWalk: boolean;
  /** The walk's path is known, so that its log says how far away the beacon is. */
  readonly placed: boolean;
} {
  const under = useFieldLog(async () => {
    const [walk] = await fieldLog.underWay();
    const log = walk ? await fieldLog.logOf(walk.id) : [];
    const begin = log.find((e) => e.kind === 'begin');
    // Simulated gear plays at a speed of its own: its clock is none that a link could carry.
    if (!walk || !begin || begin.body.simulatedSeed !== undefined) return undefined;
    return { walk, log, beganMs: begin.time.wallMs - 1000 * begin.time.walkS };
  }, 'beacon');
  const comparisonId = under?.walk.comparisonId ?? UNFILED;
  const { data: comparison } = useComparison(comparisonId, comparisonId !== UNFILED);
  const path = comparison?.setup.paths.find((p) => p.id === under?.walk.header.pathId);
  const [own] = useState(() => ({ walkId: crypto.randomUUID(), beganMs: Date.now() }));
  return useMemo(() => {
    const beganMs = under?.beganMs ?? own.beganMs;
    return {
      tag: tagOf(under?.walk.id ?? own.walkId),
      walkS: (pageMs: number) => Math.max(0, (performance.timeOrigin + pageMs - beganMs) / 1000),
      separation: (walkS: number) => (under && path ? separationNow(under.log, path, walkS) : undefined),
      ofWalk: under !== undefined,
      placed: under !== undefined && path !== undefined,
    };
  }, [under, path, own]);
}
