import { effectiveLog, type LiveState, type WalkEvent, type Tick } from '@urvek/core';
import { simulatedGearOf, type PlannedWalk } from '@urvek/study';
import { useEffect, useMemo, useRef, useState } from 'react';
import { nowMs } from '../../field/time.ts';
import { useSimulatedGear } from './useSimulatedGear.ts';

/** What a walk is logged against: simulated gear that plays, or the world and a clock. */
export interface Gear {
  readonly simulated: boolean;
  /** What the simulated gear plays; absent on a real walk. */
  readonly tick: Tick | undefined;
  /** Seconds on the walk's clock now, for display. */
  readonly clockS: number;
  /** The walk's clock at the moment of an input. */
  walkS(inputMs: number): number;
  turn(): void;
  setRate(rate: number): void;
  stop(): void;
}

/** Gear of a walk under way, played on from where its log stands. */
export function useGear(
  log: readonly WalkEvent[] | undefined,
  { begin, lastS }: LiveState,
  subject: PlannedWalk | undefined,
  onWheel: (tick: Tick) => void,
): Gear {
  const player = useSimulatedGear();
  const seed = begin?.body.simulatedSeed;
  const started = useRef(false);
  useEffect(() => {
    if (started.current || !log || !subject || seed === undefined) return;
    started.current = true;
    player.play(
      {
        simulatedGear: simulatedGearOf(subject.product, subject.rig),
        path: subject.path,
        rate: 1,
        seed,
        fromS: lastS,
        turnedAtS: effectiveLog(log).findLast((e) => e.kind === 'turn')?.time.walkS,
      },
      onWheel,
    );
  }, [log, lastS, subject, player, seed, onWheel]);

  const begunMs = begin?.time.wallMs;
  const [clockS, setClockS] = useState(0);
  const real = begin !== undefined && seed === undefined;
  useEffect(() => {
    if (!real || begunMs === undefined) return;
    const timer = setInterval(() => setClockS((nowMs() - begunMs) / 1000), 500);
    return () => clearInterval(timer);
  }, [real, begunMs]);
  return useMemo(
    () =>
      real && begunMs !== undefined
        ? {
            simulated: false,
            tick: undefined,
            clockS,
            // By the monotonic clock of this page, set by the wall's when the page came.
            walkS: (inputMs: number) => Math.max(0, (performance.timeOrigin + inputMs - begunMs) / 1000),
            turn: () => undefined,
            setRate: () => undefined,
            stop: () => undefined,
          }
        : {
            simulated: true,
            tick: player.tick,
            clockS: player.tick?.tS ?? 0,
            walkS: player.walkS,
            turn: player.turn,
            setRate: player.setRate,
            stop: player.stop,
          },
    [real, begunMs, clockS, player],
  );
}
