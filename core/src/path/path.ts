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

/** Something between the two ends for every point beyond `atM` (travelled). */
export interface Obstruction {
  readonly label: string;
  readonly atM: number;
  readonly lossDb: number;
}

export interface Checkpoint {
  readonly name: string;
  readonly atM: number;
}

/** A route from the fixed end, which is its zero. */
export interface Path {
  readonly id: string;
  readonly name: string;
  /** Which claims the path can speak to. */
  readonly condition: 'open' | 'obstructed';
  readonly legs: readonly Leg[];
  readonly obstructions: readonly Obstruction[];
  readonly checkpoints: readonly Checkpoint[];
}

export const pathLengthM = (path: Pick<Path, 'legs'>): number => path.legs.reduce((sum, leg) => sum + leg.lengthM, 0);
