import { LEAST_STEP_M, TOLERANCE_M, writeGeoJson, writeGpx, writeKml } from '@urvek/core';
import { type SetupPath, routeFileOf } from '@urvek/study';
import { download } from '../../state/download.ts';

const FORMATS = [
  { name: 'GPX', ending: 'gpx', type: 'application/gpx+xml', write: writeGpx },
  { name: 'GeoJSON', ending: 'geojson', type: 'application/geo+json', write: writeGeoJson },
  { name: 'KML', ending: 'kml', type: 'application/vnd.google-earth.kml+xml', write: writeKml },
] as const;

export function Exports({ path }: { path: SetupPath }) {
  const file = routeFileOf(path);
  return (
    <p className="mt-1 text-[0.87rem]">
      Fixed end at{' '}
      <span className="figure">
        {path.fixedEnd?.latitudeDeg.toFixed(6)}°, {path.fixedEnd?.longitudeDeg.toFixed(6)}°
      </span>
      . Fixes within {LEAST_STEP_M} m of the last, or {TOLERANCE_M} m of the line, add no length.{' '}
      {path.keepPrivate ? (
        <strong>This place is private: a file of it is for yourself.</strong>
      ) : (
        'The file holds coordinates: mind whose place it shows.'
      )}
      {FORMATS.map(({ name, ending, type, write }) => (
        <button
          key={name}
          type="button"
          className="btn-quiet ml-3"
          onClick={() => file && download(`${path.name}.${ending}`, write(file), type)}
        >
          Save as {name}
        </button>
      ))}
    </p>
  );
}
