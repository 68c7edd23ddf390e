/** What is graded: a voice, a tune, or a picture that moves. */
export const CLIP_KINDS = ['speech', 'sound', 'picture'] as const;
export type ClipKind = (typeof CLIP_KINDS)[number];

/** Seconds of a clip, and of one loss in it. */
export const CLIP_S = 3;
const LOSS_S = [0.08, 0.25] as const;
/** How much of a clip is lost, by time: from nothing to all. */
export const LEVELS = [0, 0.02, 0.05, 0.12, 0.25, 0.5, 1] as const;
export const TIMES_EACH = 2;

export interface Loss {
  readonly fromS: number;
  readonly toS: number;
}

/** A clip that plays; it ends by itself. */
export interface PlayingClip {
  readonly over: Promise<void>;
  stop(): void;
}

export const uniform = (): number => (crypto.getRandomValues(new Uint32Array(1))[0] as number) / 2 ** 32;

/** Every level so many times, in an order that nobody knows. */
export function shuffledLevels(): number[] {
  const levels = Array.from({ length: TIMES_EACH }, () => LEVELS).flat();
  return levels
    .map((level) => ({ level, at: uniform() }))
    .toSorted((a, b) => a.at - b.at)
    .map(({ level }) => level);
}

/** Losses that take so much of a clip together, spread over it, s. */
export function lossesOf(level: number): Loss[] {
  if (level <= 0) return [];
  if (level >= 1) return [{ fromS: 0, toS: CLIP_S }];
  const lengths: number[] = [];
  for (let left = level * CLIP_S; left > 1e-6;) {
    const next = Math.min(left, LOSS_S[0] + (LOSS_S[1] - LOSS_S[0]) * uniform());
    lengths.push(next);
    left -= next;
  }
  // What comes through is parted at random into one piece more than there are losses.
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
