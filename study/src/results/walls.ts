import {
  separationAtM,
  wallOf,
  withScaleError,
  type Boundary,
  type Wall,
  type WalkInterval,
} from '@urvek/core';
import type { SetupPath } from './findings.ts';
import type { Subject } from './subjects.ts';
import * as phrases from './phrases.ts';

/** Half of one product's walks or more end where its path changes. */
export interface WallFound extends Wall {
  readonly product: string;
}

/** A turn by less than this is none. */
const TURN_DEG = 10;

/** Corners, ends of legs and obstructions of a path, in separation. */
function boundariesOf(path: SetupPath): Boundary[] {
  let atM = 0;
  const legs = path.legs.slice(0, -1).flatMap((leg, i) => {
    atM += leg.lengthM;
    const next = path.legs[i + 1] as (typeof path.legs)[number];
    const turn = Math.abs(((next.bearingDeg - leg.bearingDeg + 540) % 360) - 180);
    const label = turn > TURN_DEG ? phrases.thePathTurns : phrases.itGoesOn(next.exposure);
    return [{ label, atM: separationAtM(path, atM) }];
  });
  return [...legs, ...path.obstructions.map((o) => ({ label: o.label, atM: separationAtM(path, o.atM) }))];
}

export function wallsOf({
  rows,
  subjects,
  path,
}: {
  readonly rows: readonly WalkInterval[];
  readonly subjects: readonly Subject[];
  readonly path: SetupPath;
}): WallFound[] {
  const boundaries = boundariesOf(path);
  if (boundaries.length === 0) return [];
  const stands = path.checkpoints.map((c) => separationAtM(path, c.atM)).sort((a, b) => a - b);
  return subjects.flatMap(({ name: product }) => {
    const walks = rows.filter((r) => r.product === product);
    const found = wallOf(walks, boundaries, stands);
    if (!found) return [];
    const scaleU = walks.reduce((most, w) => Math.max(most, w.scaleU ?? 0), 0);
    const median95M = found.median95M && withScaleError(found.median95M, undefined, scaleU);
    return [{ ...found, product, median95M }];
  });
}
