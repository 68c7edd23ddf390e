import { METRES_PER, type LengthUnit } from '@urvek/core';
import * as phrases from './phrases.ts';

/** Horizontal scale of a tape: metres to px. */
export interface TapeScale {
  readonly lengthM: number;
  readonly left: number;
  readonly right: number;
  x(metres: number): number;
  /** Metres under a place on the picture, clipped to the tape. */
  metresAt(x: number): number;
}

export function tapeScale(lengthM: number, left: number, right: number): TapeScale {
  if (!(lengthM > 0)) throw new RangeError(phrases.invalidLengthm(lengthM));
  return {
    lengthM,
    left,
    right,
    x: (metres) => left + (Math.min(lengthM, Math.max(0, metres)) / lengthM) * (right - left),
    metresAt: (x) => Math.min(lengthM, Math.max(0, ((x - left) / (right - left)) * lengthM)),
  };
}

/** Round steps, 1-2-5, in the unit shown: about `wanted` major ticks, each cut in five. */
export function ticks(
  lengthM: number,
  unit: LengthUnit,
  wanted = 10,
): { majorM: number[]; minorM: number[] } {
  const perUnit = METRES_PER[unit];
  const raw = lengthM / perUnit / wanted;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = ([1, 2, 5, 10].find((m) => m * power >= raw) ?? 10) * power * perUnit;
  const multiples = (of: number): number[] =>
    Array.from({ length: Math.floor(lengthM / of + 1e-9) + 1 }, (_, i) => i * of);
  return { majorM: multiples(step), minorM: multiples(step / 5) };
}
