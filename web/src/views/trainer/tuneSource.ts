/** Seconds of a note; the steps of the tune above its key note, in semitones. */
const NOTE_S = 0.24;
const STEPS = [0, 4, 7, 12, 11, 7, 9, 5, 7, 4, 5, 2, 4, 0, -3, -5] as const;
const KEY_HZ = 293.7;
/** Each overtone at so much of the note; the sum stays under full scale. */
const OVERTONES = [0.5, 0.22, 0.12, 0.06] as const;

/** A tune without a pause, over and over: what is silent in it is lost. */
export function tuneSource(context: AudioContext): AudioBufferSourceNode & { readonly buffer: AudioBuffer } {
  const { sampleRate } = context;
  const perNote = Math.round(NOTE_S * sampleRate);
  const buffer = context.createBuffer(1, perNote * STEPS.length, sampleRate);
  const samples = buffer.getChannelData(0);
  STEPS.forEach((step, k) => {
    const hz = KEY_HZ * 2 ** (step / 12);
    for (let i = 0; i < perNote; i++) {
      const t = i / sampleRate;
      // Struck, and held until the next: it never falls to silence.
      const strength = (0.45 + 0.55 * Math.exp(-6 * t)) * Math.min(1, t / 0.005, (NOTE_S - t) / 0.005);
      const tone = OVERTONES.reduce(
        (sum, share, n) => sum + share * Math.sin(2 * Math.PI * hz * (n + 1) * t),
        0,
      );
      samples[k * perNote + i] = 0.4 * strength * tone;
    }
  });
  return Object.assign(context.createBufferSource(), { buffer, loop: true });
}
