/**
 * One comparison of a device's clock with the base's: the base's time, taken to be at the middle of the
 * round trip.
 */
export interface ClockSample {
  /** The device's monotonic clock at the middle of the round trip, ms. */
  readonly deviceMs: number;
  readonly baseMs: number;
  /** The base's time can be off the middle by this much, ms. */
  readonly halfRttMs: number;
}

/** Base's clock less the device's, ms, as a line in the device's time. */
export interface ClockFit {
  /** At the weighted middle of the samples, ms. */
  readonly meanOffsetMs: number;
  offsetAt(deviceMs: number): { readonly offsetMs: number; readonly uncertaintyMs: number };
}

/**
 * A quartz runs off by no more than this (common practice: 100 parts in a million), when too little tells
 * its drift.
 */
const USUAL_DRIFT = 100e-6;
/** Comparisons over a shorter time say more of the network than of the drift, ms. */
const DRIFT_FROM_MS = 60_000;

/**
 * Offset and drift by weighted least squares, each sample weighted by the inverse square of its half round
 * trip, whose standard uncertainty is rectangular (half width/√3: JCGM 100, 4.3.7, from memory). Time is
 * centred first. Beyond the samples the drift's own uncertainty grows. Undefined without a sample.
 */
export function fitClock(samples: readonly ClockSample[]): ClockFit | undefined {
  if (samples.length === 0) return undefined;
  const rows = samples.map((s) => ({
    t: s.deviceMs,
    offset: s.baseMs - s.deviceMs,
    w: 3 / Math.max(0.5, s.halfRttMs) ** 2,
  }));
  const sum = (f: (r: (typeof rows)[number]) => number): number => rows.reduce((total, r) => total + f(r), 0);
  const weight = sum((r) => r.w);
  const centre = sum((r) => r.w * r.t) / weight;
  const first = rows[0]?.offset ?? 0;
  const mean = first + sum((r) => r.w * (r.offset - first)) / weight;
  const spread = sum((r) => r.w * (r.t - centre) ** 2);
  const span = Math.max(...rows.map((r) => r.t)) - Math.min(...rows.map((r) => r.t));
  const drifting = span >= DRIFT_FROM_MS && rows.length >= 3;
  const drift = drifting ? sum((r) => r.w * (r.t - centre) * (r.offset - mean)) / spread : 0;
  // A network that is slower one way shifts every sample alike: the best round trip bounds what averaging
  // cannot.
  const floorMs = Math.min(...samples.map((s) => s.halfRttMs)) / Math.sqrt(3);
  return {
    meanOffsetMs: mean,
    offsetAt: (deviceMs) => {
      const away = deviceMs - centre;
      const driftMs = drifting ? Math.abs(away) / Math.sqrt(spread) : Math.abs(away) * USUAL_DRIFT;
      return {
        offsetMs: mean + drift * away,
        uncertaintyMs: Math.hypot(floorMs, 1 / Math.sqrt(weight), driftMs),
      };
    },
  };
}
