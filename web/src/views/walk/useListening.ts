import type { SentSignal } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { listen, type Listening } from '../../field/listen.ts';
import { nowMs } from '../../field/time.ts';

/** What listening logs. */
export interface ListenLog {
  /** @returns whether it was logged: what was pressed already is not logged twice */
  lost(inputMs: number, figure: string): boolean;
  back(inputMs: number, figure: string): void;
  /** Nothing was heard from then on, and why. */
  deaf(why: string): void;
  /** It listens again: from when until now nothing was logged. */
  gap(fromWallMs: number): void;
}

export interface ListenState {
  readonly on: boolean;
  readonly lost: boolean;
  readonly levelDb: number | undefined;
  /** Undefined: no signal was heard yet. */
  readonly usualDb: number | undefined;
  readonly meddling: readonly string[];
  readonly trouble: string | undefined;
}

const OFF: ListenState = {
  ...{ on: false, lost: false, levelDb: undefined, usualDb: undefined, meddling: [], trouble: undefined },
};

/** Listening as long as its screen is there. */
export function useListening(log: ListenLog): {
  readonly state: ListenState;
  readonly start: (signal: SentSignal) => void;
  readonly stop: () => void;
} {
  const [state, setState] = useState(OFF);
  const running = useRef<Listening>(undefined);
  const deafMs = useRef<number>(undefined);
  const logged = useRef(false);
  const tell = useRef(log);
  useEffect(() => {
    tell.current = log;
  });
  const stop = (): void => {
    running.current?.stop();
    running.current = undefined;
    setState(OFF);
  };
  useEffect(() => () => running.current?.stop(), []);
  const begin = async (signal: SentSignal): Promise<void> => {
    running.current?.stop();
    running.current = await listen(signal, {
      onChange: ({ kind, figure }, inputMs) => {
        // The log shows a press a moment later: whether this loss was logged is remembered here.
        if (kind === 'lost') logged.current = tell.current.lost(inputMs, figure);
        else if (logged.current) tell.current.back(inputMs, figure);
        setState((now) => ({ ...now, lost: kind === 'lost' }));
      },
      onLevel: (levelDb, usualDb) => setState((now) => ({ ...now, levelDb, usualDb })),
      onLost: (why) => {
        running.current = undefined;
        deafMs.current = nowMs();
        tell.current.deaf(why);
        setState({
          ...OFF,
          trouble: `${why}. Listen again when it is back: the time between is logged as a gap.`,
        });
      },
    });
    if (deafMs.current !== undefined) tell.current.gap(deafMs.current);
    deafMs.current = undefined;
    setState({ ...OFF, on: true, meddling: running.current.meddling });
  };
  return {
    state,
    stop,
    start: (signal) =>
      void begin(signal).catch((error: unknown) => setState({ ...OFF, trouble: (error as Error).message })),
  };
}
