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
