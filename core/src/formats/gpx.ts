import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { checkCoordinate, type Coordinate } from '../geometry/geodesic.ts';
import { writeXml } from './xml.ts';
import * as phrases from './phrases.ts';

/** A file of routes: lines of places, and named places apart. */
export interface RouteFile {
  readonly lines: readonly { readonly name: string; readonly places: readonly Coordinate[] }[];
  readonly waypoints: readonly (Coordinate & { readonly name: string })[];
}

/** A file that is not of its format, or not safe to read. */
export class RouteFileError extends Error {}

/** A day's track of one fix a second is 15 MB. */
export const ROUTE_FILE_LIMIT_BYTES = 20_000_000;

/** Two days of one place a second. */
export const MOST_PLACES = 200_000;
/** A point of a track lies four elements deep, with extensions some more. */
const DEEPEST = 50;

/** Whether elements are nested deeper than any file of routes needs: before anything is built from them. */
function isDeeper(text: string): boolean {
  let depth = 0;
  for (const [tag, closing] of text.matchAll(/<(\/?)[A-Za-z_][^>]*>/g)) {
    if (closing) depth--;
    else if (!tag.endsWith('/>') && ++depth > DEEPEST) return true;
  }
  return false;
}

export const asList = (value: unknown): Record<string, unknown>[] =>
  (Array.isArray(value) ? value : value === undefined || value === '' ? [] : [value]) as Record<
    string,
    unknown
  >[];

export function placeOf(element: Record<string, unknown>, what: string): Coordinate {
  const number = (value: unknown): number =>
    typeof value === 'string' && value.trim() !== '' ? Number(value) : Number.NaN;
  const height = number(element.ele);
  const place = {
    latitudeDeg: number(element['@lat']),
    longitudeDeg: number(element['@lon']),
    ...(Number.isFinite(height) ? { heightM: height } : {}),
  };
  try {
    checkCoordinate(place);
  } catch (error) {
    throw new RouteFileError(`${what}: ${(error as RangeError).message}`);
  }
  return place;
}

const nameOf = (element: Record<string, unknown>, otherwise: string): string =>
  typeof element.name === 'string' && element.name.trim() !== '' ? element.name.trim() : otherwise;

/**
 * The gpx element of a file of GPX 1.0 or 1.1. Document types and entities are refused, not expanded.
 * @throws RouteFileError saying what is wrong, with its line where the parser knows it.
 */
export function gpxRoot(text: string): Record<string, unknown> {
  if (text.length > ROUTE_FILE_LIMIT_BYTES)
    throw new RouteFileError(phrases.theFileIsLargerThanMb(ROUTE_FILE_LIMIT_BYTES / 1e6));
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) throw new RouteFileError(phrases.theFileDeclaresADocumentType);
  if ((text.match(/<(trkpt|rtept|wpt)\b/g) ?? []).length > MOST_PLACES)
    throw new RouteFileError(phrases.itHoldsMoreThanPlaces(MOST_PLACES));
  if (isDeeper(text)) throw new RouteFileError(phrases.itsElementsAreNestedTooDeep);
  const valid = XMLValidator.validate(text);
  if (valid !== true) throw new RouteFileError(phrases.notWellFormedXmlLine(valid.err.line, valid.err.msg));
  const root = (
    new XMLParser({
      ignoreAttributes: false,
      attributeNamePrefix: '@',
      parseTagValue: false,
      processEntities: true,
      htmlEntities: false,
      removeNSPrefix: true,
    }).parse(text) as { gpx?: unknown }
  ).gpx;
  if (typeof root !== 'object' || root === null) throw new RouteFileError(phrases.notAGpxFileThereIs);
  return root as Record<string, unknown>;
}

/**
 * Reads tracks (each segment a line), routes and waypoints.
 * @throws RouteFileError saying what is wrong
 */
export function readGpx(text: string): RouteFile {
  const { trk, rte, wpt } = gpxRoot(text);
  const tracks = asList(trk).flatMap((track, i) =>
    asList(track.trkseg).map((segment, k) => ({
      name: nameOf(track, `track ${i + 1}`),
      places: asList(segment.trkpt).map((p, n) =>
        placeOf(p, `track ${i + 1}, segment ${k + 1}, point ${n + 1}`),
      ),
    })),
  );
  const routes = asList(rte).map((route, i) => ({
    name: nameOf(route, `route ${i + 1}`),
    places: asList(route.rtept).map((p, n) => placeOf(p, `route ${i + 1}, point ${n + 1}`)),
  }));
  return {
    lines: [...tracks, ...routes].filter((l) => l.places.length > 1),
    waypoints: asList(wpt).map((w, i) => ({
      ...placeOf(w, `waypoint ${i + 1}`),
      name: nameOf(w, `waypoint ${i + 1}`),
    })),
  };
}

/** Writes GPX 1.1: lines as routes. */
export function writeGpx({ lines, waypoints }: RouteFile): string {
  const place = (c: Coordinate & { name?: string }) => ({
    '@lat': String(c.latitudeDeg),
    '@lon': String(c.longitudeDeg),
    ...(c.heightM === undefined ? {} : { ele: String(c.heightM) }),
    ...(c.name === undefined ? {} : { name: c.name }),
  });
  const body = {
    gpx: {
      '@version': '1.1',
      '@creator': 'Urvek',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      wpt: waypoints.map(place),
      rte: lines.map((l) => ({ name: l.name, rtept: l.places.map(place) })),
    },
  };
  return writeXml(body);
}
