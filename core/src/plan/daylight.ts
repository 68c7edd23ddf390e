import { getTimes } from 'suncalc';
import type { Coordinate } from '../geometry/geodesic.ts';
import * as phrases from './phrases.ts';

/**
 * Sunrise and sunset at a place on a day, UTC instants in ms; absent where the sun does not cross the
 * horizon that day.
 */
export interface Daylight {
  readonly sunriseMs: number | undefined;
  readonly sunsetMs: number | undefined;
}

/**
 * Daylight of a site on a calendar day ("2026-05-12"), reckoned at its solar noon (suncalc, after the
 * formulas of J. Meeus, Astronomical Algorithms).
 * @throws RangeError for what is no day.
 */
export function daylight(day: string, { latitudeDeg, longitudeDeg }: Coordinate): Daylight {
  const noon = new Date(`${day}T12:00:00Z`);
  if (Number.isNaN(noon.getTime())) throw new RangeError(phrases.invalidDay(JSON.stringify(day)));
  const { sunrise, sunset } = getTimes(noon, latitudeDeg, longitudeDeg);
  return { sunriseMs: sunrise?.getTime(), sunsetMs: sunset?.getTime() };
}
