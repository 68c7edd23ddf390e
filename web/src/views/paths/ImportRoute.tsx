import { ROUTE_FILE_LIMIT_BYTES } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { FilePick } from '../../components/FilePick.tsx';
import * as phrases from './phrases.ts';

/** Routes over coordinates, from GPX or GeoJSON. */
export const ImportRoute = ({ onPaths }: { onPaths: (paths: SetupPath[]) => void }) => (
  <FilePick
    label={phrases.importARoute}
    hint={phrases.importARouteFromAGpx}
    accept=".gpx,.geojson,.json"
    kind="routes"
    limitBytes={ROUTE_FILE_LIMIT_BYTES}
    kept={phrases.thePathsAreAsTheyWere}
    take={onPaths}
  />
);
