import { pathLengthM, separationAtM, type Path } from '@urvek/core';
import { drawnObstructions } from '../plan/planScene.ts';
import type { TapeGround } from './tape.ts';

/** The ground by travelled distance. */
export function travelledGround(path: Path): TapeGround {
  let at = 0;
  return {
    lengthM: pathLengthM(path),
    legs: path.legs.map((leg) => ({ fromM: at, toM: (at += leg.lengthM), exposure: leg.exposure })),
    obstructions: [...path.obstructions, ...drawnObstructions(path)],
    checkpoints: path.checkpoints,
    hazards: path.hazardsAt ?? [],
  };
}

/** The same by separation, in which range is stated; on a straight path the two are one. */
export function separationGround(path: Path): TapeGround {
  const ground = travelledGround(path);
  const to = (m: number): number => separationAtM(path, m);
  const legs = ground.legs.map((leg) => ({
    ...leg,
    fromM: Math.min(to(leg.fromM), to(leg.toM)),
    toM: Math.max(to(leg.fromM), to(leg.toM)),
  }));
  return {
    lengthM: Math.max(...legs.map((l) => l.toM)),
    legs,
    obstructions: ground.obstructions.map((o) => ({ ...o, atM: to(o.atM) })),
    checkpoints: ground.checkpoints.map((c) => ({ ...c, atM: to(c.atM) })),
    hazards: ground.hazards?.map((h) => ({ ...h, atM: to(h.atM) })),
  };
}
