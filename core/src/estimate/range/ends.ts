/** A pair of ends; an absent end has no bound. */
export interface Ends {
  readonly low: number | undefined;
  readonly high: number | undefined;
}

/** An end beyond this many times what was observed is no bound. */
const BEYOND_OBSERVED = 10;

/** Ends as they may be printed: none lies beyond ten times what was observed. */
export function boundedBy(
  { low, high }: Ends,
  observed: { readonly least: number; readonly greatest: number },
): Ends {
  return {
    low: low !== undefined && low < observed.least / BEYOND_OBSERVED ? undefined : low,
    high: high !== undefined && high > observed.greatest * BEYOND_OBSERVED ? undefined : high,
  };
}

/** The nearest and the farthest place at which anything was observed. */
export function observedOf(
  walks: readonly { readonly heldM: number; readonly failedM: number | undefined }[],
): { least: number; greatest: number } {
  let [least, greatest] = [Infinity, 0];
  for (const { heldM, failedM } of walks)
    for (const m of [heldM, failedM ?? 0])
      if (m > 0) [least, greatest] = [Math.min(least, m), Math.max(greatest, m)];
  return { least, greatest };
}
