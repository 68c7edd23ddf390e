import type { Tick } from '@urvek/core';
import * as Comlink from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { PlayOptions, SimulatedGearWorker } from '../../workers/simulatedGear.worker.ts';

export interface Player {
  /** The newest tick; undefined before the first. */
  readonly tick: Tick | undefined;
  play(options: PlayOptions, onWheel: (reading: Tick) => void): void;
  turn(): void;
  setRate(rate: number): void;
  stop(): void;
  /** The walk's clock at this moment: ticks arrive in frames, events in between. */
  walkS(inputMs: number): number;
}

/** Simulated gear, playing in a worker. */
export function useSimulatedGear(): Player {
  const worker = useRef<{ thread: Worker; remote: Comlink.Remote<SimulatedGearWorker> }>(undefined);
  const latest = useRef<{ tick: Tick; atMs: number; rate: number }>(undefined);
  const rate = useRef(1);
  const [tick, setTick] = useState<Tick>();
  useEffect(() => {
    const thread = new Worker(new URL('../../workers/simulatedGear.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = { thread, remote: Comlink.wrap<SimulatedGearWorker>(thread) };
    return () => {
      thread.terminate();
      worker.current = undefined;
    };
  }, []);
  const play = useCallback((options: PlayOptions, onWheel: (reading: Tick) => void) => {
    rate.current = options.rate;
    void worker.current?.remote.play(
      options,
      Comlink.proxy((next: Tick, readings: Tick[]) => {
        latest.current = { tick: next, atMs: performance.now(), rate: rate.current };
        setTick(next);
        readings.forEach(onWheel);
      }),
    );
  }, []);
  return useMemo(
    () => ({
      tick,
      play,
      turn: () => void worker.current?.remote.turn(),
      setRate: (to: number) => {
        rate.current = to;
        void worker.current?.remote.setRate(to);
      },
      stop: () => void worker.current?.remote.stop(),
      walkS: (inputMs: number) => {
        const last = latest.current;
        return last ? last.tick.tS + Math.max(0, (inputMs - last.atMs) / 1000) * last.rate : 0;
      },
    }),
    [tick, play],
  );
}
