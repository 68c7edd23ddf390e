import { mean, standardDeviation } from '../../numeric/moments.ts';
import { studentQuantile } from '../../numeric/student.ts';
import * as phrases from './phrases.ts';

export const LATENCY_METHODS = ['frames', 'filmed clock'] as const;
export type LatencyMethod = (typeof LATENCY_METHODS)[number];

/** A latency with its 95 % half-width, s, and the resolution of its method. */
export interface Latency {
  readonly latencyS: number;
  /**
   * Half-width of the 95 % interval: the error of two quantised ends, and the scatter of the readings in
   * quadrature where there are several.
   */
  readonly halfWidthS: number;
  readonly resolutionS: number;
  readonly readings: number;
}

/** A measurement that cannot say what it is asked. */
export class LatencyRefused extends Error {}

/**
 * Two ends, each quantised to a step (rectangular, JCGM 100, 4.3.7, from memory), differ by a triangular error
 * within ± one step: 95 % of it lies within 1 − √0.05 of the step, never beyond it.
 */
const OF_TWO_ENDS = 1 - Math.sqrt(0.05);

function withScatter(values: readonly number[], resolutionS: number, baselineS: number): Latency {
  const n = values.length;
  const ofResolution = OF_TWO_ENDS * resolutionS;
  const ofScatter = n > 1 ? (studentQuantile(0.975, n - 1) * standardDeviation(values)) / Math.sqrt(n) : 0;
  return {
    latencyS: mean(values) - baselineS,
    halfWidthS: Math.hypot(ofScatter, ofResolution),
    resolutionS,
    readings: n,
  };
}

/**
 * Frames counted between an act and its picture: frame count × frame time, each end known to half a frame,
 * so that one count is good to ± one frame. At 24 fps a frame lasts 41.667 ms.
 * @throws RangeError for a rate or count that is none.
 */
export function latencyOfFrames(counts: readonly number[], framesPerS: number, baselineS = 0): Latency {
  if (!(framesPerS > 0)) throw new RangeError(phrases.invalidFramespers(framesPerS));
  if (counts.length === 0) throw new RangeError(phrases.invalidCountsNone);
  const bad = counts.find((c) => !(c >= 0));
  if (bad !== undefined) throw new RangeError(phrases.invalidCount(bad));
  return withScatter(
    counts.map((c) => c / framesPerS),
    1 / framesPerS,
    baselineS,
  );
}

export interface ClockReading {
  /** The clock itself, and the clock as the screen shows it, in one picture, s. */
  readonly clockS: number;
  readonly screenS: number;
}

export interface ClockChain {
  /** The same chain wired, s. */
  readonly baselineS: number;
  /** Refresh of the clock's screen and of the far screen, Hz. */
  readonly refreshHz: number;
}

/**
 * A filmed clock: the difference of two readings in one picture, less the wired baseline of the same chain.
 * A screen shows the past by up to one refresh at each end.
 * @throws LatencyRefused where the chain's own delay and refresh exceed what is to be measured.
 */
export function latencyOfClock(
  readings: readonly ClockReading[],
  { baselineS, refreshHz }: ClockChain,
): Latency {
  if (!(refreshHz > 0)) throw new RangeError(phrases.invalidRefreshhz(refreshHz));
  if (readings.length === 0) throw new RangeError(phrases.invalidReadingsNone);
  const found = withScatter(
    readings.map((r) => r.clockS - r.screenS),
    1 / refreshHz,
    baselineS,
  );
  const own = baselineS + found.resolutionS;
  if (found.latencyS < own)
    throw new LatencyRefused(
      phrases.theChainsOwnMsWiredBaseline((1000 * own).toFixed(0), (1000 * found.latencyS).toFixed(0)),
    );
  return found;
}

/** Seconds as ms and as frames at a rate. */
export const inFrames = (seconds: number, framesPerS: number): number => seconds * framesPerS;
