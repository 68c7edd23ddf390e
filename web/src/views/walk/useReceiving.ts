import type { ArtefactKind, Detected } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import type { Received, Receiving } from '../../field/received.ts';
import { nowMs } from '../../field/time.ts';
import * as phrases from './phrases.ts';

/** What listening and watching log. */
export interface ReceivedLog {
  /** @returns whether it was logged: what was pressed already is not logged twice */
  lost(inputMs: number, figure: string): boolean;
  back(inputMs: number, figure: string): void;
  /** It came through, and not as it was sent. */
  fault(inputMs: number, fault: Detected<ArtefactKind>): void;
  /** Nothing was received from then on, and why. */
  deaf(why: string): void;
  /** It comes in again: from when until now nothing was logged. */
  gap(fromWallMs: number): void;
}

/** Opens the input. */
export type Open = (received: Received) => Promise<Receiving>;

export interface ReceivingState {
  readonly on: boolean;
  readonly lost: boolean;
  readonly level: number | undefined;
  /** Undefined: it is not known yet what is usual. */
  readonly usual: number | undefined;
  /** What was found besides losses: how often each, and what the last rests on. */
  readonly faults: ReadonlyMap<ArtefactKind, number>;
  readonly lastFault: string | undefined;
  readonly meddling: readonly string[];
  readonly picture: MediaStream | undefined;
  readonly trouble: string | undefined;
}

const OFF: ReceivingState = {
  ...{
    on: false,
    lost: false,
    level: undefined,
    usual: undefined,
    faults: new Map(),
    lastFault: undefined,
    meddling: [],
    picture: undefined,
    trouble: undefined,
  },
};

/** An input at the receiving end, as long as its screen is there. */
export function useReceiving(log: ReceivedLog): {
  readonly state: ReceivingState;
  readonly start: (open: Open) => void;
  readonly stop: () => void;
} {
  const [state, setState] = useState(OFF);
  const running = useRef<Receiving>(undefined);
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
  const begin = async (open: Open): Promise<void> => {
    running.current?.stop();
    running.current = await open({
      onChange: ({ kind, figure }, inputMs) => {
        // The log shows a press a moment later: whether this loss was logged is remembered here.
        if (kind === 'lost') logged.current = tell.current.lost(inputMs, figure);
        else if (logged.current) tell.current.back(inputMs, figure);
        setState((now) => ({ ...now, lost: kind === 'lost' }));
      },
      onFault: (fault, inputMs) => {
        tell.current.fault(inputMs, fault);
        setState((now) => ({
          ...now,
          faults: new Map(now.faults).set(fault.kind, (now.faults.get(fault.kind) ?? 0) + 1),
          lastFault: fault.figure,
        }));
      },
      onLevel: (level, usual) => setState((now) => ({ ...now, level, usual })),
      onLost: (why) => {
        running.current = undefined;
        deafMs.current = nowMs();
        tell.current.deaf(why);
        setState({
          ...OFF,
          trouble: phrases.beginAgainWhenItIsBack(why),
        });
      },
    });
    if (deafMs.current !== undefined) tell.current.gap(deafMs.current);
    deafMs.current = undefined;
    const { meddling, picture } = running.current;
    setState({ ...OFF, on: true, meddling, picture });
  };
  return {
    state,
    stop,
    start: (open) =>
      void begin(open).catch((error: unknown) => setState({ ...OFF, trouble: (error as Error).message })),
  };
}
