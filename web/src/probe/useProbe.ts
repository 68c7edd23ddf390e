import { MOST_PROBE_S, type ProbeTicket } from '@urvek/contract';
import { runProbe, type ProbeResult, type ProbeWay } from '@urvek/probe';
import { useCallback, useEffect, useRef, useState } from 'react';
import { askBase, OutOfReach, Refused } from '../api/client.ts';
import type { Problem } from '@urvek/contract';
import { browserPorts } from './browserPorts.ts';
import * as phrases from './phrases.ts';

/** Each way, s. Shorter, and a browser's figures scatter. */
export const PROBE_S = 8;
const STREAMS = 4;
const RUN_S = 110;

export interface Probing {
  /** What it does now; undefined: nothing. */
  readonly now: { readonly what: string; readonly mbps: number | undefined } | undefined;
  readonly stop: () => void;
  /**
   * One run. @returns its result, and whether both ends are one machine
   * @throws Refused where the base does not let one measure
   */
  readonly run: (
    budgetBytes: number,
    ways: readonly ProbeWay[],
  ) => Promise<{ readonly result: ProbeResult; readonly sameMachine: boolean }>;
}

const NOTHING: ProbeResult = {
  ...{ outcome: 'no connection', why: phrases.theBaseDoesNotAnswer, seconds: 0, bytes: 0, idle: undefined },
  ...{ down: undefined, up: undefined, both: undefined, datagrams: undefined, limitedBy: undefined },
  cutShort: undefined,
};

async function ticketOf(): Promise<ProbeTicket | undefined> {
  try {
    const response = await askBase('/probe', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ seconds: Math.min(MOST_PROBE_S, RUN_S) }),
    });
    if (!response.ok) throw new Refused(response.status, (await response.json()) as Problem);
    return (await response.json()) as ProbeTicket;
  } catch (error) {
    // A base that answers, and cannot, is no link that failed.
    if (error instanceof OutOfReach && error.told === undefined) return undefined;
    throw error;
  }
}

/** A probe between this page and the base; it stops when the page is hidden: then timers tell nothing. */
export function useProbe(): Probing {
  const [now, setNow] = useState<Probing['now']>();
  const stopped = useRef<string>(undefined);
  useEffect(() => {
    const hidden = (): void => {
      if (document.visibilityState === 'hidden') stopped.current = phrases.thePageWasHidden;
    };
    document.addEventListener('visibilitychange', hidden);
    return () => {
      document.removeEventListener('visibilitychange', hidden);
      stopped.current = phrases.itWasLeft;
    };
  }, []);
  const run = useCallback<Probing['run']>(async (budgetBytes, ways) => {
    stopped.current = undefined;
    setNow({ what: phrases.askingTheBase, mbps: undefined });
    try {
      const ticket = await ticketOf();
      if (!ticket) return { result: NOTHING, sameMachine: false };
      const { ports, end } = browserPorts(ticket.ticket);
      try {
        const result = await runProbe(ports, {
          ...{ seconds: PROBE_S, streams: STREAMS, ways, budgetBytes, datagrams: true },
          stopped: () => stopped.current,
          told: (what, mbps) => setNow({ what, mbps }),
        });
        return { result, sameMachine: ticket.sameMachine };
      } finally {
        end();
      }
    } finally {
      setNow(undefined);
    }
  }, []);
  const stop = useCallback(() => {
    stopped.current = phrases.itWasStopped;
  }, []);
  return { now, stop, run };
}
