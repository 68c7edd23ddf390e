import type { EventBodies } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import * as phrases from './phrases.ts';

let audio: AudioContext | undefined;

/** A short tone and a touch: what was pressed is kept, without looking. */
export function confirmKept(sound: boolean): void {
  navigator.vibrate?.(30);
  if (!sound || typeof AudioContext === 'undefined') return;
  audio ??= new AudioContext();
  const [tone, volume] = [audio.createOscillator(), audio.createGain()];
  tone.frequency.value = 880;
  volume.gain.value = 0.15;
  tone.connect(volume).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + 0.06);
}

/** Speaks a prompt where the device can. */
export function say(text: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(Object.assign(new SpeechSynthesisUtterance(text), { rate: 1.1 }));
}

/** Keeps the screen awake while one walks, where the browser allows it. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let gone = false;
    const hold = (): void => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      // Refused on low battery, or where there is no screen to keep: the walk goes on without.
      void navigator.wakeLock
        .request('screen')
        .then((held) => {
          if (gone) void held.release();
          else lock = held;
        })
        .catch(() => undefined);
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, []);
}

/** Longer than this hidden or asleep, and what happened meanwhile was not logged. */
const GAP_MS = 3000;

/** Tells of time in which the page was hidden or the device slept: no timers ran, nothing could be logged. */
export function useGaps(onGap: (fromWallMs: number) => void): void {
  const tell = useRef(onGap);
  useEffect(() => {
    tell.current = onGap;
  });
  useEffect(() => {
    let aliveMs = Date.now();
    let hiddenMs: number | undefined;
    const beat = setInterval(() => {
      const now = Date.now();
      if (hiddenMs === undefined && now - aliveMs > GAP_MS + 1000) tell.current(aliveMs);
      aliveMs = now;
    }, 1000);
    const onVisible = (): void => {
      if (document.visibilityState === 'hidden') hiddenMs = Date.now();
      else if (hiddenMs !== undefined) {
        if (Date.now() - hiddenMs > GAP_MS) tell.current(hiddenMs);
        hiddenMs = undefined;
        aliveMs = Date.now();
      }
    };
    document.addEventListener('visibilitychange', onVisible);
    return () => {
      clearInterval(beat);
      document.removeEventListener('visibilitychange', onVisible);
    };
  }, []);
}

/** So often a location is kept. */
const LOCATION_EVERY_MS = 5000;

/** The device's own location while `on`: raw, with its accuracy. */
export function useLocation(
  on: boolean,
  onFix: (fix: EventBodies['fix'], inputMs: number) => void,
): { text: string } {
  const [text, setText] = useState('');
  const tell = useRef(onFix);
  useEffect(() => {
    tell.current = onFix;
  });
  useEffect(() => {
    if (!on) return;
    let lastMs = -Infinity;
    const watch = navigator.geolocation.watchPosition(
      ({ coords, timestamp }) => {
        setText(`± ${coords.accuracy.toFixed(0)} m`);
        if (timestamp - lastMs < LOCATION_EVERY_MS || !(coords.accuracy > 0)) return;
        lastMs = timestamp;
        tell.current(
          { latitudeDeg: coords.latitude, longitudeDeg: coords.longitude, accuracyM: coords.accuracy },
          performance.now(),
        );
      },
      (error) => setText(phrases.noLocation(error.message)),
      { enableHighAccuracy: true, maximumAge: 1000 },
    );
    return () => navigator.geolocation.clearWatch(watch);
  }, [on]);
  return { text: on ? text || phrases.waitingForAFix : '' };
}

/** Whether this device will keep a log: asked before the walk, said at once. */
export async function storageTrouble(): Promise<string | undefined> {
  try {
    const [{ quota = 0, usage = 0 }] = [await navigator.storage.estimate()];
    if (quota - usage < 20e6) return phrases.littleSpaceIsLeftForUrvek;
    if (!(await navigator.storage.persisted()) && !(await navigator.storage.persist()))
      return phrases.theBrowserMayClearUrveksStorage;
    return undefined;
  } catch {
    return phrases.thisBrowserDoesNotSayWhether;
  }
}

/** What is said when the beginning of a walk is not kept. */
export const notBegun = (cause: unknown): Error =>
  new Error(phrases.thisDeviceDoesNotKeepData + phrases.freeSomeSpaceOrUseA, { cause });
