import type { Coordinate } from '../geometry/geodesic.ts';
import type { RouteFile } from './gpx.ts';
import { writeXml } from './xml.ts';

/** "longitude,latitude,height": KML's order, height where it is known. */
const tuple = ({ longitudeDeg, latitudeDeg, heightM }: Coordinate & { readonly heightM?: number }): string =>
  [longitudeDeg, latitudeDeg, ...(heightM === undefined ? [] : [heightM])].join(',');

/** Writes KML 2.2 (OGC 12-007r2): lines and points as placemarks. */
export function writeKml({ lines, waypoints }: RouteFile): string {
  const body = {
    kml: {
      '@xmlns': 'http://www.opengis.net/kml/2.2',
      Document: {
        Placemark: [
          ...lines.map((l) => ({ name: l.name, LineString: { coordinates: l.places.map(tuple).join(' ') } })),
          ...waypoints.map((w) => ({ name: w.name, Point: { coordinates: tuple(w) } })),
        ],
      },
    },
  };
  return writeXml(body);
}
