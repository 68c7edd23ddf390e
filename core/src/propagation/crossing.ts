import { type Crossing, FEATURE_DEFAULTS } from '../geometry/sitePlan.ts';
import type { PathObstruction } from './predict.ts';

/** A crossing as the propagation models want it; undefined for what lets everything through. */
export function crossingObstruction({ feature, atM, depthM }: Crossing): PathObstruction | undefined {
  const { kind, material, thicknessM, heightM, lossDb } = feature;
  switch (kind) {
    case 'wall':
      if (lossDb !== undefined) return { kind: 'fixed-loss', atM, lossDb };
      return material === undefined || thicknessM === undefined
        ? undefined
        : { kind: 'slab', atM, material, thicknessM, heightM };
    case 'hedge':
    case 'trees':
      return { kind: 'foliage', fromM: atM, toM: atM + depthM };
    case 'vehicle':
      return atM > 0
        ? { kind: 'knife-edge', atM: atM + depthM / 2, heightM: heightM ?? FEATURE_DEFAULTS.vehicleM }
        : undefined;
    case 'floor':
      return { kind: 'fixed-loss', atM: 0, lossDb: lossDb ?? FEATURE_DEFAULTS.floorDb };
    case 'steps':
      return undefined;
  }
}
