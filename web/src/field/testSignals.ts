import {
  BEACON_TICK_S,
  CHIRP_RATE_HZ,
  MOST_SEQUENCE,
  PACKET_EVERY_S,
  PACKET_S,
  packetOf,
  PILOT_HZ,
  PILOT_PART,
  TONE_HZ,
  type BeaconMessage,
  type SeparationNow,
} from '@urvek/core';

/** What a device can play into a link. */
export const SOUND_SIGNALS = ['noise', 'tone', 'clicks', 'beacon'] as const;
export type SoundSignal = (typeof SOUND_SIGNALS)[number];

/** A beacon's walk and the time on its clock, at a time of this page (performance.now), s. */
export interface BeaconClock {
  readonly tag: number;
  walkS(pageMs: number): number;
  /** How far this end is from the other, at a moment of the walk; undefined where nothing tells. */
  separation(walkS: number): SeparationNow | undefined;
}

/** About the level of speech on a recording, of full scale: −20 dB. */
const LEVEL = 0.1;
const NOISE_S = 4;
/** Noise comes in under a packet's end over so long, s: after a smooth sweep its first samples would be a click. */
const UNDER_S = 0.06;
/** Sound is laid ahead so far, s. */
const AHEAD_S = 1;

function looped(
  context: AudioContext,
  seconds: number,
  sample: (i: number) => number,
): AudioBufferSourceNode {
  const buffer = context.createBuffer(1, Math.round(seconds * context.sampleRate), context.sampleRate);
  const samples = buffer.getChannelData(0);
  for (let i = 0; i < samples.length; i++) samples[i] = sample(i);
  return Object.assign(context.createBufferSource(), { buffer, loop: true });
}

/** Four uniform numbers less their mean: near enough to normal, and cheap. Standard deviation as the level says. */
function noiseSamples(): (i: number) => number {
  const throws = new Uint32Array(4096);
  let at = throws.length;
  const uniform = (): number => {
    if (at === throws.length) {
      crypto.getRandomValues(throws);
      at = 0;
    }
    return (throws[at++] as number) / 2 ** 32;
  };
  return () => LEVEL * (uniform() + uniform() + uniform() + uniform() - 2) * Math.sqrt(3);
}

/** The tone with its pilot, by which moments are told that were left out or played twice. */
const toneAt = (rateHz: number): ((i: number) => number) => {
  const amplitude = LEVEL * Math.sqrt(2 / (1 + PILOT_PART ** 2));
  const wave = (hz: number, i: number): number => Math.sin((2 * Math.PI * hz * i) / rateHz);
  return (i) => amplitude * (wave(TONE_HZ, i) + PILOT_PART * wave(PILOT_HZ, i));
};

/** A click each second; the tenth is higher. */
const clickAt =
  (rateHz: number) =>
  (i: number): number => {
    const s = i / rateHz;
    const within = s % 1;
    const hz = Math.floor(s) % 10 === 0 ? 2400 : 1200;
    return within < 0.01 ? 4 * LEVEL * Math.sin(2 * Math.PI * hz * within) * (1 - within / 0.01) : 0;
  };

/** Plays until it is stopped. @throws DOMException where the browser has no sound */
export async function playSignal(
  signal: SoundSignal,
  clock: () => BeaconClock,
  onSent?: (message: BeaconMessage) => void,
): Promise<() => void> {
  const context = new AudioContext({ latencyHint: 'interactive' });
  await context.resume();
  const rate = context.sampleRate;
  if (signal === 'beacon') return playBeacon(context, clock, onSent);
  const source =
    signal === 'noise'
      ? looped(context, NOISE_S, noiseSamples())
      : signal === 'tone'
        ? looped(context, 1, toneAt(rate))
        : looped(context, 10, clickAt(rate));
  source.connect(context.destination);
  source.start();
  return () => void context.close();
}

/**
 * Packets between stretches of noise. Each begins at a tenth of a second of the walk's clock, as it leaves the device:
 * its number is that tenth.
 */
function playBeacon(
  context: AudioContext,
  clock: () => BeaconClock,
  onSent: ((message: BeaconMessage) => void) | undefined,
): () => void {
  const noise = looped(context, NOISE_S, noiseSamples());
  const gain = context.createGain();
  noise.connect(gain).connect(context.destination);
  noise.start();
  let nextS = 0;
  let of = clock().tag;
  const lay = (): void => {
    const out = context.getOutputTimestamp();
    // Until the first sound has left the device, what is laid next is all that is known.
    const [contextTime, performanceTime] = out.performanceTime
      ? [out.contextTime ?? 0, out.performanceTime]
      : [context.currentTime, performance.now()];
    const { tag, walkS } = clock();
    // The clock of a walk that was joined may become known meanwhile: what was laid is of another.
    if (tag !== of) [of, nextS] = [tag, 0];
    const nowS = walkS(performance.now());
    for (;;) {
      nextS = Math.max(nextS, Math.ceil((nowS + 0.2) / PACKET_EVERY_S) * PACKET_EVERY_S);
      if (nextS > nowS + AHEAD_S) return;
      const sequence = Math.round(nextS / BEACON_TICK_S);
      if (sequence > MOST_SEQUENCE) return;
      const atS = contextTime + (nextS - walkS(performanceTime));
      nextS += PACKET_EVERY_S;
      // The device has come to a halt meanwhile: a packet leaves at its time, or not at all.
      if (atS < context.currentTime) continue;
      const packet = packetOf({ tag, sequence });
      const buffer = context.createBuffer(1, packet.length, CHIRP_RATE_HZ);
      // As strong as the noise between: a step of level would look like a loss to whoever listens for one.
      buffer.getChannelData(0).set(packet.map((x) => Math.SQRT2 * LEVEL * x));
      const source = Object.assign(context.createBufferSource(), { buffer });
      source.connect(context.destination);
      source.start(atS);
      gain.gain.setValueAtTime(0, atS);
      gain.gain.setValueAtTime(0, atS + PACKET_S - UNDER_S);
      gain.gain.linearRampToValueAtTime(1, atS + PACKET_S);
      onSent?.({ tag, sequence });
    }
  };
  lay();
  const timer = setInterval(lay, 200);
  return () => {
    clearInterval(timer);
    void context.close();
  };
}
