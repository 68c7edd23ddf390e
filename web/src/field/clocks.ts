import type { EventBodies } from '@urvek/core';
import { useEffect, useRef } from 'react';
import { base } from '../api/client.ts';

/** Round trips a comparison: the shortest counts. */
const TRIES = 6;
const EVERY_MS = 30_000;

export interface Compared extends Readonly<EventBodies['clock']> {
  /** Middle of the round trip, by this page's clock. */
  readonly inputMs: number;
}

/** This device's clock against the base's; undefined while the base is out of reach. */
export async function compareClock(): Promise<Compared | undefined> {
  let best: Compared | undefined;
  for (let i = 0; i < TRIES; i++) {
    const sentMs = performance.now();
    const answer = await base.time().catch(() => undefined);
    const halfRttMs = (performance.now() - sentMs) / 2;
    if (!answer) return best;
    if (!best || halfRttMs < best.halfRttMs)
      best = { baseMs: answer.baseMs, halfRttMs, inputMs: sentMs + halfRttMs };
  }
  return best;
}

/** Compares again and again while `on`: drift shows only over time. */
export function useClockComparison(on: boolean, onCompared: (compared: Compared) => void): void {
  const tell = useRef(onCompared);
  useEffect(() => {
    tell.current = onCompared;
  });
  useEffect(() => {
    if (!on) return;
    const run = (): void => void compareClock().then((c) => c && tell.current(c));
    run();
    const timer = setInterval(run, EVERY_MS);
    return () => clearInterval(timer);
  }, [on]);
}
