import {
  legsOf,
  pathLengthM,
  placeOnRoute,
  readGeoJson,
  readGpx,
  routeOf,
  RouteFileError,
} from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import * as phrases from './phrases.ts';

/** A waypoint farther from the route than this is not on it. */
const ON_ROUTE_M = 25;
/** Of a file with many lines, so many become paths. */
const MOST_PATHS = 8;

/** The paths in a GPX or GeoJSON file. @throws RouteFileError in words for the user. */
export function pathsFromFile(name: string, text: string): SetupPath[] {
  const file = /\.(geo)?json$/i.test(name) ? readGeoJson(text) : readGpx(text);
  if (file.lines.length === 0) throw new RouteFileError(phrases.thereIsNoTrackRouteOr);
  return file.lines.slice(0, MOST_PATHS).map((line): SetupPath => {
    const route = routeOf(line.places);
    const legs = legsOf(route);
    if (legs.length === 0) throw new RouteFileError(phrases.leadsNowhereAllItsPlacesAre(line.name));
    const lengthM = pathLengthM({ legs });
    const checkpoints = file.waypoints.flatMap((w) => {
      const { travelledM, offM } = placeOnRoute(route, w);
      return offM <= ON_ROUTE_M
        ? [{ name: w.name, atM: Math.min(lengthM, Math.round(travelledM * 10) / 10) }]
        : [];
    });
    return {
      id: crypto.randomUUID().slice(0, 8),
      name: line.name,
      condition: 'open',
      model: 'two-slope',
      distanceMethod: 'map',
      hazards: '',
      permission: '',
      fixedEnd: route[0],
      legs,
      obstructions: [],
      checkpoints: checkpoints.sort((a, b) => a.atM - b.atM),
    };
  });
}
