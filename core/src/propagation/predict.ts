import type { SlabMaterial } from '../geometry/material.ts';
import type { PathModel } from '../geometry/pathModel.ts';
import { foliageLossDb } from './foliage.ts';
import { fresnelRadiusM, groundClearanceRatio, sightHeightM } from './fresnel.ts';
import { indoorCoefficient, indoorLossDb } from './indoor.ts';
import { edgeParameter, knifeEdgeLossDb } from './knifeEdge.ts';
import { freeSpaceLossDb, twoRayLossDb, twoSlopeLossDb } from './pathLoss.ts';
import { wallLossDb, SLAB_LEAST_MHZ } from './slab.ts';
import * as phrases from './phrases.ts';

/** What stands in the way; each acts on distances beyond it. Heights are above ground. */
export type PathObstruction =
  /** With a height, what goes over its top counts when that is less. */
  | {
      readonly kind: 'slab';
      readonly atM: number;
      readonly material: SlabMaterial;
      readonly thicknessM: number;
      readonly heightM?: number;
    }
  | { readonly kind: 'foliage'; readonly fromM: number; readonly toM: number }
  | { readonly kind: 'knife-edge'; readonly atM: number; readonly heightM: number }
  /** Set by the user, so estimated; without a place it acts everywhere. */
  | { readonly kind: 'fixed-loss'; readonly atM: number | undefined; readonly lossDb: number };

export interface LinkBudget {
  readonly frequencyMHz: number;
  readonly eirpDbm: number;
  readonly receiveGainDbi: number;
  readonly requiredDbm: number;
  readonly heightsM: readonly [fixed: number, mobile: number];
  readonly model: PathModel;
  readonly obstructions: readonly PathObstruction[];
}

export interface PredictedPoint {
  /** Horizontal. */
  readonly distanceM: number;
  readonly freeSpaceDb: number;
  readonly pathLossDb: number;
  readonly obstructionDb: number;
  readonly levelDbm: number;
  readonly marginDb: number;
  /** Least clearance over ground and edges, in first-zone radii; negative where the line of sight is cut. */
  readonly fresnelClearanceRatio: number;
}

/** Level and margin at one horizontal distance; losses are on the slant ray. */
export function predictPoint(link: LinkBudget, distanceM: number): PredictedPoint {
  const { frequencyMHz, heightsM } = link;
  const freeSpaceDb = freeSpaceLossDb(frequencyMHz, Math.hypot(distanceM, heightsM[0] - heightsM[1]));
  const pathLossDb = modelLossDb(link, distanceM, freeSpaceDb);
  const obstructionDb = obstructionLossDb(link, distanceM);
  const levelDbm = link.eirpDbm + link.receiveGainDbi - pathLossDb - obstructionDb;
  return {
    distanceM,
    freeSpaceDb,
    pathLossDb,
    obstructionDb,
    levelDbm,
    marginDb: levelDbm - link.requiredDbm,
    fresnelClearanceRatio: clearanceRatio(link, distanceM),
  };
}

function modelLossDb(
  { model, frequencyMHz, heightsM }: LinkBudget,
  distanceM: number,
  freeSpaceDb: number,
): number {
  switch (model) {
    case 'free-space':
      return freeSpaceDb;
    case 'two-ray':
      return twoRayLossDb(frequencyMHz, distanceM, heightsM);
    case 'two-slope':
      return twoSlopeLossDb(frequencyMHz, distanceM, heightsM);
    case 'indoor':
      return indoorLossDb(frequencyMHz, Math.max(1, distanceM), indoorCoefficient(frequencyMHz), 0);
  }
}

/**
 * Walls add up; foliage counts by its depth in all; of several edges the largest only. The indoor model
 * holds the walls already.
 */
export function obstructionLossDb(
  {
    model,
    frequencyMHz,
    heightsM,
    obstructions,
  }: Pick<LinkBudget, 'model' | 'frequencyMHz' | 'heightsM' | 'obstructions'>,
  distanceM: number,
): number {
  let [sumDb, depthM, edgeDb] = [0, 0, 0];
  for (const o of obstructions) {
    if (o.kind === 'slab' && o.atM < distanceM)
      sumDb += model === 'indoor' ? 0 : slabOrTopDb(o, frequencyMHz, distanceM, heightsM);
    else if (o.kind === 'fixed-loss' && (o.atM ?? 0) < distanceM) sumDb += o.lossDb;
    else if (o.kind === 'foliage') depthM += Math.max(0, Math.min(distanceM, o.toM) - o.fromM);
    else if (o.kind === 'knife-edge' && o.atM < distanceM)
      edgeDb = Math.max(
        edgeDb,
        knifeEdgeLossDb(edgeParameter(frequencyMHz, o.heightM, o.atM, distanceM, heightsM)),
      );
  }
  return sumDb + foliageLossDb(frequencyMHz, depthM) + edgeDb;
}

function slabOrTopDb(
  { atM, material, thicknessM, heightM }: Extract<PathObstruction, { kind: 'slab' }>,
  frequencyMHz: number,
  distanceM: number,
  heightsM: LinkBudget['heightsM'],
): number {
  const throughDb = wallLossDb(frequencyMHz, material, thicknessM);
  return heightM === undefined || !(atM > 0)
    ? throughDb
    : Math.min(throughDb, knifeEdgeLossDb(edgeParameter(frequencyMHz, heightM, atM, distanceM, heightsM)));
}

/**
 * Least clearance of the line between the ends over ground and edges, in first-zone radii; negative where
 * it is cut.
 */
export function clearanceRatio(
  { frequencyMHz, heightsM, obstructions }: Pick<LinkBudget, 'frequencyMHz' | 'heightsM' | 'obstructions'>,
  distanceM: number,
): number {
  const edges = obstructions.flatMap((o) =>
    o.kind === 'knife-edge' && o.atM < distanceM
      ? [
          (sightHeightM(o.atM, distanceM, heightsM) - o.heightM) /
            fresnelRadiusM(frequencyMHz, o.atM, distanceM - o.atM),
        ]
      : [],
  );
  return Math.min(groundClearanceRatio(frequencyMHz, distanceM, heightsM), ...edges);
}

/**
 * The greatest of the distances up to which the margin is nowhere negative: 0 when it is so from the first,
 * undefined when it is never lost within the list. The margin can cross zero many times; what lies beyond
 * the first loss does not count.
 */
export function reachM(points: readonly PredictedPoint[]): number | undefined {
  const sorted = [...points].sort((a, b) => a.distanceM - b.distanceM);
  const lost = sorted.findIndex((p) => p.marginDb < 0);
  return lost === -1 ? undefined : (sorted[lost - 1]?.distanceM ?? 0);
}

/** What a reader must know of a prediction. */
export const predictionWarnings = ({ frequencyMHz, obstructions }: LinkBudget): string[] => [
  ...(frequencyMHz < SLAB_LEAST_MHZ && obstructions.some((o) => o.kind === 'slab')
    ? [phrases.theTableOfWallMaterialsStarts(SLAB_LEAST_MHZ, frequencyMHz)]
    : []),
  ...(obstructions.some((o) => o.kind === 'fixed-loss') ? [phrases.fixedLossesAreEstimatesSetBy] : []),
];

/**
 * Ratio of distances for a change of `changeDb` at path-loss exponent γ. Worked value: 3 dB at γ 2: 1.413.
 */
export function distanceRatio(changeDb: number, exponent: number): number {
  if (!(exponent > 0)) throw new RangeError(phrases.invalidExponent(exponent));
  return 10 ** (changeDb / (10 * exponent));
}

/** The change in dB that a ratio of distances stands for. Worked value: +8 % at γ 4: 1.337 dB. */
export const ratioInDb = (ratio: number, exponent: number): number => 10 * exponent * Math.log10(ratio);
