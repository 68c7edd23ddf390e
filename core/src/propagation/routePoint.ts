import type { Path } from '../geometry/path.ts';
import { pathPointsOf } from '../geometry/separation.ts';
import { FEATURE_DEFAULTS, type Crossing } from '../geometry/sitePlan.ts';
import { sightHeightM } from './fresnel.ts';
import { inTheWayOf, type InTheWay } from './obstructions.ts';
import { clearanceRatio, type LinkBudget } from './predict.ts';

/** No prediction nearer than this: the far field has not begun. */
export const NEAREST_M = 1;

/** What the ground alone says of a place on the route. */
export interface RoutePoint extends InTheWay {
  readonly travelledM: number;
  readonly separationM: number;
  /** From the fixed end to here, clockwise from north. */
  readonly bearingDeg: number;
  /** No wall, vehicle or edge reaches up to the line between the two ends. */
  readonly lineOfSight: boolean;
  /** Least clearance over ground and edges, in first-zone radii. */
  readonly fresnelClearanceRatio: number;
}

/** Any place of a route, for ends of these heights; what does not change along it is worked out once. */
export function routePointsOf(
  path: Path,
  { frequencyMHz, heightsM }: Pick<LinkBudget, 'frequencyMHz' | 'heightsM'>,
): (travelledM: number) => RoutePoint {
  const between = inTheWayOf(path);
  const pointAt = pathPointsOf(path);
  return (travelledM) => {
    const place = pointAt(travelledM);
    const separationM = Math.hypot(...place);
    const distanceM = Math.max(NEAREST_M, separationM);
    const { obstructions, crossings } = between(travelledM);
    const fresnelClearanceRatio = clearanceRatio({ frequencyMHz, heightsM, obstructions }, distanceM);
    return {
      travelledM,
      separationM,
      obstructions,
      crossings,
      fresnelClearanceRatio,
      bearingDeg: ((Math.atan2(place[0], place[1]) * 180) / Math.PI + 360) % 360,
      lineOfSight: fresnelClearanceRatio > 0 && !crossings.some((c) => cutsSight(c, distanceM, heightsM)),
    };
  };
}

/** Whether what is crossed stands up into the line between the ends; foliage is not seen through. */
function cutsSight({ feature, atM }: Crossing, distanceM: number, heightsM: LinkBudget['heightsM']): boolean {
  const heightM = feature.heightM ?? (feature.kind === 'vehicle' ? FEATURE_DEFAULTS.vehicleM : Infinity);
  return heightM > sightHeightM(atM, distanceM, heightsM);
}

/** "brick wall, 12.0 m". */
export const crossingText = ({ feature, atM }: Crossing): string => `${feature.label}, ${atM.toFixed(1)} m`;
