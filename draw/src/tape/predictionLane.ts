import { SHADOWING_SD_DB, Z90, type PathPrediction } from '@urvek/core';
import type { Lane } from './tape.ts';
import * as phrases from './phrases.ts';

/** Points enough for a picture. */
const MOST_POINTS = 400;

/** A predicted margin along the route: the curve, its shadowing, and where each event is expected. */
export function predictionLane(id: string, label: string, { points, events }: PathPrediction): Lane {
  const every = Math.ceil(points.length / MOST_POINTS);
  const highest = Math.max(...points.map((p) => p.marginDb));
  return {
    id,
    label,
    note: phrases.predictedMargin,
    title: phrases.predictedMarginAlongTheRoute(label),
    height: 96,
    curve: {
      points: points.filter((_, i) => i % every === 0).map((p) => ({ atM: p.travelledM, value: p.marginDb })),
      band: Z90 * SHADOWING_SD_DB,
      least: -20,
      most: Math.min(40, Math.max(20, highest)),
      marks: events.map((e) => ({ ...e.travelled, label: e.criterion })),
    },
  };
}
