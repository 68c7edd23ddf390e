import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seeded } from '../random/seeded.ts';
import type { Detected } from './detected.ts';
import { LOOKED_AT } from './frameCells.ts';
import { LivePicture } from './livePicture.ts';
import { PictureDetector, type PictureFound } from './picture.ts';

const { width, height } = LOOKED_AT;
const FRAME_S = 0.04;

/** A texture that pans by a dot a frame, with sensor noise; `moved` says where each frame stands. */
function pan(moved: readonly number[], grain = 1, popEvery = 0): readonly Uint8Array[] {
  const random = seeded('pan', 1);
  const dot = (x: number, y: number): number =>
    120 + 50 * Math.sin(x / 5 + Math.sin(y / 9)) + 30 * Math.sin((x + 2 * y) / 11);
  return moved.map((m, f) =>
    Uint8Array.from({ length: width * height }, (_, i) => {
      // A codec's key frame draws it anew: every part a little otherwise.
      const pop = popEvery > 0 && Math.floor(f / popEvery) % 2 === 1 ? 6 * Math.sin(i) : 0;
      return Math.round(dot((i % width) + m, Math.floor(i / width)) + pop + grain * random.normal());
    }),
  );
}

const shown = (film: readonly Uint8Array[], atS: (frame: number) => number): PictureFound => {
  const detector = new PictureDetector();
  film.forEach((grey, f) => detector.push(grey, atS(f)));
  return detector.end();
};
const regular = (f: number): number => f * FRAME_S;
const skipped = ({ artefacts }: PictureFound): readonly Detected[] =>
  artefacts.filter((a) => a.kind === 'skipped frame');
const steps = (frames: number): number[] => Array.from({ length: frames }, (_, f) => f);

describe('frames that were left out, by what is seen', () => {
  test('one or two of a film that pans are told at the frame, wherever they are; beside them nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 70, max: 180 }), fc.integer({ min: 1, max: 2 }), (at, lack) => {
        const film = pan(steps(200).map((f) => (f < at ? f : f + lack)));
        const found = shown(film, regular);
        expect(skipped(found).map((s) => Math.round(s.fromS / FRAME_S))).toEqual([at]);
        expect(skipped(found)[0]?.figure).toMatch(/^it moved (1\.\d|2\.\d) times as far as usual/);
        expect(found.dropouts).toEqual([]);
      }),
      { numRuns: 6, examples: [[100, 1]] },
    );
  });

  test('none of a film that stands, turns or is drawn anew at every key frame', () => {
    expect(skipped(shown(pan(steps(150).map(() => 0)), regular))).toEqual([]);
    const turning = steps(200).map((f) => 20 * Math.sin(f / 20));
    expect(skipped(shown(pan(turning), regular))).toEqual([]);
    expect(skipped(shown(pan(steps(260), 1, 40), regular))).toEqual([]);
  });
});

describe('frames that lack by the times of the others', () => {
  const film = pan(steps(120));
  /** From frame 80 on everything comes so much later, s. */
  const late = (byS: number) => (f: number) => f * FRAME_S + (f < 80 ? 0 : byS);

  test('a few are skipped frames; more than 150 ms of them is a picture that stood, to the moment', () => {
    const two = shown(film, late(2 * FRAME_S));
    expect(two.dropouts).toEqual([]);
    expect(skipped(two)).toMatchObject([
      { fromS: expect.closeTo(80 * FRAME_S, 6), toS: expect.closeTo(82 * FRAME_S, 6) },
    ]);
    expect(skipped(two)[0]?.figure).toBe('2 frames missing by the times of the others');
    const second = shown(film, late(1));
    expect(skipped(second)).toEqual([]);
    expect(second.dropouts).toMatchObject([
      {
        kind: 'freeze',
        fromS: expect.closeTo(80 * FRAME_S, 6),
        toS: expect.closeTo(80 * FRAME_S + 1, 6),
        figure: 'no frame for 1.00 s, where one comes every 40 ms',
      },
    ]);
  });

  test('a frozen picture of which one frame comes a second is one freeze', () => {
    const frozen = [...film.slice(0, 80), ...Array.from({ length: 3 }, () => film[79] as Uint8Array)];
    const times = (f: number): number =>
      f < 80 ? f * FRAME_S : f < 83 ? 79 * FRAME_S + (f - 79) : 79 * FRAME_S + 4 + (f - 83) * FRAME_S;
    const { dropouts } = shown([...frozen, ...film.slice(80)], times);
    expect(dropouts).toMatchObject([
      { kind: 'freeze', fromS: expect.closeTo(80 * FRAME_S, 6), toS: expect.closeTo(79 * FRAME_S + 4, 6) },
    ]);
  });

  test('nothing is told of a film whose frames come as they please, nor live, where the page may be slow', () => {
    const random = seeded('as they please', 1);
    const asTheyPlease = film.reduce<number[]>(
      (times) => [...times, (times.at(-1) ?? 0) + 0.01 + 0.2 * random.uniform()],
      [],
    );
    const found = shown(film, (f) => asTheyPlease[f] as number);
    expect([found.dropouts, skipped(found)]).toEqual([[], []]);
    const live = new LivePicture();
    expect(film.flatMap((grey, f) => live.push(grey, late(1)(f)))).toEqual([]);
  });
});
