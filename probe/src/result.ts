import type { Datagrams, RoundTrips, SteadyRate } from '@urvek/core';

export const PROBE_WAYS = ['down', 'up', 'both'] as const;
export type ProbeWay = (typeof PROBE_WAYS)[number];

/** Throughput one way, and what it did to the round trip meanwhile. */
export interface LoadedRate {
  readonly rate: SteadyRate;
  readonly loaded: RoundTrips | undefined;
  /** Median under load less median at rest, ms. */
  readonly riseMs: number | undefined;
}

export interface ProbeResult {
  /** `broken`: it began, and the link went; `stopped`: somebody or the budget ended it. What was finished stands. */
  readonly outcome: 'done' | 'broken' | 'stopped' | 'no connection';
  readonly why: string | undefined;
  readonly seconds: number;
  readonly bytes: number;
  readonly idle: RoundTrips | undefined;
  readonly down: LoadedRate | undefined;
  readonly up: LoadedRate | undefined;
  readonly both:
    | { readonly down: SteadyRate; readonly up: SteadyRate; readonly loaded: RoundTrips | undefined }
    | undefined;
  readonly datagrams:
    | { readonly down: Datagrams; readonly up: Datagrams }
    /** Why there are none. */
    | { readonly none: string }
    | undefined;
  /** What was measured instead of the link; undefined: the link. */
  readonly limitedBy: string | undefined;
  /** Stopped in the middle of this way, which therefore has no figure. */
  readonly cutShort: ProbeWay | undefined;
}
