import { LEAST_STEP_M, TOLERANCE_M, writeGeoJson, writeGpx } from '@urvek/core';
import { type SetupPath, routeFileOf } from '@urvek/study';
import { download } from '../../state/download.ts';

export function Exports({ path }: { path: SetupPath }) {
  const save = (format: 'gpx' | 'geojson', type: string): void => {
    const file = routeFileOf(path);
    if (file) download(`${path.name}.${format}`, (format === 'gpx' ? writeGpx : writeGeoJson)(file), type);
  };
  return (
    <p className="mt-1 text-[0.85rem]">
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
      <button type="button" className="btn-quiet ml-3" onClick={() => save('gpx', 'application/gpx+xml')}>
        Save as GPX
      </button>
      <button
        type="button"
        className="btn-quiet ml-3"
        onClick={() => save('geojson', 'application/geo+json')}
      >
        Save as GeoJSON
      </button>
    </p>
  );
}
