import * as yup from 'yup';
import {
  PATH_MODELS,
  SLAB_MATERIALS,
  type LinkBudget,
  type PathObstruction,
  type SlabMaterial,
} from '@urvek/core';

const number = (what: string) =>
  yup
    .number()
    .required(`${what} is missing`)
    .typeError(`${what} is not a number`)
    .test('finite', `${what} is not a finite number`, (v) => Number.isFinite(v));
const positive = (what: string) => number(what).moreThan(0, `${what} must be above 0`);
const place = (what: string) => number(what).min(0, `${what} must not be negative`);

const kind = yup.string().required();
const slab = yup
  .object({
    kind,
    at_m: place('at_m'),
    material: yup
      .string()
      .oneOf(Object.keys(SLAB_MATERIALS) as SlabMaterial[])
      .required(),
    thickness_m: positive('thickness_m'),
  })
  .noUnknown();
const foliage = yup
  .object({
    kind,
    from_m: place('from_m'),
    to_m: place('to_m').moreThan(yup.ref('from_m'), 'to_m must lie beyond from_m'),
  })
  .noUnknown();
const knifeEdge = yup.object({ kind, at_m: positive('at_m'), height_m: place('height_m') }).noUnknown();
const fixedLoss = yup
  .object({ kind, at_m: yup.number().min(0, 'at_m must not be negative'), db: place('db') })
  .noUnknown();
const strict = { strict: true } as const;

const READERS: { readonly [K in PathObstruction['kind']]: (value: unknown) => PathObstruction } = {
  slab: (value) => {
    const o = slab.validateSync(value, strict);
    return { kind: 'slab', atM: o.at_m, material: o.material, thicknessM: o.thickness_m };
  },
  foliage: (value) => {
    const o = foliage.validateSync(value, strict);
    return { kind: 'foliage', fromM: o.from_m, toM: o.to_m };
  },
  'knife-edge': (value) => {
    const o = knifeEdge.validateSync(value, strict);
    return { kind: 'knife-edge', atM: o.at_m, heightM: o.height_m };
  },
  'fixed-loss': (value) => {
    const o = fixedLoss.validateSync(value, strict);
    return { kind: 'fixed-loss', atM: o.at_m, lossDb: o.db };
  },
};

const fileSchema = yup
  .object({
    frequency_mhz: positive('frequency_mhz').min(1).max(300_000),
    eirp_dbm: number('eirp_dbm'),
    rx_gain_dbi: number('rx_gain_dbi'),
    required_dbm: number('required_dbm'),
    heights_m: yup
      .array(positive('a height'))
      .length(2, 'heights_m holds two heights: fixed and mobile end')
      .required(),
    model: yup.string().oneOf(PATH_MODELS).required(),
    obstructions: yup.array(yup.mixed<object>().required()).default([]),
    distances_m: yup
      .array(positive('a distance'))
      .min(1, 'distances_m holds no distance')
      .max(100_000)
      .required(),
  })
  .noUnknown()
  .strict();

/** What a prediction is made from. */
export interface PredictionInput {
  readonly link: LinkBudget;
  readonly distancesM: readonly number[];
}

function readObstruction(value: object, position: number): PathObstruction {
  const { kind: said } = value as { kind?: unknown };
  const known = (Object.keys(READERS) as PathObstruction['kind'][]).find((k) => k === said);
  if (!known)
    throw new yup.ValidationError(
      `obstruction ${position}: kind must be one of ${Object.keys(READERS).join(', ')}, not ${JSON.stringify(said)}`,
    );
  try {
    return READERS[known](value);
  } catch (error) {
    throw new yup.ValidationError(`obstruction ${position}: ${(error as Error).message}`);
  }
}

/** Reads the input of a prediction. @throws yup.ValidationError naming the field. */
export function readPrediction(value: unknown): PredictionInput {
  const file = fileSchema.validateSync(value);
  return {
    link: {
      frequencyMHz: file.frequency_mhz,
      eirpDbm: file.eirp_dbm,
      receiveGainDbi: file.rx_gain_dbi,
      requiredDbm: file.required_dbm,
      heightsM: file.heights_m as [number, number],
      model: file.model,
      obstructions: file.obstructions.map(readObstruction),
    },
    distancesM: file.distances_m,
  };
}
