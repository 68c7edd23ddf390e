import { speechSource } from './speechSource.ts';

/** Seconds of a clip, and of one loss in it. */
const CLIP_S = 3;
const LOSS_S = [0.08, 0.25] as const;
/** How much of a clip is lost, by time: from nothing to all. */
export const LEVELS = [0, 0.02, 0.05, 0.12, 0.25, 0.5, 1] as const;
export const TIMES_EACH = 2;

const uniform = (): number => (crypto.getRandomValues(new Uint32Array(1))[0] as number) / 2 ** 32;

/** Every level so many times, in an order that nobody knows. */
export function shuffledLevels(): number[] {
  const levels = Array.from({ length: TIMES_EACH }, () => LEVELS).flat();
  return levels
    .map((level) => ({ level, at: uniform() }))
    .toSorted((a, b) => a.at - b.at)
    .map(({ level }) => level);
}

/** Losses that take so much of a clip together, spread over it, s. */
export function lossesOf(level: number): { fromS: number; toS: number }[] {
  if (level <= 0) return [];
  if (level >= 1) return [{ fromS: 0, toS: CLIP_S }];
  const lengths: number[] = [];
  for (let left = level * CLIP_S; left > 1e-6;) {
    const next = Math.min(left, LOSS_S[0] + (LOSS_S[1] - LOSS_S[0]) * uniform());
    lengths.push(next);
    left -= next;
  }
  // What is heard is parted at random into one piece more than there are losses.
  const cuts = [...lengths.map(() => uniform()), 1].toSorted((a, b) => a - b);
  const heardS = CLIP_S * (1 - level);
  let atS = 0;
  let before = 0;
  return lengths.map((length, i) => {
    const cut = cuts[i] as number;
    const fromS = atS + heardS * (cut - before);
    before = cut;
    atS = fromS + length;
    return { fromS, toS: atS };
  });
}

/** Plays a piece of speech of which so much is lost; ends by itself. @throws DOMException where there is no sound */
export async function playClip(level: number): Promise<{ readonly over: Promise<void>; stop(): void }> {
  const context = new AudioContext({ latencyHint: 'interactive' });
  await context.resume();
  const speech = await speechSource(context);
  const volume = context.createGain();
  speech.connect(volume).connect(context.destination);
  const startS = context.currentTime + 0.1;
  for (const { fromS, toS } of lossesOf(level)) {
    volume.gain.setValueAtTime(0, startS + fromS);
    volume.gain.setValueAtTime(1, startS + toS);
  }
  speech.start(startS, uniform() * speech.buffer.duration);
  speech.stop(startS + CLIP_S);
  const over = new Promise<void>((resolve) => {
    speech.onended = () => {
      void context.close();
      resolve();
    };
  });
  return {
    over,
    stop: () => {
      if (context.state !== 'closed') void context.close();
    },
  };
}
