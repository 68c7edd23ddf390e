import { Z90 } from '../numeric/normal.ts';
import { pathLengthM, type Path } from '../geometry/path.ts';
import type { OutwardCriterion } from '../grade/criterion.ts';
import { predictionWarnings, predictPoint, type LinkBudget } from './predict.ts';
import { crossingText, NEAREST_M, routePointsOf, type RoutePoint } from './routePoint.ts';
import * as phrases from './phrases.ts';

/** The link without what belongs to the path. */
export type PathLink = Omit<LinkBudget, 'model' | 'obstructions'>;

/**
 * Margin, dB, below which each outward event is expected of a digital link: it has a short way from first
 * artefacts to silence (common practice; an assumption, named with the prediction).
 */
export const EVENT_MARGIN_DB = {
  'first artefact': 8,
  'first unusable': 3,
  'first dropout': 0,
} as const satisfies Partial<Record<OutwardCriterion, number>>;
export type PredictedCriterion = keyof typeof EVENT_MARGIN_DB;

/** Shadowing that a prediction reckons with, standard deviation in dB (common practice, out of doors). */
export const SHADOWING_SD_DB = 4;
/** 10 % of places are worse, or better, by this many standard deviations. */

export interface PathMargin extends RoutePoint {
  readonly marginDb: number;
}

/**
 * Between which separations an event is expected: `lowM` for the worst tenth of places, absent when not on
 * this path.
 */
export interface PredictedEvent {
  readonly criterion: PredictedCriterion;
  readonly lowM: number | undefined;
  readonly medianM: number | undefined;
  readonly highM: number | undefined;
  /** The same ends along the path: on a bent one they are not the separations. */
  readonly travelled: { readonly lowM: number | undefined; readonly highM: number | undefined };
}

export interface PathPrediction {
  readonly points: readonly PathMargin[];
  readonly events: readonly PredictedEvent[];
  /** Where and why it should break first; absent when it should hold to the end. */
  readonly breaks: { readonly travelledM: number; readonly because: string } | undefined;
  readonly warnings: readonly string[];
}

/** Margin along a route in steps of `stepM`, with what is expected of it. */
export function predictPath(path: Path, link: PathLink, stepM = 0.5): PathPrediction {
  const at = routePointsOf(path, link);
  const budget = ({ separationM, obstructions }: RoutePoint): number =>
    predictPoint({ ...link, model: path.model, obstructions }, Math.max(NEAREST_M, separationM)).marginDb;
  const points = Array.from({ length: Math.floor(pathLengthM(path) / stepM) }, (_, i): PathMargin => {
    const point = at((i + 1) * stepM);
    return { ...point, marginDb: budget(point) };
  });
  const firstBelow = (db: number): PathMargin | undefined => points.find((p) => p.marginDb < db);
  const events = (Object.keys(EVENT_MARGIN_DB) as PredictedCriterion[]).map((criterion): PredictedEvent => {
    const needed = EVENT_MARGIN_DB[criterion];
    const [low, median, high] = [Z90, 0, -Z90].map((share) => firstBelow(needed + share * SHADOWING_SD_DB));
    return {
      criterion,
      lowM: low?.separationM,
      medianM: median?.separationM,
      highM: high?.separationM,
      travelled: { lowM: low?.travelledM, highM: high?.travelledM },
    };
  });
  const lost = firstBelow(0);
  return {
    points,
    events,
    breaks: lost && { travelledM: lost.travelledM, because: reason(path, points, lost, stepM) },
    warnings: predictionWarnings({
      ...link,
      model: path.model,
      obstructions: points.at(-1)?.obstructions ?? [],
    }),
  };
}

/** The obstruction just passed, what has just come between the ends, or distance alone. */
function reason(path: Path, points: readonly PathMargin[], lost: PathMargin, stepM: number): string {
  const passed = path.obstructions.filter(
    (o) =>
      o.atM < lost.travelledM &&
      (o.kind === 'foliage' ? lost.travelledM <= (o.toM ?? 0) + stepM : lost.travelledM - o.atM <= 2 * stepM),
  );
  const nearest = passed.at(-1);
  if (nearest) return `${nearest.label}, ${Math.round(nearest.atM)} m`;
  const index = points.indexOf(lost);
  const ago = points[index - Math.round(2 / stepM)];
  const fresh = lost.crossings.filter(
    (c) => !ago?.crossings.some((before) => before.feature.id === c.feature.id),
  );
  if (fresh.length > 0) return fresh.map(crossingText).join('; ');
  return ago && ago.marginDb - lost.marginDb > 6
    ? phrases.theGroundsReflectionCancelsTheDirect
    : phrases.distanceAlone;
}
