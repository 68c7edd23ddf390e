import { pathLengthM, type Obstruction, type Path } from '../geometry/path.ts';
import { pathPointsOf, separationAtM } from '../geometry/separation.ts';
import { crossingsAt, type Crossing } from '../geometry/sitePlan.ts';
import { crossingObstruction } from './crossing.ts';
import type { PathObstruction } from './predict.ts';
import * as phrases from './phrases.ts';

/**
 * An obstruction of a path as the propagation models want it: placed by separation, in which they compute.
 * @throws RangeError when a figure of its kind is missing.
 */
export function modelObstruction(
  path: Pick<Path, 'legs'>,
  { label, kind, atM, toM, material, thicknessM, heightM, lossDb }: Obstruction,
): PathObstruction {
  const at = separationAtM(path, atM);
  const missing = (what: string): RangeError =>
    new RangeError(`invalid obstruction ${JSON.stringify(label)}: no ${what}`);
  switch (kind) {
    case 'slab':
      if (material === undefined || thicknessM === undefined) throw missing(phrases.materialOrThickness);
      return { kind, atM: at, material, thicknessM };
    case 'foliage':
      if (toM === undefined) throw missing('end');
      return { kind, fromM: at, toM: separationAtM(path, toM) };
    case 'knife-edge':
      if (heightM === undefined) throw missing('height');
      return { kind, atM: at, heightM };
    case 'fixed-loss':
      if (lossDb === undefined) throw missing('loss');
      return { kind, atM: at, lossDb };
  }
}

/**
 * What stands between the two ends at a place of the route: the path's own obstructions, and what the
 * plan's line crosses.
 */
export interface InTheWay {
  readonly obstructions: readonly PathObstruction[];
  readonly crossings: readonly Crossing[];
}

/** The same for every place of a route; what does not change along it is worked out once. */
export function inTheWayOf(path: Path): (travelledM: number) => InTheWay {
  const stated = path.obstructions.map((o) => modelObstruction(path, o));
  const { features } = path;
  if (!features || features.length === 0) return () => ({ obstructions: stated, crossings: [] });
  const pointAt = pathPointsOf(path);
  return (travelledM) => {
    const [east, north] = pointAt(travelledM);
    const crossings = crossingsAt(features, [east, north]);
    return {
      crossings,
      obstructions: [...stated, ...crossings.flatMap((c) => crossingObstruction(c) ?? [])],
    };
  };
}

/** Where along the route, travelled, each drawn feature first comes between the ends. */
export function firstBetween(path: Path, stepM = 0.5): { readonly label: string; readonly atM: number }[] {
  const between = inTheWayOf(path);
  const first = new Map<string, { label: string; atM: number }>();
  const lengthM = pathLengthM(path);
  for (let atM = stepM; path.features && path.features.length > 0 && atM <= lengthM; atM += stepM) {
    for (const { feature } of between(atM).crossings)
      if (!first.has(feature.id)) first.set(feature.id, { label: feature.label, atM });
  }
  return [...first.values()];
}
