import * as yup from 'yup';
import {
  EXPOSURES,
  OBSTRUCTION_KINDS,
  SLAB_MATERIALS,
  type SlabMaterial,
  FEATURE_KINDS,
  isLine,
  DISTANCE_METHODS,
  PATH_MODELS,
  type Path,
  pathLengthM,
} from '@urvek/core';
import { finite, known, name, id, words } from './fields.ts';

export const legSchema = yup
  .object({
    lengthM: finite('Leg length').moreThan(0, 'A leg must be longer than 0 m').max(50_000),
    bearingDeg: finite('Bearing').min(0).max(360),
    riseM: finite('Rise').min(-5000).max(5000),
    exposure: yup.string().oneOf(EXPOSURES).required(),
  })
  .noUnknown()
  .test('rise', 'A leg cannot rise more than it is long', (leg) => Math.abs(leg.riseM) <= leg.lengthM);

/** What stands in the way. Each kind has its own figures; the others are left out. */
export const obstructionSchema = yup
  .object({
    label: name('Obstruction'),
    kind: yup.string().oneOf(OBSTRUCTION_KINDS).required(),
    atM: finite('Place of the obstruction').min(0),
    toM: known('End of the foliage').when('kind', {
      is: 'foliage',
      then: (s) =>
        s
          .required('Where the foliage ends is missing')
          .moreThan(yup.ref('atM'), 'Foliage must end beyond where it begins'),
    }),
    material: yup
      .string()
      .oneOf(Object.keys(SLAB_MATERIALS) as SlabMaterial[])
      .when('kind', { is: 'slab', then: (s) => s.required('Material is missing') }),
    thicknessM: known('Thickness').when('kind', {
      is: 'slab',
      then: (s) => s.required('Thickness is missing').moreThan(0, 'Thickness must be above 0 m'),
    }),
    heightM: known('Height of the edge').when('kind', {
      is: 'knife-edge',
      then: (s) => s.required('Height of the edge is missing'),
    }),
    lossDb: known('Loss').when('kind', {
      is: 'fixed-loss',
      then: (s) => s.required('Loss is missing').max(200),
    }),
  })
  .noUnknown();

/** What is drawn on the plan of the site. */
export const featureSchema = yup
  .object({
    id: id(),
    label: name('What is drawn'),
    kind: yup.string().oneOf(FEATURE_KINDS).required(),
    outline: yup
      .array(yup.tuple([finite('East').required(), finite('North').required()]).required())
      .required()
      .max(200),
    material: yup.string().oneOf(Object.keys(SLAB_MATERIALS) as SlabMaterial[]),
    thicknessM: known('Thickness'),
    heightM: known('Height'),
    lossDb: known('Loss').max(200, 'Loss must be at most 200 dB'),
  })
  .noUnknown()
  .test(
    'outline',
    'Outline',
    ({ kind, outline, label }, context) =>
      (outline ?? []).length >= (kind !== undefined && isLine(kind) ? 2 : 3) ||
      context.createError({ message: `${label}: too few places for its outline` }),
  )
  .test(
    'wall',
    'Wall',
    ({ kind, material, thicknessM, lossDb, label }, context) =>
      kind !== 'wall' ||
      lossDb !== undefined ||
      (material !== undefined && (thicknessM ?? 0) > 0) ||
      context.createError({ message: `${label}: a wall needs material and thickness, or a loss` }),
  );

export const pathSchema = yup
  .object({
    id: id(),
    name: name('Path'),
    condition: yup
      .string()
      .oneOf(['open', 'obstructed', 'unstated'] as const)
      .required(),
    legs: yup.array(legSchema).required().min(1, 'A path needs at least one leg').max(200),
    /** Where the fixed end stands, when the path was taken from coordinates. */
    fixedEnd: yup
      .object({
        latitudeDeg: finite('Latitude').min(-90).max(90),
        longitudeDeg: finite('Longitude').min(-180).max(180),
        heightM: known('Height', -500),
      })
      .noUnknown()
      .default(undefined)
      .optional(),
    model: yup.string().oneOf(PATH_MODELS).required(),
    /** How the checkpoints were measured: it decides how well a mark at one is known. */
    distanceMethod: yup.string().oneOf(DISTANCE_METHODS).required(),
    hazards: words(300),
    /** Those of them that have a place on the route. */
    hazardsAt: yup
      .array(yup.object({ what: name('Hazard'), atM: finite('Place of the hazard').min(0) }).noUnknown())
      .default(undefined)
      .optional()
      .max(100),
    permission: words(300),
    /** Coordinates and the site's name are not for publication. */
    keepPrivate: yup.boolean(),
    /** Travelled distance at which counters were zeroed. */
    startOffsetM: known('Start offset'),
    /** How well the place of the fixed end is known. */
    startOffsetUM: known('Uncertainty of the fixed end'),
    /** What the line behind the fixed end gives by cable, the least and the most that was measured, Mbit/s. */
    behindDownMbps: known('Behind it, down'),
    behindDownMostMbps: known('Behind it, down, the most'),
    behindUpMbps: known('Behind it, up'),
    behindUpMostMbps: known('Behind it, up, the most'),
    /** What it was sold as, Mbit/s. */
    planDownMbps: known('Plan, down'),
    planDownMostMbps: known('Plan, down, the most'),
    planUpMbps: known('Plan, up'),
    planUpMostMbps: known('Plan, up, the most'),
    /** What readings are taken against, and whether it stands inside the network: then no line is in between. */
    lineServer: yup.string().max(120),
    lineServerInside: yup.boolean(),
    features: yup.array(featureSchema).default(undefined).optional().max(300),
    obstructions: yup.array(obstructionSchema).required().max(200),
    checkpoints: yup
      .array(
        yup
          .object({
            name: name('Checkpoint'),
            atM: finite('Place of the checkpoint').min(0),
            method: yup.string().oneOf(DISTANCE_METHODS),
          })
          .noUnknown(),
      )
      .required()
      .max(500),
  })
  .noUnknown()
  .test('on-path', (path, context) => offPath(path as Path, (message) => context.createError({ message })));

function offPath(path: Path, refuse: (message: string) => yup.ValidationError): true | yup.ValidationError {
  const lengthM = pathLengthM(path);
  const off = [
    ...path.checkpoints.map((c) => ({ what: c.name, atM: c.atM })),
    ...path.obstructions.map((o) => ({ what: o.label, atM: o.atM })),
    ...(path.hazardsAt ?? []),
  ].find((x) => x.atM > lengthM);
  return off ? refuse(`${off.what} stands at ${off.atM} m, beyond the path's ${lengthM} m`) : true;
}
