import type { DistanceMethod } from '../quantity/distanceMethod.ts';
import type { SlabMaterial } from './material.ts';
import type { Coordinate } from './geodesic.ts';
import type { PathModel } from './pathModel.ts';
import type { Feature } from './sitePlan.ts';

/** What surrounds a leg: it decides its texture on the tape and which claims it can speak to. */
export const EXPOSURES = ['open', 'wooded', 'obstructed', 'indoor'] as const;
export type Exposure = (typeof EXPOSURES)[number];

/** One straight stretch of a path. Length is what a wheel reads, along the slope. */
export interface Leg {
  readonly lengthM: number;
  /** Clockwise from north. */
  readonly bearingDeg: number;
  /** Height gained over the leg; negative downhill. */
  readonly riseM: number;
  readonly exposure: Exposure;
}

export const OBSTRUCTION_KINDS = ['fixed-loss', 'slab', 'foliage', 'knife-edge'] as const;
export type ObstructionKind = (typeof OBSTRUCTION_KINDS)[number];

/**
 * Something between the two ends for every point beyond `atM` (travelled): a loss estimated by the user, a
 * wall, foliage up to `toM`, or an edge that stands `heightM` above ground. Only the figures of its kind
 * are there.
 */
export interface Obstruction {
  readonly label: string;
  readonly kind: ObstructionKind;
  readonly atM: number;
  readonly toM?: number;
  readonly material?: SlabMaterial;
  readonly thicknessM?: number;
  readonly heightM?: number;
  readonly lossDb?: number;
}

export interface Checkpoint {
  readonly name: string;
  readonly atM: number;
  /** How its place was come by; absent: as the path's. */
  readonly method?: DistanceMethod;
}

/** A route from the fixed end, which is its zero. */
export interface Hazard {
  readonly what: string;
  readonly atM: number;
}

export interface Path {
  readonly id: string;
  readonly name: string;
  /** Which claims the path can speak to; not stated: those alone that state no condition either. */
  readonly condition: 'open' | 'obstructed' | 'unstated';
  /** Of the path loss, for predictions. */
  readonly model: PathModel;
  readonly legs: readonly Leg[];
  readonly obstructions: readonly Obstruction[];
  readonly checkpoints: readonly Checkpoint[];
  /** What must be minded while one walks, where it is: kerbs, stairs, water, machinery. */
  readonly hazardsAt?: readonly Hazard[];
  /** How the checkpoints were measured. */
  readonly distanceMethod?: DistanceMethod;
  /** What is drawn on the site's plan; it acts by the line between the two ends. */
  readonly features?: readonly Feature[];
  /**
   * What a counter (wheel, paces, odometer) had not counted when it was zeroed: travelled distance at its
   * zero.
   */
  readonly startOffsetM?: number;
  /** How well the place of the fixed end is known, standard uncertainty: common to all walks here. */
  readonly startOffsetUM?: number;
  /** Where the fixed end stands, where that is known. */
  readonly fixedEnd?: Coordinate;
}

/** What a place can be said to lie beyond: checkpoints and obstructions, by name. */
export const placedNames = ({
  checkpoints,
  obstructions,
}: Pick<Path, 'checkpoints' | 'obstructions'>): { readonly name: string; readonly atM: number }[] => [
  ...checkpoints.map(({ name, atM }) => ({ name, atM })),
  ...obstructions.map(({ label, atM }) => ({ name: label, atM })),
];

export const pathLengthM = (path: Pick<Path, 'legs'>): number =>
  path.legs.reduce((sum, leg) => sum + leg.lengthM, 0);
