/**
 * Luma of dots in red, green, blue and alpha, by ITU-R BT.601 in 256ths. @throws RangeError where the lengths differ
 */
export function greyOf(rgba: Uint8ClampedArray, into: Uint8Array): Uint8Array {
  if (rgba.length !== 4 * into.length)
    throw new RangeError(`${rgba.length} bytes are not ${into.length} dots`);
  for (let i = 0; i < into.length; i++)
    into[i] =
      (77 * (rgba[4 * i] as number) + 150 * (rgba[4 * i + 1] as number) + 29 * (rgba[4 * i + 2] as number)) >>
      8;
  return into;
}

/** The luma of a frame as a decoder gives it, a byte a dot. */
export interface Luma {
  readonly bytes: Uint8Array;
  /** Of its first dot, and from one row to the next, bytes. */
  readonly offset: number;
  readonly stride: number;
  readonly width: number;
  readonly height: number;
  /** Black is 0 and white 255; otherwise 16 and 235. */
  readonly fullRange: boolean;
}

/**
 * Luma made smaller: each dot is the mean of the area that it stands for, from 0, black, to 255. Where dots are left
 * out instead, the grain of those that are kept looks like change of the picture.
 * @param into row by row, `across` dots each
 * @throws RangeError where the bytes are fewer than the rows
 */
export function greyOfLuma(luma: Luma, into: Uint8Array, across: number): Uint8Array {
  const { bytes, offset, stride, width, height, fullRange } = luma;
  if (bytes.length < offset + (height - 1) * stride + width)
    throw new RangeError(`${bytes.length} bytes are not ${height} rows of ${width}`);
  const down = into.length / across;
  const [black, times] = fullRange ? [0, 1] : [16, 255 / 219];
  const told = (mean: number): number => Math.max(0, Math.min(255, Math.round(times * (mean - black))));
  if (width === across && height === down) {
    const greys = Uint8Array.from({ length: 256 }, (_, value) => told(value));
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        into[y * width + x] = greys[bytes[offset + y * stride + x] as number] as number;
    return into;
  }
  // The sum of a row up to each dot: the mean between any two places of it is one difference.
  const upTo = new Uint32Array(width + 1);
  const means = new Float64Array(across);
  const totals = new Float64Array(into.length);
  for (let y = 0; y < height; y++) {
    const row = offset + y * stride;
    for (let x = 0, sum = 0; x < width; x++) upTo[x + 1] = sum += bytes[row + x] as number;
    for (let x = 0, before = 0; x < across; x++) {
      const edge = ((x + 1) * width) / across;
      const whole = Math.floor(edge);
      const here = (upTo[whole] as number) + (edge - whole) * (bytes[row + whole] ?? 0);
      means[x] = ((here - before) * across) / width;
      before = here;
    }
    const [from, to] = [(y * down) / height, ((y + 1) * down) / height];
    for (let r = Math.floor(from); r < to && r < down; r++) {
      const share = Math.min(to, r + 1) - Math.max(from, r);
      for (let x = 0, i = r * across; x < across; x++, i++)
        totals[i] = (totals[i] as number) + share * (means[x] as number);
    }
  }
  for (let i = 0; i < into.length; i++) into[i] = told(totals[i] as number);
  return into;
}

/** By how much a frame is turned before it is shown, degrees clockwise. */
export type Turn = 0 | 90 | 180 | 270;

/** Frames turned by 90 or 270 degrees are as high as they were wide. */
export const isUpright = (turn: Turn): boolean => turn % 180 === 90;

/**
 * A frame as it is shown: a phone that is held upright writes its frames lying, and by how much they are to be turned.
 * @param lying row by row, as it was written
 * @param into the same dots turned, row by row, `across` each
 */
export function turned(lying: Uint8Array, into: Uint8Array, across: number, turn: Turn): Uint8Array {
  const down = into.length / across;
  // Where its first dot was, and how far it is from there to what stands beside and below it.
  const [first, beside, below] = {
    0: [0, 1, across],
    90: [(across - 1) * down, -down, 1],
    180: [across * down - 1, -1, -across],
    270: [down - 1, down, -1],
  }[turn] as [number, number, number];
  for (let y = 0, i = 0; y < down; y++)
    for (let x = 0; x < across; x++, i++) into[i] = lying[first + x * beside + y * below] as number;
  return into;
}
