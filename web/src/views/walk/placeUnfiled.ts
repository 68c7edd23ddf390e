import { newRig, type Setup, type WalkHeader } from '@urvek/contract';
import { kindOf } from '@urvek/core';
import * as phrases from './phrases.ts';

/**
 * The set-up with what was unknown added under the name "unknown", and the ids of the walk's product, rig
 * and path.
 */
export function placeUnfiled(
  setup: Setup,
  {
    productId,
    pathId,
    kindId,
    name,
    farthestM,
  }: { productId: string; pathId: string; kindId: string; name: string; farthestM: number },
): Pick<WalkHeader, 'productId' | 'rigId' | 'pathId'> & { setup: Setup } {
  const free = (wanted: string, taken: readonly string[]): string =>
    taken.includes(wanted) ? free(phrases.again2(wanted), taken) : wanted;
  const id = (): string => crypto.randomUUID().slice(0, 8);
  const unitId = id();
  const product = setup.products.find((p) => p.id === productId) ?? {
    id: id(),
    name: free(
      name || phrases.unknownProduct,
      setup.products.map((p) => p.name),
    ),
    kindId: kindOf(kindId).id,
    claims: [],
    units: [{ id: unitId, label: 'A', history: '' }],
    rigs: [{ ...newRig(id(), unitId), name: phrases.unknownRig }],
    simulatedGear: { requiredDbm: -88, bodyLossOutDb: 8, bodyLossBackDb: 2 },
  };
  const path = setup.paths.find((p) => p.id === pathId) ?? {
    id: id(),
    name: free(
      phrases.unknownPath,
      setup.paths.map((p) => p.name),
    ),
    condition: 'unstated' as const,
    model: 'two-slope' as const,
    distanceMethod: 'by eye' as const,
    hazards: '',
    permission: '',
    legs: [{ lengthM: Math.ceil(farthestM), bearingDeg: 0, riseM: 0, exposure: 'open' as const }],
    obstructions: [],
    checkpoints: [],
  };
  const known = setup.products.includes(product) && setup.paths.includes(path);
  return {
    productId: product.id,
    rigId: product.rigs[0]?.id ?? '',
    pathId: path.id,
    setup: known
      ? setup
      : {
          ...setup,
          products: setup.products.includes(product) ? setup.products : [...setup.products, product],
          paths: setup.paths.includes(path) ? setup.paths : [...setup.paths, path],
        },
  };
}
