import type { Random } from '../random/seeded.ts';

/** Share of Shannon's bound that a link gives (common practice: a half to two thirds). */
const OF_THE_BOUND = 0.6;

/** What a simulated link carries, Mbit/s, of its margin and its width; undefined: nothing, it is lost. */
export const linkRateMbps = (marginDb: number, widthMHz: number): number | undefined =>
  marginDb < 0 ? undefined : OF_THE_BOUND * widthMHz * Math.log2(1 + 10 ** (marginDb / 10));

/** What a probe would read there; absent: no connection. */
export interface SimulatedReading {
  readonly downMbps: number;
  readonly upMbps: number;
  readonly roundTripMs: number;
  readonly lossShare: number;
}

/** Uplinks are weaker: the mobile end has the smaller transmitter (common practice). */
const UP_DB = 3;

/** What simulated gear answers a probe; each time a little else, as readings are. */
export function simulatedReading(
  marginDb: number,
  widthMHz: number,
  random: Random,
): SimulatedReading | undefined {
  const [down, up] = [marginDb, marginDb - UP_DB].map((db) =>
    linkRateMbps(db + 0.7 * random.normal(), widthMHz),
  );
  if (down === undefined) return undefined;
  // Near its limit a link repeats itself: that shows as time, and at last as loss.
  const repeats = 1 / (1 + Math.max(0, marginDb));
  return {
    downMbps: down,
    upMbps: up ?? 0,
    roundTripMs: 4 + 60 * repeats * (0.8 + 0.4 * random.uniform()),
    lossShare: Math.min(1, 0.2 * repeats ** 2),
  };
}
