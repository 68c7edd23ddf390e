import type { Coordinate } from '../geometry/geodesic.ts';
import { asList, gpxRoot, placeOf, RouteFileError } from './gpx.ts';
import * as phrases from './phrases.ts';

/** A place of a track, and when it was there, by the track's own clock, ms since 1970. */
export interface TimedPlace extends Coordinate {
  readonly atMs: number;
}

/** GPX says times in UTC; some programs leave the mark of it out. */
const timeOf = (value: unknown): number =>
  typeof value !== 'string'
    ? NaN
    : Date.parse(/(Z|[+-]\d\d:?\d\d)$/.test(value.trim()) ? value : `${value.trim()}Z`);

/**
 * The places of a file's tracks that say when, in the order of time.
 * @throws RouteFileError for what is no GPX, or where no two places say when
 */
export function readGpxTrack(text: string): TimedPlace[] {
  const places = asList(gpxRoot(text).trk).flatMap((track, i) =>
    asList(track.trkseg).flatMap((segment, k) =>
      asList(segment.trkpt).flatMap((point, n): TimedPlace[] => {
        const atMs = timeOf(point.time);
        return Number.isNaN(atMs)
          ? []
          : [{ ...placeOf(point, `track ${i + 1}, segment ${k + 1}, point ${n + 1}`), atMs }];
      }),
    ),
  );
  if (places.length < 2) throw new RouteFileError(phrases.itsTracksDoNotSayWhen);
  return places.sort((a, b) => a.atMs - b.atMs);
}

/** A moment that a walk's clock, s, and a track's clock, ms, have in common. */
export interface Joined {
  readonly walkS: number;
  readonly atMs: number;
}

/** Places nearer in time than this tell nothing more of a walk, s. */
const APART_S = 1;

/** The places of a track by a walk's clock, from one moment of it to another, about one a second at the most. */
export function trackOnWalk(
  track: readonly TimedPlace[],
  { walkS, atMs }: Joined,
  fromS: number,
  toS: number,
): (Coordinate & { readonly walkS: number })[] {
  let lastS = -Infinity;
  return track.flatMap(({ atMs: placeMs, ...place }) => {
    const s = walkS + (placeMs - atMs) / 1000;
    if (s < fromS || s > toS || s - lastS < APART_S) return [];
    lastS = s;
    return [{ ...place, walkS: s }];
  });
}
