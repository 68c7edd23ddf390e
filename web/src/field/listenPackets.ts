import { CHIRP_RATE_HZ, InputClock, LivePackets } from '@urvek/core';
import * as Comlink from 'comlink';
import type { PacketsWorker } from '../workers/packets.worker.ts';
import type { Received } from './received.ts';
import tapUrl from './tap.worklet.ts?worker&url';

/**
 * Reads the beacon of a walk in sound that comes in: at 8 kHz, as the browser resamples it, in a worker of its own.
 * @param tag of the walk
 * @param latencyMs of the input
 * @returns what ends it; undefined where this browser hands on no sound at that rate
 */
export async function listenForPackets(
  stream: MediaStream,
  { tag, latencyMs }: { readonly tag: number; readonly latencyMs: number },
  received: Pick<Received, 'onCodes' | 'onOtherBeacon' | 'onFault'>,
): Promise<(() => void) | undefined> {
  const begun = await begin(stream).catch(() => undefined);
  if (!begun) return undefined;
  const { context, tap } = begun;
  const worker = new Worker(new URL('../workers/packets.worker.ts', import.meta.url), { type: 'module' });
  const reader = Comlink.wrap<PacketsWorker>(worker);
  const clock = new InputClock(CHIRP_RATE_HZ, latencyMs);
  const packets = new LivePackets(tag);
  let samples = 0;
  tap.port.onmessage = ({ data }: MessageEvent<Float32Array<ArrayBuffer>>) => {
    clock.came(data.length, performance.now());
    samples += data.length;
    const unread = packets.unread(samples / CHIRP_RATE_HZ);
    if (unread) received.onFault(unread, clock.pageMs(unread.fromS));
    void reader.read(Comlink.transfer(data, [data.buffer])).then((heard) => {
      for (const packet of heard) {
        const told = packets.push(packet);
        if (!told) received.onOtherBeacon();
        else {
          const cameMs = clock.pageMs(told.atS);
          received.onCodes({ ...told, atS: cameMs / 1000 }, cameMs);
        }
      }
    });
  };
  return () => {
    tap.port.onmessage = null;
    worker.terminate();
    void context.close();
  };
}

/** @throws DOMException where there is no such rate, or sound of another one cannot be connected */
async function begin(stream: MediaStream): Promise<{ context: AudioContext; tap: AudioWorkletNode }> {
  const context = new AudioContext({ sampleRate: CHIRP_RATE_HZ });
  try {
    await context.resume();
    await context.audioWorklet.addModule(tapUrl);
    const tap = new AudioWorkletNode(context, 'tap', { numberOfOutputs: 0 });
    context.createMediaStreamSource(stream).connect(tap);
    return { context, tap };
  } catch (cause) {
    void context.close();
    throw cause;
  }
}
