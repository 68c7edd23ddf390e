import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seeded } from '../random/seeded.ts';
import { detectorState, restoreDetector } from './detectorState.ts';
import { LOOKED_AT } from './frameCells.ts';
import { PictureDetector } from './picture.ts';
import { SENT_SIGNALS, SoundDetector, type SentSignal, type SoundFound } from './sound.ts';
import { PILOT_HZ, PILOT_PART, TONE_HZ } from './toneFaults.ts';

// A detector that goes on from another's state finds what one that saw all of it finds, to the last figure.

const RATE = 8000;
const SECONDS = 16;

/** Two channels of sound in which everything goes wrong that a detector tells. */
function spoiltSound(signal: SentSignal): readonly [Float32Array, Float32Array] {
  const random = seeded('spoilt sound', signal);
  const tone = (i: number, hz: number): number => Math.sin((2 * Math.PI * hz * i) / RATE);
  const left = Float32Array.from({ length: SECONDS * RATE }, (_, i) =>
    signal === 'tone'
      ? 0.2 * (tone(i, TONE_HZ) + PILOT_PART * tone(i, PILOT_HZ)) + 1e-4 * random.normal()
      : 0.1 * random.normal(),
  );
  const at = (s: number): number => Math.round(s * RATE);
  left.fill(0, at(2), at(2.2));
  left.fill(0, at(5), at(5.9));
  // Time that was left out; a click; cut peaks; a block of 20 ms that is stuck; noise that rises.
  left.copyWithin(at(7), at(7.02));
  left[at(3.5)] = 0.95;
  left.fill(0.8, at(4), at(4) + 8);
  for (let i = at(8); i < at(8.2); i++) left[i] = left[i - at(0.02)] as number;
  for (let i = at(9.5); i < at(13.5); i++) left[i] = (left[i] as number) + 0.1 * random.normal();
  left.fill(0, at(15.5));
  const right = left.slice();
  right.fill(0, at(14), at(14.6));
  return [left, right];
}

const detectorOf = (signal: SentSignal): SoundDetector =>
  new SoundDetector({ rateHz: RATE, channels: 2, signal });

function goneOver(
  detector: SoundDetector,
  sound: readonly Float32Array[],
  fromAt: number,
  toAt: number,
): SoundDetector {
  for (let i = fromAt; i < toAt; i += 1000)
    detector.push(sound.map((channel) => channel.subarray(i, Math.min(toAt, i + 1000))));
  return detector;
}

describe('a detector of sound that goes on', () => {
  test.each(SENT_SIGNALS)('%s: finds the same, wherever the other stopped', (signal) => {
    const sound = spoiltSound(signal);
    const length = SECONDS * RATE;
    const whole: SoundFound = goneOver(detectorOf(signal), sound, 0, length).end();
    expect(whole.dropouts.length).toBeGreaterThanOrEqual(2);
    expect(whole.artefacts.length).toBeGreaterThanOrEqual(3);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: length }), (stop) => {
        const first = goneOver(detectorOf(signal), sound, 0, stop);
        const state = structuredClone(detectorState(first));
        // What the first does then is no longer its state.
        goneOver(first, sound, stop, length);
        const second = detectorOf(signal);
        restoreDetector(second, state);
        expect(goneOver(second, sound, stop, length).end()).toEqual(whole);
      }),
      { numRuns: 12, examples: [[Math.round(5.4 * RATE)], [Math.round(8.1 * RATE)], [11 * RATE]] },
    );
  });

  test('the state of another kind of detector is refused, and so is a part that cannot be kept', () => {
    const noise = detectorState(detectorOf('noise'));
    expect(() => restoreDetector(detectorOf('tone'), noise)).toThrow(/invalid state/);
    expect(() => restoreDetector(new PictureDetector(), noise)).toThrow(/invalid state/);
    expect(() => restoreDetector(new PictureDetector(), 3)).toThrow(/invalid state/);
    expect(() => detectorState({ part: new Map() })).toThrow('invalid state.part');
  });
});

const { width, height } = LOOKED_AT;
const FRAME_S = 0.04;

/** A moving texture, with freezes, black, a card, a torn frame and a square of one grey. */
function spoiltFilm(frames: number): readonly Uint8Array[] {
  const random = seeded('spoilt film', 1);
  const dot = (x: number, y: number, moved: number): number =>
    110 + 40 * Math.sin((x + moved) / 6) + 20 * Math.sin(y / 4 + moved / 9);
  const film: Uint8Array[] = [];
  for (let f = 0; f < frames; f++) {
    const shown = Uint8Array.from({ length: width * height }, (_, i) =>
      Math.round(dot(i % width, Math.floor(i / width), f) + random.normal()),
    );
    const last = film.at(-1);
    const frozen = (f >= 60 && f < 75) || f === 100;
    if (frozen && last) film.push(last.slice());
    else if (f >= 120 && f < 130) film.push(new Uint8Array(width * height).fill(16));
    else if (f >= 160 && f < 190) film.push(Uint8Array.from(shown, (_, i) => (i % width > 80 ? 250 : 20)));
    else {
      if (f === 90 && last) shown.set(last.subarray(60 * width), 60 * width);
      if (f >= 240 && f < 246) for (let y = 20; y < 60; y++) shown.fill(128, y * width + 40, y * width + 100);
      film.push(shown);
    }
  }
  return film;
}

test('a detector of pictures that goes on finds the same, wherever the other stopped', () => {
  const film = spoiltFilm(280);
  const goneThrough = (detector: PictureDetector, from: number, to: number): PictureDetector => {
    for (let f = from; f < to; f++) detector.push(film[f] as Uint8Array, f * FRAME_S);
    return detector;
  };
  const whole = goneThrough(new PictureDetector(), 0, film.length).end();
  expect(new Set(whole.dropouts.map((d) => d.kind))).toEqual(new Set(['freeze', 'black', 'cut to a still']));
  expect(whole.artefacts.map((d) => d.kind)).toContain('blocks');
  fc.assert(
    fc.property(fc.integer({ min: 0, max: film.length }), (stop) => {
      const state = structuredClone(detectorState(goneThrough(new PictureDetector(), 0, stop)));
      const second = new PictureDetector();
      restoreDetector(second, state);
      expect(goneThrough(second, stop, film.length).end()).toEqual(whole);
    }),
    { numRuns: 12, examples: [[68], [91], [125], [175], [243]] },
  );
});
