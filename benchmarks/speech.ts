import { seeded } from '@urvek/core';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ffmpeg, writeWav, type Gap } from './recordings.ts';

/** Made up, to be read aloud by a machine. */
const TEXT = `The incline rises past the drum house and the empty wagons. Count the sleepers as you walk, and say
each number clearly. At the footbridge the wind comes from the west, and the slate tips stand to the
left. Keep the receiver at the height of the chest, turn neither left nor right, and go on until the
upper gate. There the path ends between two posts of oak. Rest, look back, and begin again from the
lower gate with the other set.`;
const RATE = 48_000;
/** The received one is later by this much, and runs faster by so many millionths. */
const [DELAY_MS, DRIFT_PPM] = [137.25, 42];

/** 16-bit samples of a WAV file of one channel; what stands between its head and its data is passed over. */
function samplesOf(file: string): Float32Array {
  const bytes = readFileSync(file);
  const data = bytes.subarray(bytes.indexOf('data', 12, 'latin1') + 8);
  return Float32Array.from(
    { length: Math.floor(data.length / 2) },
    (_, i) => data.readInt16LE(2 * i) / 32_768,
  );
}

/** Where it is loud, over 10 ms: nothing else can be missed. */
function audible(sound: Float32Array, atS: number): boolean {
  const from = Math.round(atS * RATE);
  let sum = 0;
  for (let i = from; i < from + RATE / 100; i++) sum += (sound[i] ?? 0) ** 2;
  return sum / (RATE / 100) > 1e-3;
}

const speak = (file: string): void =>
  void execFileSync('espeak-ng', ['-v', 'en-gb', '-s', '150', '-w', file, TEXT.replaceAll('\n', ' ')]);

/** The same text as samples of so many a second. */
export function spokenAt(folder: string, rateHz: number): Float32Array {
  const [spoken, resampled] = [join(folder, 'text.wav'), join(folder, 'resampled.wav')];
  speak(spoken);
  ffmpeg('-i', spoken, '-ac', '1', '-ar', String(rateHz), resampled);
  return samplesOf(resampled);
}

/**
 * Speech of Debian's espeak-ng, and the same as received: later, with a clock that drifts, residual noise, and gaps
 * of 40 to 400 ms that begin where something is said; told in seconds of the received one.
 */
export function speechWithGaps(folder: string, codec: readonly string[]) {
  const [spoken, reference, made] = ['spoken.wav', 'reference.wav', 'made.wav'].map((n) =>
    join(folder, n),
  ) as [string, string, string];
  speak(spoken);
  ffmpeg('-stream_loop', '3', '-i', spoken, '-ac', '1', '-ar', String(RATE), reference);
  const sent = samplesOf(reference);
  const random = seeded('speech');
  const gaps: Gap[] = [];
  const heard = Float32Array.from({ length: sent.length + RATE }, (_, i) => {
    const s = (i / RATE - DELAY_MS / 1000) / (1 + DRIFT_PPM * 1e-6);
    const at = s * RATE;
    const k = Math.floor(at);
    const between = at - k;
    return (1 - between) * (sent[k] ?? 0) + between * (sent[k + 1] ?? 0);
  });
  for (let s = 3; s < sent.length / RATE - 3; s += 1.5 + random.uniform()) {
    while (!audible(sent, s) && s < sent.length / RATE - 3) s += 0.01;
    const toS = s + 0.04 + 0.36 * random.uniform();
    const receivedS = (t: number): number => t * (1 + DRIFT_PPM * 1e-6) + DELAY_MS / 1000;
    const gap = { fromS: receivedS(s), toS: receivedS(toS) };
    gaps.push(gap);
    heard.fill(0, Math.round(gap.fromS * RATE), Math.round(gap.toS * RATE));
  }
  for (let i = 0; i < heard.length; i++) heard[i] = (heard[i] as number) + 0.001 * random.normal();
  writeWav(made, heard, RATE);
  const received = codec.length === 0 ? made : join(folder, 'received.mka');
  if (codec.length > 0) ffmpeg('-i', made, ...codec, received);
  return { reference, received, gaps, delayMs: DELAY_MS, driftPpm: DRIFT_PPM };
}

/**
 * Speech with noise under it at −60 dB, which rises by so much for 4 to 7 s now and then; and where. A rise of 0 dB:
 * none.
 */
export function speechWithRises(folder: string, riseDb: number, codec: readonly string[]) {
  const sent = spokenAt(folder, RATE);
  const random = seeded('rises');
  const seconds = 4 * Math.floor(sent.length / RATE);
  const gaps: Gap[] = [];
  for (let s = 8; s < seconds - 12; s += 15 + 4 * random.uniform())
    gaps.push({ fromS: s, toS: s + 4 + 3 * random.uniform() });
  const made = join(folder, 'rises.wav');
  writeWav(
    made,
    Float32Array.from({ length: seconds * RATE }, (_, i) => {
      const risen = gaps.some((g) => i >= g.fromS * RATE && i < g.toS * RATE);
      return (sent[i % sent.length] as number) + 10 ** ((-60 + (risen ? riseDb : 0)) / 20) * random.normal();
    }),
    RATE,
  );
  const received = codec.length === 0 ? made : join(folder, 'rises.mka');
  if (codec.length > 0) ffmpeg('-i', made, ...codec, received);
  return { received, gaps, seconds };
}
