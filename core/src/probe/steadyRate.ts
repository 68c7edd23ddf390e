import { median } from '../numeric/median.ts';

/** Bytes that had arrived by a moment, counted from the beginning of a run. */
export interface ByteCount {
  readonly atMs: number;
  readonly bytes: number;
}

export interface SteadyRate {
  readonly mbps: number;
  /** Of the samples between two counts, Mbit/s. */
  readonly leastMbps: number;
  readonly medianMbps: number;
  readonly mostMbps: number;
  /** What was counted, after the ramp. */
  readonly seconds: number;
  readonly bytes: number;
  readonly samples: number;
  /** Samples in which nothing arrived. */
  readonly silent: number;
}

/** Connections open their windows first: that much of a run is no rate of the link. */
export const RAMP_MS = 2000;

const mbps = (bytes: number, ms: number): number => (8 * bytes) / ms / 1000;

/**
 * Application throughput of a run once its ramp is over: all that arrived between the first and the last count after
 * the ramp, over that time. @param counts in order of time; the first at the beginning of the run
 * @returns undefined where fewer than two counts come after the ramp
 */
export function steadyRate(counts: readonly ByteCount[], rampMs = RAMP_MS): SteadyRate | undefined {
  const [begin] = counts;
  const after = begin ? counts.filter((c) => c.atMs >= begin.atMs + rampMs) : [];
  const [first, last] = [after[0], after.at(-1)];
  if (!first || !last || last.atMs <= first.atMs) return undefined;
  const samples = after.slice(1).map((c, i) => {
    const before = after[i] as ByteCount;
    return { bytes: c.bytes - before.bytes, ms: c.atMs - before.atMs };
  });
  const rates = samples.filter((s) => s.ms > 0).map((s) => mbps(s.bytes, s.ms));
  return {
    mbps: mbps(last.bytes - first.bytes, last.atMs - first.atMs),
    leastMbps: Math.min(...rates),
    medianMbps: median(rates),
    mostMbps: Math.max(...rates),
    seconds: (last.atMs - first.atMs) / 1000,
    bytes: last.bytes - first.bytes,
    samples: rates.length,
    silent: samples.filter((s) => s.bytes === 0).length,
  };
}
