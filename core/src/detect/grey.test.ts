import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { greyOfLuma, isUpright, turned, type Luma, type Turn } from './grey.ts';

const lumaOf = (width: number, height: number, of: (x: number, y: number) => number): Luma => {
  // Rows may be longer than they are wide, and begin later.
  const [offset, stride] = [3, width + 5];
  const bytes = new Uint8Array(offset + height * stride);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) bytes[offset + y * stride + x] = of(x, y);
  return { bytes, offset, stride, width, height, fullRange: true };
};

test('each dot is the mean of its area, of frames of any size', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 1, max: 20 }),
      fc.integer({ min: 1, max: 20 }),
      fc.uint8Array({ minLength: 1600, maxLength: 1600 }),
      (width, height, across, down, values) => {
        const of = (x: number, y: number): number => values[y * width + x] as number;
        const grey = greyOfLuma(lumaOf(width, height, of), new Uint8Array(across * down), across);
        const overlap = (i: number, parts: number, k: number, of: number): number =>
          Math.max(0, Math.min((i + 1) / parts, (k + 1) / of) - Math.max(i / parts, k / of));
        for (let r = 0; r < down; r++)
          for (let c = 0; c < across; c++) {
            let mean = 0;
            for (let y = 0; y < height; y++)
              for (let x = 0; x < width; x++)
                mean += overlap(r, down, y, height) * overlap(c, across, x, width) * of(x, y);
            expect(Math.abs((grey[r * across + c] as number) - mean * across * down)).toBeLessThan(
              0.5 + 1e-6,
            );
          }
      },
    ),
    { numRuns: 40 },
  );
});

test('black is 0 and white 255, whether the decoder keeps room below and above or not', () => {
  const grey = (value: number, fullRange: boolean, width: number): number =>
    greyOfLuma({ ...lumaOf(width, 2, () => value), fullRange }, new Uint8Array(4), 2)[0] as number;
  for (const width of [2, 4]) {
    expect([16, 235, 8, 250, 126].map((v) => grey(v, false, width))).toEqual([0, 255, 0, 255, 128]);
    expect([0, 255, 126].map((v) => grey(v, true, width))).toEqual([0, 255, 126]);
  }
});

test('bytes that are too few are refused', () => {
  const luma = { ...lumaOf(4, 4, () => 0), bytes: new Uint8Array(20) };
  expect(() => greyOfLuma(luma, new Uint8Array(4), 2)).toThrow('20 bytes are not 4 rows of 4');
});

test('a frame is turned clockwise, and four quarters are none', () => {
  // 1 2 3 over 4 5 6.
  const lying = Uint8Array.from([1, 2, 3, 4, 5, 6]);
  const by = (turn: Turn): number[] => [...turned(lying, new Uint8Array(6), isUpright(turn) ? 2 : 3, turn)];
  expect(by(0)).toEqual([1, 2, 3, 4, 5, 6]);
  expect(by(90)).toEqual([4, 1, 5, 2, 6, 3]);
  expect(by(180)).toEqual([6, 5, 4, 3, 2, 1]);
  expect(by(270)).toEqual([3, 6, 2, 5, 1, 4]);
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9 }),
      fc.uint8Array({ minLength: 1, maxLength: 9 }),
      (across, row) => {
        const frame = new Uint8Array(across * row.length).map((_, i) => row[i % row.length] as number);
        let [now, wide]: [Uint8Array, number] = [frame, across];
        for (let quarter = 0; quarter < 4; quarter++) {
          wide = now.length / wide;
          now = turned(now, new Uint8Array(now.length), wide, 90);
        }
        expect(now).toEqual(frame);
        expect(turned(frame, new Uint8Array(frame.length), across, 180)).toEqual(frame.slice().reverse());
      },
    ),
  );
});
