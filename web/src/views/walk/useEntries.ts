import type { EventBodies, EventKind } from '@urvek/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import type { WalkSession } from '../../field/walkSession.ts';
import { confirmKept } from './device.ts';
import * as phrases from './phrases.ts';

const NOT_KEPT = phrases.thisWasNotKeptUrvekFailed;

export interface Entries {
  /** Adds at the walk's clock; `automatic`: nobody pressed it, and nothing beeps. */
  add<K extends EventKind>(
    kind: K,
    body: EventBodies[K],
    walkS: number,
    inputMs?: number,
    automatic?: boolean,
  ): Promise<void>;
  undo(): void;
  /** Simulated gear plays so many times as fast as the clock. */
  setRate(rate: number): void;
  /** The last press, and how long it took to be kept. */
  readonly saved: { what: string; ms: number } | undefined;
  readonly error: Error | undefined;
}

/** Writes entries of a walk under way, says that they are kept, and has them sent. */
export function useEntries(session: WalkSession, sound: boolean): Entries {
  const [error, setError] = useState<Error>();
  const [saved, setSaved] = useState<{ what: string; ms: number }>();
  const rate = useRef(1);
  const soundNow = useRef(sound);
  useEffect(() => {
    soundNow.current = sound;
  }, [sound]);
  const add = useCallback<Entries['add']>(
    async (kind, body, walkS, inputMs = performance.now(), automatic = false) => {
      try {
        await session.append(kind, body, eventTime(walkS, rate.current, inputMs));
        setError(undefined);
        if (!automatic) {
          setSaved({ what: kind, ms: performance.now() - inputMs });
          confirmKept(soundNow.current);
        }
      } catch (cause) {
        setError(new Error(NOT_KEPT, { cause }));
      }
      void sync();
    },
    [session],
  );
  const undo = useCallback((): void => {
    void session
      .undo((walkS) => eventTime(walkS, rate.current, performance.now()))
      .then(
        () => setError(undefined),
        (cause: unknown) => setError(new Error(NOT_KEPT, { cause })),
      )
      .then(() => sync());
  }, [session]);
  const setRate = useCallback((next: number): void => {
    rate.current = next;
  }, []);
  return { add, undo, setRate, saved, error };
}
