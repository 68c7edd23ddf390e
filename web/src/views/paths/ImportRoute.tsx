import { ROUTE_FILE_LIMIT_BYTES } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { FilePick } from '../../components/FilePick.tsx';

/** Routes over coordinates, from GPX or GeoJSON. */
export const ImportRoute = ({ onPaths }: { onPaths: (paths: SetupPath[]) => void }) => (
  <FilePick
    label="Import a route"
    hint="Import a route from a GPX or GeoJSON file"
    accept=".gpx,.geojson,.json"
    kind="routes"
    limitBytes={ROUTE_FILE_LIMIT_BYTES}
    kept="The paths are as they were; choose another file."
    take={onPaths}
  />
);
