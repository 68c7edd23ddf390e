import {
  LENGTH_UNITS,
  parsePlace,
  UnknownPoint,
  type DistanceMethod,
  type LengthUnit,
  type PlacedName,
  type WrittenPlace,
} from '@urvek/core';
import * as phrases from './phrases.ts';

/** Where a row was, or what has to be asked about it. */
export type ReadAt = (WrittenPlace & { readonly point?: string }) | { readonly ask: string };

const BARE_THOUSANDS = /^\d{1,3},\d{3}$/;
/** A comma that is followed by other than three digits is decimal. */
const DECIMAL_COMMA = /(\d),(\d{1,2}|\d{4,})(?!\d)/g;

/**
 * Reads what stands under `at`: a length in any unit, about, between, over, paces, beside a point, "?", or the name of
 * a place whose distance comes later. What can be read two ways is asked about.
 */
export function readAt(
  text: string,
  method: DistanceMethod,
  unit: LengthUnit,
  points: readonly PlacedName[],
): ReadAt {
  const trimmed = text.trim();
  if (BARE_THOUSANDS.test(trimmed))
    return {
      ask: phrases.canBeOrWriteOneOf(trimmed, trimmed.replace(',', ''), trimmed.replace(',', '.')),
    };
  const point = points.find((p) => p.name.toLowerCase() === trimmed.toLowerCase());
  if (point) return { reading: { travelledM: point.atM, method }, side: 'at', point: point.name };
  try {
    return parsePlace(trimmed.replace(DECIMAL_COMMA, '$1.$2'), method, unit, points);
  } catch (error) {
    if (error instanceof UnknownPoint) return { reading: undefined, side: 'at', point: trimmed };
    // A name: a crossing, a shop, the third lamp post.
    if (/\p{L}{3}/u.test(trimmed) && !/^[\d.,]+\s*\p{L}+$/u.test(trimmed))
      return { reading: undefined, side: 'at', point: trimmed };
    return {
      ask: phrases.isNoDistanceWrite150M(trimmed),
    };
  }
}

const SPELT: Readonly<Record<string, LengthUnit>> = {
  feet: 'ft',
  yards: 'yd',
  miles: 'mi',
  metres: 'm',
  meters: 'm',
};

/** A unit of length as people write it; undefined where it is none. */
export const unitOf = (text: string): LengthUnit | undefined => {
  const tidy = text.trim().toLowerCase();
  return LENGTH_UNITS.find((u) => u === tidy) ?? SPELT[tidy];
};
