import type { ArtefactKind, CodesTold, Detected, DropoutKind } from '@urvek/core';
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
  fault(inputMs: number, fault: Detected<ArtefactKind | DropoutKind>): void;
  /** Codes of the beacon that were read. */
  codes(inputMs: number, told: CodesTold): void;
  /** Nothing was received from then on, and why. */
  deaf(why: string): void;
  /** It comes in again: from when until now nothing was logged. */
  gap(fromWallMs: number): void;
}

/** Opens the input. */
export type Open = (received: Received) => Promise<Receiving>;

/** What its codes said last; that none is read any more; or that they are those of another walk. */
export type BeaconSeen = CodesTold | 'unread' | 'of another walk';

export interface ReceivingState {
  readonly on: boolean;
  readonly lost: boolean;
  readonly level: number | undefined;
  /** Undefined: it is not known yet what is usual. */
  readonly usual: number | undefined;
  /** What was found besides losses: how often each, and what the last rests on. */
  readonly faults: ReadonlyMap<ArtefactKind | DropoutKind, number>;
  readonly lastFault: string | undefined;
  /** How it stands with the beacon in it; undefined: none was read. */
  readonly beacon: BeaconSeen | undefined;
  readonly meddling: readonly string[];
  readonly readsBeacon: boolean;
  readonly picture: MediaStream | undefined;
  readonly trouble: string | undefined;
}

/** What is lost is told by then. */
const SURE_MS = 1000;

const OFF: ReceivingState = {
  ...{
    on: false,
    lost: false,
    level: undefined,
    usual: undefined,
    faults: new Map(),
    lastFault: undefined,
    beacon: undefined,
    meddling: [],
    readsBeacon: true,
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
    // Whether a loss went on is not known from then on.
    if (logged.current) deafMs.current ??= nowMs();
    setState(OFF);
  };
  useEffect(() => () => running.current?.stop(), []);
  const back = (inputMs: number, figure: string): void => {
    if (logged.current) tell.current.back(inputMs, figure);
    logged.current = false;
  };
  const begin = async (open: Open): Promise<void> => {
    running.current?.stop();
    let lost = false;
    const begunMs = performance.now();
    running.current = await open({
      onChange: ({ kind, figure }, inputMs) => {
        // The log shows a press a moment later: whether this loss was logged is remembered here.
        lost = kind === 'lost';
        if (lost) logged.current = tell.current.lost(inputMs, figure);
        else back(inputMs, figure);
        setState((now) => ({ ...now, lost: kind === 'lost' }));
      },
      onFault: (fault, inputMs) => {
        tell.current.fault(inputMs, fault);
        setState((now) => ({
          ...now,
          faults: new Map(now.faults).set(fault.kind, (now.faults.get(fault.kind) ?? 0) + 1),
          lastFault: fault.figure,
          ...(fault.kind === 'beacon unread' ? { beacon: 'unread' } : {}),
        }));
      },
      onCodes: (codes, inputMs) => {
        tell.current.codes(inputMs, codes);
        setState((now) => ({ ...now, beacon: codes }));
      },
      onOtherBeacon: () =>
        setState((now) => (now.beacon === 'of another walk' ? now : { ...now, beacon: 'of another walk' })),
      onLevel: (level, usual) => {
        // A loss that was open when one stopped is over: begun anew, it comes through.
        const now = performance.now();
        if (usual !== undefined && !lost && now - begunMs > SURE_MS) back(now, phrases.itComesThroughAnew);
        setState((state) => ({ ...state, level, usual }));
      },
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
    const { meddling, readsBeacon, picture } = running.current;
    setState({ ...OFF, on: true, meddling, readsBeacon, picture });
  };
  return {
    state,
    stop,
    start: (open) =>
      void begin(open).catch((error: unknown) => setState({ ...OFF, trouble: (error as Error).message })),
  };
}
