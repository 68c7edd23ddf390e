import { checkCoordinate, type Coordinate } from '../geometry/geodesic.ts';
import { MOST_PLACES, ROUTE_FILE_LIMIT_BYTES, RouteFileError, type RouteFile } from './gpx.ts';
import * as phrases from './phrases.ts';

type Json = Record<string, unknown>;

/** What GeoJSON may hold that is no route: passed over. */
const OTHER_GEOMETRIES: readonly unknown[] = ['MultiPoint', 'Polygon', 'MultiPolygon', 'GeometryCollection'];

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function placeOf(position: unknown, where: string): Coordinate {
  if (
    !Array.isArray(position) ||
    position.length < 2 ||
    !position.slice(0, 3).every((v) => typeof v === 'number')
  )
    throw new RouteFileError(phrases.isNotAPosition(where, JSON.stringify(position).slice(0, 200)));
  const [longitudeDeg, latitudeDeg, heightM] = position as [number, number, number | undefined];
  const place = { latitudeDeg, longitudeDeg, ...(heightM === undefined ? {} : { heightM }) };
  try {
    checkCoordinate(place);
  } catch (error) {
    throw new RouteFileError(`${where}: ${(error as RangeError).message}`);
  }
  return place;
}

/** A multiple line in a collection lies seven levels deep, with properties some more. */
const DEEPEST = 50;

/** Whether it is nested deeper than any file of routes needs. Brackets in texts count too: there are few. */
function isDeeper(text: string): boolean {
  let depth = 0;
  for (const [bracket] of text.matchAll(/[[\]{}]/g)) {
    depth += bracket === '[' || bracket === '{' ? 1 : -1;
    if (depth > DEEPEST) return true;
  }
  return false;
}

const listOf = (value: unknown, where: string): unknown[] => {
  if (!Array.isArray(value)) throw new RouteFileError(phrases.aListIsMissing(where));
  return value;
};

/**
 * Reads lines and points of GeoJSON (RFC 7946), bare or as features. @throws RouteFileError with the place
 * in the file.
 */
export function readGeoJson(text: string): RouteFile {
  if (text.length > ROUTE_FILE_LIMIT_BYTES)
    throw new RouteFileError(phrases.theFileIsLargerThanMb(ROUTE_FILE_LIMIT_BYTES / 1e6));
  if (isDeeper(text)) throw new RouteFileError(phrases.itIsNestedTooDeep);
  let root: unknown;
  try {
    root = JSON.parse(text);
  } catch (error) {
    throw new RouteFileError(phrases.notJson((error as Error).message));
  }
  const lines: { name: string; places: Coordinate[] }[] = [];
  const waypoints: (Coordinate & { name: string })[] = [];
  const features =
    isObject(root) && root.type === 'FeatureCollection' ? listOf(root.features, 'features') : [root];
  features.forEach((feature, i) => {
    const where = `feature ${i + 1}`;
    if (!isObject(feature)) throw new RouteFileError(phrases.notAnObject(where));
    const geometry = feature.type === 'Feature' ? feature.geometry : feature;
    if (!isObject(geometry)) return;
    const said = isObject(feature.properties) ? feature.properties.name : undefined;
    const name = typeof said === 'string' && said.trim() !== '' ? said.trim() : where;
    const line = (value: unknown): void =>
      void lines.push({
        name,
        places: listOf(value, where).map((p, n) => placeOf(p, `${where}, position ${n + 1}`)),
      });
    if (geometry.type === 'LineString') line(geometry.coordinates);
    else if (geometry.type === 'MultiLineString') listOf(geometry.coordinates, where).forEach(line);
    else if (geometry.type === 'Point') waypoints.push({ ...placeOf(geometry.coordinates, where), name });
    else if (!OTHER_GEOMETRIES.includes(geometry.type))
      throw new RouteFileError(
        phrases.notGeojsonItsTypeIs(where, JSON.stringify(geometry.type) ?? 'missing'),
      );
  });
  if (lines.reduce((sum, l) => sum + l.places.length, waypoints.length) > MOST_PLACES)
    throw new RouteFileError(phrases.itHoldsMoreThanPlaces(MOST_PLACES));
  return { lines: lines.filter((l) => l.places.length > 1), waypoints };
}

export function writeGeoJson({ lines, waypoints }: RouteFile): string {
  const position = (c: Coordinate): number[] => [
    c.longitudeDeg,
    c.latitudeDeg,
    ...(c.heightM === undefined ? [] : [c.heightM]),
  ];
  const feature = (name: string, geometry: object) => ({ type: 'Feature', properties: { name }, geometry });
  return JSON.stringify(
    {
      type: 'FeatureCollection',
      features: [
        ...lines.map((l) => feature(l.name, { type: 'LineString', coordinates: l.places.map(position) })),
        ...waypoints.map((w) => feature(w.name, { type: 'Point', coordinates: position(w) })),
      ],
    },
    null,
    1,
  );
}
