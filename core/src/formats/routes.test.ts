import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { coordinatesOf, legsOf, placeOnRoute, routeOf } from '../geometry/fromCoordinates.ts';
import { geodesicBetween, geodesicTo, type Coordinate } from '../geometry/geodesic.ts';
import { pathLengthM } from '../geometry/path.ts';
import { seeded } from '../random/seeded.ts';
import { readGeoJson, writeGeoJson } from './geojson.ts';
import { XMLValidator } from 'fast-xml-parser';
import { readGpx, RouteFileError, writeGpx, type RouteFile } from './gpx.ts';
import { readGpxTrack, trackOnWalk } from './gpxTrack.ts';
import { writeKml } from './kml.ts';

const fixture = (name: string): string => readFileSync(new URL(`fixtures/${name}`, import.meta.url), 'utf8');
const lengthOf = (route: readonly Coordinate[]): number => pathLengthM({ legs: legsOf(route) });

describe('geodesics on WGS84', () => {
  // Worked examples of the documentation of GeographicLib: Kennedy to Heathrow, Wellington to Salamanca.
  test.each([
    [40.6, -73.8, 51.6, -0.5, 5_551_759.4],
    [-41.32, 174.81, 40.96, -5.5, 19_959_679.267],
  ])('from %d, %d to %d, %d it is %d m', (lat1, lon1, lat2, lon2, metres) => {
    expect(
      geodesicBetween({ latitudeDeg: lat1, longitudeDeg: lon1 }, { latitudeDeg: lat2, longitudeDeg: lon2 })
        .distanceM,
    ).toBeCloseTo(metres, 2);
  });

  test('there and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -80, max: 80, noNaN: true }),
        fc.double({ min: -179, max: 179, noNaN: true }),
        fc.double({ min: 0, max: 359, noNaN: true }),
        fc.double({ min: 1, max: 5000, noNaN: true }),
        (latitudeDeg, longitudeDeg, bearingDeg, distanceM) => {
          const from = { latitudeDeg, longitudeDeg };
          const back = geodesicBetween(from, geodesicTo(from, bearingDeg, distanceM));
          expect(back.distanceM).toBeCloseTo(distanceM, 3);
        },
      ),
      { numRuns: 50 },
    );
    expect(() =>
      geodesicBetween({ latitudeDeg: 91, longitudeDeg: 0 }, { latitudeDeg: 0, longitudeDeg: 0 }),
    ).toThrow('invalid latitudeDeg: 91');
  });
});

describe('a track becomes a route', () => {
  const start = { latitudeDeg: 53.1, longitudeDeg: -4.05 };
  const straight = (metres: number, stepM: number, noiseM: number): Coordinate[] => {
    const random = seeded('track', metres, stepM);
    return Array.from({ length: Math.floor(metres / stepM) + 1 }, (_, i) =>
      geodesicTo(geodesicTo(start, 60, i * stepM), 360 * random.uniform(), noiseM * random.uniform()),
    );
  };

  test('zigzag does not lengthen it', () => {
    const fixes = straight(400, 1.4, 3);
    const raw = fixes
      .slice(1)
      .reduce((sum, to, i) => sum + geodesicBetween(fixes[i] as Coordinate, to).distanceM, 0);
    expect(raw).toBeGreaterThan(600);
    expect(lengthOf(routeOf(fixes))).toBeGreaterThan(394);
    expect(lengthOf(routeOf(fixes))).toBeLessThan(408);
  });

  test('standing still does not lengthen it', () => {
    const random = seeded('standing');
    const stood = Array.from({ length: 300 }, () =>
      geodesicTo(geodesicTo(start, 60, 200), 360 * random.uniform(), 3 * random.uniform()),
    );
    const walk = straight(400, 5, 0);
    const fixes = [...walk.slice(0, 41), ...stood, ...walk.slice(41)];
    expect(Math.abs(lengthOf(routeOf(fixes)) - 400)).toBeLessThan(5);
  });

  test('corners stay; places are found on it by coordinate', () => {
    const corner = geodesicTo(start, 0, 100);
    const end = geodesicTo(corner, 90, 80);
    const route = routeOf([start, geodesicTo(start, 0, 50), corner, geodesicTo(corner, 90, 40), end]);
    expect(legsOf(route).map((l) => [Math.round(l.lengthM), Math.round(l.bearingDeg)])).toEqual([
      [100, 0],
      [80, 90],
    ]);
    const { travelledM, offM } = placeOnRoute(route, geodesicTo(geodesicTo(corner, 90, 30), 0, 6));
    expect(travelledM).toBeCloseTo(130, 1);
    expect(offM).toBeCloseTo(6, 1);
    expect(coordinatesOf({ legs: legsOf(route) }, start).at(-1)?.longitudeDeg).toBeCloseTo(
      end.longitudeDeg,
      8,
    );
  });
});

describe('files', () => {
  test.each(['track-1.0.gpx', 'route-1.1.gpx'])('%s, written by gpsbabel, loads', (name) => {
    const { lines } = readGpx(fixture(name));
    expect(lines).toHaveLength(1);
    expect(lines[0]?.places).toHaveLength(4);
    expect(lines[0]?.places[3]).toEqual({ latitudeDeg: 53.1016, longitudeDeg: -4.0456, heightM: 320 });
    expect(lengthOf(lines[0]?.places ?? [])).toBeGreaterThan(330);
  });

  test('a track says when it was where: joined by a moment, its places stand on the walk’s clock', () => {
    const point = (lat: number, time?: string): string =>
      `<trkpt lat="${lat}" lon="-3">${time === undefined ? '' : `<time>${time}</time>`}</trkpt>`;
    const points = [
      point(51.004, '2026-05-12T10:00:04.5Z'),
      point(51.002, '2026-05-12T12:00:02+02:00'),
      point(51.009),
      // No zone: GPX means UTC.
      point(51.003, '2026-05-12T10:00:02.4'),
      point(51.001, '2026-05-12T10:00:00Z'),
    ];
    const gpx = (inner: string): string =>
      `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${inner}</trkseg></trk></gpx>`;
    const track = readGpxTrack(gpx(points.join('')));
    const zeroMs = Date.UTC(2026, 4, 12, 10);
    expect(track.map((p) => (p.atMs - zeroMs) / 1000)).toEqual([0, 2, 2.4, 4.5]);
    expect(track.map((p) => p.latitudeDeg)).toEqual([51.001, 51.002, 51.003, 51.004]);
    // At 30 s of the walk it is two seconds past ten; what comes within a second of another tells nothing more.
    const on = trackOnWalk(track, { walkS: 30, atMs: zeroMs + 2000 }, 28.5, 40);
    expect(on).toEqual([
      { latitudeDeg: 51.002, longitudeDeg: -3, walkS: 30 },
      { latitudeDeg: 51.004, longitudeDeg: -3, walkS: 32.5 },
    ]);
    expect(() => readGpxTrack(gpx(point(51) + point(52)))).toThrow('do not say when');
    expect(() => readGpxTrack('<kml/>')).toThrow(RouteFileError);
  });

  const place = fc
    .record({
      latitudeDeg: fc.double({ min: -90, max: 90, noNaN: true }),
      longitudeDeg: fc.double({ min: -180, max: 180, noNaN: true }),
    })
    .map((c) => ({ latitudeDeg: c.latitudeDeg + 0, longitudeDeg: c.longitudeDeg + 0 }));
  const name = fc
    .string({ minLength: 1, maxLength: 20 })
    .filter((s) => s.trim() === s && s !== '' && !/[^\x20-\x7e]/.test(s));
  const file = fc.record({
    lines: fc.array(fc.record({ name, places: fc.array(place, { minLength: 2, maxLength: 5 }) }), {
      maxLength: 3,
    }),
    waypoints: fc.array(
      fc.tuple(place, name).map(([c, n]) => ({ ...c, name: n })),
      { maxLength: 3 },
    ),
  });

  test('what is written reads back, as GPX and as GeoJSON', () => {
    fc.assert(
      fc.property(file, (routes: RouteFile) => {
        expect(readGpx(writeGpx(routes))).toEqual(routes);
        expect(readGeoJson(writeGeoJson(routes))).toEqual(routes);
      }),
      { numRuns: 60 },
    );
  });

  test('as KML every place stands as longitude, latitude and height, in its order', () => {
    fc.assert(
      fc.property(file, (routes: RouteFile) => {
        const kml = writeKml(routes);
        expect(XMLValidator.validate(kml)).toBe(true);
        const written = [...kml.matchAll(/<coordinates>([^<]*)<\/coordinates>/g)].map(([, all = '']) =>
          all.split(' ').map((t) => t.split(',').map(Number)),
        );
        expect(written).toEqual([
          ...routes.lines.map((l) => l.places.map((p) => [p.longitudeDeg, p.latitudeDeg])),
          ...routes.waypoints.map((w) => [[w.longitudeDeg, w.latitudeDeg]]),
        ]);
      }),
      { numRuns: 60 },
    );
  });

  test.each<[string, RegExp]>([
    [
      '<?xml version="1.0"?><!DOCTYPE lolz [<!ENTITY lol "lol"><!ENTITY lol1 "&lol;&lol;">]><gpx>&lol1;</gpx>',
      /document type or entities/,
    ],
    ['<gpx><trk></gpx>', /not well-formed XML: line 1/],
    ['<kml></kml>', /no gpx element/],
    [
      '<gpx><rte><rtept lat="91" lon="0"/><rtept lat="1" lon="0"/></rte></gpx>',
      /route 1, point 1: invalid latitudeDeg: 91/,
    ],
    ['<gpx><wpt lat="x" lon="0"/></gpx>', /waypoint 1: invalid latitudeDeg: NaN/],
    ['', /XML|gpx/],
  ])('%j is refused', (text, why) => {
    expect(() => readGpx(text)).toThrow(RouteFileError);
    expect(() => readGpx(text)).toThrow(why);
  });

  test('a huge file is refused before it is parsed; GeoJSON says where it is wrong', () => {
    // Nested deeper than any file of routes, which parsers follow to the end of their stack.
    const deep = `<gpx>${'<trk>'.repeat(20_000)}${'</trk>'.repeat(20_000)}</gpx>`;
    expect(() => readGpx(deep)).toThrow('nested too deep');
    expect(() => readGeoJson('['.repeat(100_000) + ']'.repeat(100_000))).toThrow('nested too deep');
    expect(() => readGpx(`<gpx>${'<wpt/>'.repeat(200_001)}</gpx>`)).toThrow('more than 200000 places');
    expect(() => readGpx('x'.repeat(100_000_000))).toThrow('larger than 20 MB');
    expect(() => readGeoJson('{"type":"LineString","coordinates":[[0,0],[0,95]]}')).toThrow(
      'feature 1, position 2: invalid latitudeDeg: 95',
    );
    expect(() => readGeoJson('{"type":"LineString","coordinates":[["0",0]]}')).toThrow('is not a position');
    expect(() => readGeoJson('{')).toThrow('not JSON');
    expect(readGeoJson('{"type":"Polygon","coordinates":[]}').lines).toEqual([]);
  });
});
