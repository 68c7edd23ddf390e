import { separationNow, tagOf } from '@urvek/core';
import { useMemo, useState } from 'react';
import { useComparison, useFieldLog } from '../../api/queries.ts';
import { useWalkClock } from '../../api/walkClock.ts';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import type { BeaconClock } from '../../field/testSignals.ts';

/**
 * Which walk the beacon belongs to: the one under way on this device, one that it joined and whose clock it knows, or a
 * time of its own.
 * @param joinedId a walk that another device began
 */
export function useBeaconClock(joinedId: string | undefined): BeaconClock & {
  readonly ofWalk: boolean;
  /** Of the walk that was joined. */
  readonly ofJoined: boolean;
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
  const there = useWalkClock(joinedId);
  const comparisonId = under?.walk.comparisonId ?? UNFILED;
  const { data: comparison } = useComparison(comparisonId, comparisonId !== UNFILED);
  const path = comparison?.setup.paths.find((p) => p.id === under?.walk.header.pathId);
  const [own] = useState(() => ({ walkId: crypto.randomUUID(), beganMs: Date.now() }));
  return useMemo(() => {
    if (there && joinedId !== undefined)
      return {
        tag: tagOf(joinedId),
        walkS: (pageMs: number) => there.at(performance.timeOrigin + pageMs).walkS,
        // Whoever walks knows it, and this is the other end.
        separation: () => undefined,
        ...{ ofJoined: true, ofWalk: false, placed: false },
      };
    const beganMs = under?.beganMs ?? own.beganMs;
    return {
      tag: tagOf(under?.walk.id ?? own.walkId),
      walkS: (pageMs: number) => Math.max(0, (performance.timeOrigin + pageMs - beganMs) / 1000),
      separation: (walkS: number) => (under && path ? separationNow(under.log, path, walkS) : undefined),
      ofJoined: false,
      ofWalk: under !== undefined,
      placed: under !== undefined && path !== undefined,
    };
  }, [under, path, own, there, joinedId]);
}
