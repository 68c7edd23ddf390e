import { seeded, simulatedReading, type Tick } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { measuredOf, measuredOfSimulated } from '../../probe/measured.ts';
import { PROBE_S, useProbe } from '../../probe/useProbe.ts';
import type { Log } from './modesParts.tsx';
import * as phrases from './phrases.ts';

/** Again after so long, or so far; nothing: by press only. */
export const AGAIN = [
  { label: phrases.byPress, seconds: undefined, metres: undefined },
  { label: phrases.eachMinute, seconds: 60, metres: undefined },
  { label: phrases.each2Min, seconds: 120, metres: undefined },
  { label: phrases.each25M, seconds: undefined, metres: 25 },
  { label: phrases.each100M, seconds: undefined, metres: 100 },
] as const;
/** Channel width of simulated gear of which nobody says it, MHz. */
const USUAL_WIDTH_MHZ = 20;

export interface ProbedWalk {
  add: Log;
  simulated: boolean;
  tick: Tick | undefined;
  widthMHz: number | undefined;
  /** Where one is, as far as it is known. */
  atM: number | undefined;
  /**
   * Nobody said that one stands here: what is read by itself belongs to a stretch of the way. Who presses has stopped,
   * unless a passenger does.
   */
  moving: boolean;
  driven: boolean;
}

/** Runs the probe, by press or each so often, and logs what it read, within a budget of data. */
export function useProbeLog({ add, simulated, tick, widthMHz, atM, moving, driven }: ProbedWalk) {
  const { now, stop, run } = useProbe();
  const [again, setAgain] = useState(0);
  const [budgetMb, setBudgetMb] = useState(500);
  const [spentMb, setSpentMb] = useState(0);
  const [bothToo, setBothToo] = useState(false);
  const [said, setSaid] = useState('');
  const [last, setLast] = useState<{ readonly ms: number; readonly atM: number | undefined }>();
  const busy = now !== undefined;
  const left = budgetMb - spentMb;
  const measure = async (byItself: boolean): Promise<void> => {
    setLast({ ms: performance.now(), atM });
    const of = { server: simulated ? 'simulated' : location.host, moving: moving && (byItself || driven) };
    if (simulated) {
      if (!tick) return;
      const read = simulatedReading(
        tick.marginDb,
        widthMHz ?? USUAL_WIDTH_MHZ,
        seeded('probe', String(tick.tS)),
      );
      for (const body of measuredOfSimulated(read, of, PROBE_S)) add('measured', body);
      setSaid(
        read
          ? phrases.simulatedMbitSDownUp(read.downMbps.toFixed(1), read.upMbps.toFixed(1))
          : phrases.simulatedNoConnection,
      );
      return;
    }
    try {
      const { result, sameMachine } = await run(1e6 * Math.max(1, left), [
        'down',
        'up',
        ...(bothToo ? (['both'] as const) : []),
      ]);
      const { outcome, down, up, both, limitedBy, cutShort } = result;
      const atOnce = both && phrases.bothAtOnceDownMbitS(both.down.mbps.toFixed(1), both.up.mbps.toFixed(1));
      const said = [
        outcome === 'done' ? undefined : `${outcome}: ${result.why ?? ''}`,
        down && phrases.mbitSDown(down.rate.mbps.toFixed(1)),
        up && phrases.mbitSUp(up.rate.mbps.toFixed(1)),
        atOnce,
        limitedBy,
      ];
      const tell = (...more: (string | undefined)[]): void =>
        setSaid([...said, ...more].filter((t) => t !== undefined).join('; '));
      if (sameMachine) {
        tell(phrases.notLoggedForThisPageAnd);
        return;
      }
      setSpentMb((mb) => mb + result.bytes / 1e6);
      const readings = measuredOf(result, of);
      for (const body of readings) add('measured', body);
      // What each way gets beside the other is no reading of that way alone.
      if (atOnce !== undefined) add('note', { text: phrases.probe(atOnce) });
      if (limitedBy !== undefined) add('note', { text: phrases.probe(limitedBy) });
      if (outcome !== 'stopped') return tell();
      const cut = cutShort && phrases.wasCutShortNoReadingOf(cutShort);
      add('note', {
        text: [phrases.probeStopped, result.why, cut].filter((t) => t !== undefined).join('; '),
      });
      tell(cut, readings.length > 0 ? phrases.whatWasFinishedIsLogged : phrases.nothingWasFinished);
    } catch (error) {
      setSaid((error as Error).message);
    }
  };
  const due = useRef(measure);
  useEffect(() => {
    due.current = measure;
  });
  const { seconds, metres } = AGAIN[again] ?? AGAIN[0];
  useEffect(() => {
    if (busy || left <= 0 || seconds === undefined) return;
    const sinceMs = last === undefined ? Infinity : performance.now() - last.ms;
    const timer = setTimeout(() => void due.current(true), Math.max(0, 1000 * seconds - sinceMs));
    return () => clearTimeout(timer);
  }, [busy, seconds, left, last]);
  const farEnough =
    metres !== undefined && atM !== undefined && Math.abs(atM - (last?.atM ?? -Infinity)) >= metres;
  useEffect(() => {
    if (!busy && left > 0 && farEnough) void due.current(true);
  }, [busy, left, farEnough]);
  return {
    now,
    busy,
    left,
    said,
    measure,
    stop,
    again,
    setAgain,
    budgetMb,
    setBudgetMb,
    bothToo,
    setBothToo,
  };
}
