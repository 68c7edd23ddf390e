import { speechSource } from './speechSource.ts';
import * as phrases from './phrases.ts';

/** Seconds of sound between dropouts, and how long they last: nobody can count along. */
const BETWEEN_S = [2.6, 5.5] as const;
const LASTING_S = [1.1, 2.2] as const;
const LEAD_S = 2;

/** Sound that comes out later than this is heard by way of a link of its own. */
const MOST_LATENCY_S = 0.12;

export interface Lesson {
  /** When each dropout is heard, by the clock of input events (performance.now), ms. */
  readonly onsetsMs: readonly number[];
  isOut(nowMs: number): boolean;
  readonly over: Promise<void>;
  stop(): void;
}

const uniform = (): number => (crypto.getRandomValues(new Uint32Array(1))[0] as number) / 2 ** 32;
const between = ([least, most]: readonly [number, number]): number => least + (most - least) * uniform();

/** Noise as a link gives it while nothing comes through, faint. */
function hiss(context: AudioContext): AudioBufferSourceNode {
  const buffer = context.createBuffer(1, context.sampleRate, context.sampleRate);
  const samples = buffer.getChannelData(0);
  for (let i = 0; i < samples.length; i++) samples[i] = (2 * uniform() - 1) * 0.02;
  return Object.assign(context.createBufferSource(), { buffer, loop: true });
}

/**
 * Plays speech with dropouts at known times. @throws Error in words for the user when the sound would not
 * tell the truth.
 */
export async function playLesson(rounds: number): Promise<Lesson> {
  const context = new AudioContext({ latencyHint: 'interactive' });
  await context.resume();
  const speech = await speechSource(context);
  if ((context.outputLatency || 0) > MOST_LATENCY_S) {
    const lateMs = 1000 * context.outputLatency;
    await context.close();
    throw new Error(phrases.soundComesOutMsLateAs(lateMs.toFixed(0)));
  }
  const volume = context.createGain();
  speech.connect(volume).connect(context.destination);
  const noise = hiss(context);
  noise.connect(context.destination);

  const startS = context.currentTime + 0.2;
  const dropouts: { fromS: number; toS: number }[] = [];
  let atS = startS + LEAD_S;
  for (let i = 0; i < rounds; i++) {
    const fromS = atS + between(BETWEEN_S);
    const toS = fromS + between(LASTING_S);
    dropouts.push({ fromS, toS });
    volume.gain.setValueAtTime(0, fromS);
    volume.gain.setValueAtTime(1, toS);
    atS = toS;
  }
  speech.start(startS);
  noise.start(startS);

  // The audio clock on the clock of inputs; what is scheduled is heard an output latency later.
  const offsetMs = performance.now() - 1000 * context.currentTime + 1000 * (context.outputLatency || 0);
  const heardMs = (s: number): number => 1000 * s + offsetMs;
  const stop = (): void => {
    if (context.state !== 'closed') void context.close();
  };
  return {
    onsetsMs: dropouts.map((d) => heardMs(d.fromS)),
    isOut: (nowMs) => dropouts.some((d) => nowMs >= heardMs(d.fromS) && nowMs < heardMs(d.toS)),
    over: new Promise((resolve) =>
      setTimeout(
        () => {
          stop();
          resolve();
        },
        heardMs(atS + 1.5) - performance.now(),
      ),
    ),
    stop,
  };
}
