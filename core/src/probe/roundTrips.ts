import { median } from '../numeric/median.ts';

/** A question and when its answer came; absent: it never did. */
export interface Echo {
  readonly sentMs: number;
  readonly backMs: number | undefined;
}

export interface RoundTrips {
  readonly n: number;
  readonly medianMs: number;
  readonly p95Ms: number;
  readonly worstMs: number;
  /**
   * Median of what two answers one after the other differ by: it varies there and back, and is no jitter of one way.
   */
  readonly variationMs: number;
  /** Questions without an answer. */
  readonly unanswered: number;
  /** Longest time without any answer, ms. */
  readonly longestStallMs: number;
}

/** The value below which a share of the sorted values lies, by nearest rank. */
const nearestRank = (sorted: readonly number[], share: number): number =>
  sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)] as number;

/** @param echoes in the order of sending @returns undefined where none was answered */
export function roundTripsOf(echoes: readonly Echo[]): RoundTrips | undefined {
  const answered = echoes.flatMap(({ sentMs, backMs }) => (backMs === undefined ? [] : [{ sentMs, backMs }]));
  if (answered.length === 0) return undefined;
  const times = answered.map((e) => e.backMs - e.sentMs);
  const sorted = [...times].sort((a, b) => a - b);
  const differences = times.slice(1).map((t, i) => Math.abs(t - (times[i] as number)));
  const backs = answered.map((e) => e.backMs).sort((a, b) => a - b);
  const begun = (echoes[0] as Echo).sentMs;
  const ended = Math.max(...echoes.map((e) => e.backMs ?? e.sentMs));
  const moments = [begun, ...backs, ended];
  return {
    n: times.length,
    medianMs: median(times),
    p95Ms: nearestRank(sorted, 0.95),
    worstMs: sorted.at(-1) as number,
    variationMs: differences.length > 0 ? median(differences) : 0,
    unanswered: echoes.length - answered.length,
    longestStallMs: Math.max(...moments.slice(1).map((m, i) => m - (moments[i] as number))),
  };
}
