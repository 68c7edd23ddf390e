import { LEAST_STEP_M, TOLERANCE_M, writeGeoJson, writeGpx, writeKml } from '@urvek/core';
import { type SetupPath, routeFileOf } from '@urvek/study';
import { download } from '../../state/download.ts';
import * as phrases from './phrases.ts';

const FORMATS = [
  { name: 'GPX', ending: 'gpx', type: 'application/gpx+xml', write: writeGpx },
  { name: 'GeoJSON', ending: 'geojson', type: 'application/geo+json', write: writeGeoJson },
  { name: 'KML', ending: 'kml', type: 'application/vnd.google-earth.kml+xml', write: writeKml },
] as const;

export function Exports({ path }: { path: SetupPath }) {
  const file = routeFileOf(path);
  return (
    <p className="mt-1 text-[0.87rem]">
      {phrases.fixedEndAt}
      <span className="figure">
        {path.fixedEnd?.latitudeDeg.toFixed(6)}°, {path.fixedEnd?.longitudeDeg.toFixed(6)}°
      </span>
      {phrases.fixesWithinMOfTheLast(LEAST_STEP_M, TOLERANCE_M)}
      {path.keepPrivate ? (
        <strong>{phrases.thisPlaceIsPrivateAFile}</strong>
      ) : (
        phrases.theFileHoldsCoordinatesMindWhose
      )}
      {FORMATS.map(({ name, ending, type, write }) => (
        <button
          key={name}
          type="button"
          className="btn-quiet ml-3"
          onClick={() => file && download(`${path.name}.${ending}`, write(file), type)}
        >
          {phrases.saveAs(name)}
        </button>
      ))}
    </p>
  );
}
