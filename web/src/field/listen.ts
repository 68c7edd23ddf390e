import { InputClock, LiveFaults, LiveLoss, type SentSignal } from '@urvek/core';
import { listenForPackets } from './listenPackets.ts';
import type { Received, Receiving } from './received.ts';
import tapUrl from './tap.worklet.ts?worker&url';
import * as phrases from './phrases.ts';

/** Altogether off: each of them hides or makes dropouts. */
const OFF = { echoCancellation: false, autoGainControl: false, noiseSuppression: false } as const;
const OFF_NAMES: Readonly<Record<keyof typeof OFF, string>> = {
  echoCancellation: phrases.echoCancelling,
  autoGainControl: phrases.gainControl,
  noiseSuppression: phrases.noiseSuppression,
};
/** Shorter is not told live, s: what nobody would press. */
const LEAST_S = 0.05;
/** Nothing came for so long: the input is gone. */
const SILENT_MS = 2000;

async function inputOf(): Promise<MediaStream> {
  try {
    return await navigator.mediaDevices.getUserMedia({ audio: { ...OFF, channelCount: 1 } });
  } catch (cause) {
    throw new Error(phrases.noSoundComesInTheBrowser + phrases.allowTheMicrophoneForThisAddress, { cause });
  }
}

/** At the rate of the input: what is handed on sample for sample shows where its peaks were cut. */
function contextAt(sampleRate: number | undefined): AudioContext {
  try {
    return new AudioContext({ latencyHint: 'interactive', ...(sampleRate ? { sampleRate } : {}) });
  } catch {
    // A rate that this browser does not play.
    return new AudioContext({ latencyHint: 'interactive' });
  }
}

/**
 * Listens at the receiving end.
 * @param tag of the walk, by which its beacon is known
 * @throws Error in words for the user
 */
export async function listen(signal: SentSignal, tag: number, heard: Received): Promise<Receiving> {
  const stream = await inputOf();
  const [track] = stream.getAudioTracks();
  const settings: MediaTrackSettings & { readonly latency?: number } = track?.getSettings() ?? {};
  const context = contextAt(settings.sampleRate);
  try {
    await context.resume();
    await context.audioWorklet.addModule(tapUrl);
  } catch (cause) {
    for (const t of stream.getTracks()) t.stop();
    throw new Error(phrases.thisBrowserCannotListenNothingWas, { cause });
  }
  const live = new LiveLoss(context.sampleRate, signal, {
    loss: { leastS: LEAST_S },
    silence: { leastS: 0.5 },
  });
  const faults = new LiveFaults(context.sampleRate, signal);
  const latencyMs = 1000 * (settings.latency ?? 0);
  const tap = new AudioWorkletNode(context, 'tap', { numberOfOutputs: 0 });
  context.createMediaStreamSource(stream).connect(tap);
  const endPackets = await listenForPackets(stream, { tag, latencyMs }, heard);

  const clock = new InputClock(context.sampleRate, latencyMs);
  let lastMs = performance.now();
  let level = 0;
  tap.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
    lastMs = performance.now();
    clock.came(data.length, lastMs);
    const changes = live.push(data);
    for (const change of changes) heard.onChange(change, clock.pageMs(change.atS));
    for (const fault of faults.push(data, changes, live.usualSinceS))
      heard.onFault(fault, clock.pageMs(fault.fromS));
    if (++level % 10 === 0 && live.levelDb !== undefined) heard.onLevel(live.levelDb, live.usualDb);
  };
  let over = false;
  const stop = (): void => {
    over = true;
    clearInterval(watch);
    endPackets?.();
    for (const t of stream.getTracks()) t.stop();
    void context.close();
  };
  const lost = (why: string): void => {
    if (over) return;
    stop();
    heard.onLost(why);
  };
  const watch = setInterval(() => {
    if (performance.now() - lastMs > SILENT_MS) lost(phrases.noSoundCameInAnyMore);
  }, SILENT_MS / 2);
  track?.addEventListener('ended', () => lost(phrases.theInputWasUnpluggedOrTaken));
  return {
    readsBeacon: endPackets !== undefined,
    meddling: (Object.keys(OFF) as (keyof typeof OFF)[])
      .filter((name) => settings[name] === true)
      .map((name) => OFF_NAMES[name]),
    stop,
  };
}
