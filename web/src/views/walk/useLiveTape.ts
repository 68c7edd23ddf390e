import type { LiveState, Path, WalkEvent } from '@urvek/core';
import { travelledGround, walkLanes, type TapeGround, type Lane } from '@urvek/draw';
import type { SetupPath } from '@urvek/study';
import { useMemo } from 'react';
import { useTraceSoon } from './useTraceSoon.ts';

const groundWithout = (farthestM: number): TapeGround => ({
  lengthM: Math.max(50, 1.25 * farthestM),
  legs: [],
  obstructions: [],
  checkpoints: [],
});

/** Its lane is there from the beginning, so that the keys below it stay where they are. */
const NOTHING_YET = { stretches: [], fixes: [], turnS: undefined };

/** The walk so far as the tape shows it; without a path the tape is as long as the walk. */
export function useLiveTape(
  log: readonly WalkEvent[],
  { entries }: LiveState,
  path: SetupPath | undefined,
): { ground: TapeGround; lanes: readonly Lane[] } {
  const trace = useTraceSoon(log, entries, path as Path | undefined);
  const lanes = useMemo(() => walkLanes(trace ?? NOTHING_YET, 'out', 'live'), [trace]);
  const farthestM = trace?.fixes.reduce((most, f) => Math.max(most, f.travelledM), 0) ?? 0;
  const ground = useMemo(
    () => (path ? travelledGround(path as Path) : groundWithout(farthestM)),
    [path, farthestM],
  );
  return { ground, lanes };
}
