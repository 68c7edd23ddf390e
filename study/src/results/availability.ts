import { type AvailabilityBin, availability, pathLengthM } from '@urvek/core';
import { byProduct } from './places.ts';
import type { PathRanges } from './ranges.ts';

export interface ProductAvailability {
  readonly product: string;
  readonly bins: readonly AvailabilityBin[];
}

/** About twenty bins a path, at least 5 m wide. */
export function availabilityOf(range: PathRanges): ProductAvailability[] {
  const lengthM = pathLengthM(range.path);
  const binM = Math.max(5, 5 * Math.ceil(lengthM / 20 / 5));
  return byProduct(range.findings).map(([product, findings]) => ({
    product,
    bins: availability(
      findings.map((f) => f.trace),
      lengthM,
      binM,
    ),
  }));
}
