import { EMPTY_SETUP, newRig, type Setup } from '@urvek/contract';

/** All that a quick comparison asks. */
export interface QuickComparison {
  readonly kindId: string;
  readonly names: readonly string[];
  /** Length of the path, m: where it ends, not how far anything reaches. */
  readonly lengthM: number;
  readonly walksEach: number;
}

/** Posts of the path: so many, evenly spaced, the last at its end. */
const POSTS = 10;

/** Kit, one straight path with posts, and plan from a few answers; all else is not stated. */
export function quickSetup(
  { kindId, names, lengthM, walksEach }: QuickComparison,
  newId: () => string,
): Setup {
  if (!(lengthM > 0 && lengthM < Infinity)) throw new RangeError(`invalid lengthM: ${lengthM}`);
  return {
    ...EMPTY_SETUP,
    products: names.map((name) => {
      const unitId = newId();
      return {
        id: newId(),
        name,
        kindId,
        claims: [],
        units: [{ id: unitId, label: 'A', history: '' }],
        rigs: [newRig(newId(), unitId)],
        simulatedGear: { requiredDbm: -88, bodyLossOutDb: 8, bodyLossBackDb: 2 },
      };
    }),
    paths: [
      {
        id: newId(),
        name: 'The path',
        condition: 'unstated',
        model: 'two-slope',
        distanceMethod: 'by eye',
        hazards: '',
        permission: '',
        legs: [{ lengthM, bearingDeg: 0, riseM: 0, exposure: 'open' }],
        obstructions: [],
        checkpoints: Array.from({ length: POSTS }, (_, i) => ({
          name: `post ${i + 1}`,
          atM: i + 1 === POSTS ? lengthM : Math.round((lengthM * (i + 1) * 10) / POSTS) / 10,
        })),
      },
    ],
    plan: { ...EMPTY_SETUP.plan, walksEach },
  };
}
