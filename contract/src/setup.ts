import {
  ANTENNA_PLACES,
  CLAIM_FORMS,
  CRITERIA,
  DISTANCE_METHODS,
  EXPOSURES,
  FEATURE_KINDS,
  INTERFERENCE_TESTS,
  isLine,
  kindOf,
  KINDS,
  OBSTRUCTION_KINDS,
  parseClaim,
  PATH_MODELS,
  pathLengthM,
  SLAB_MATERIALS,
  type ClaimForm,
  type Criterion,
  type Path,
  type SlabMaterial,
} from '@urvek/core';
import * as yup from 'yup';
import { finite, id, known, name, words } from './fields.ts';
import {
  acknowledgedSchema,
  costSchema,
  latencySchema,
  needSchema,
  quotedSchema,
  reportSchema,
} from './judging.ts';

const CLAIM_EXAMPLE: Readonly<Record<ClaimForm, string>> = {
  distance: 'write a distance with its unit, as in "100 m" or "328 ft"',
  ratio: 'write a ratio, as in "2×" or "8 % farther"',
  throughput: 'write a throughput, as in "300 Mbit/s"',
  latency: 'write a time, as in "50 ms"',
};

function readable(form: ClaimForm, entered: string | undefined): boolean {
  try {
    return parseClaim(form, entered ?? '').value > 0;
  } catch {
    return false;
  }
}

export const claimSchema = yup
  .object({
    id: id(),
    form: yup.string().oneOf(CLAIM_FORMS).required(),
    /** As people write it, unit and all; kept so, and converted when used. */
    entered: yup.string().required('Claim is missing').max(40),
    /** The product that a ratio is against. */
    against: yup.string().max(64),
    upTo: yup.boolean().required(),
    condition: yup
      .string()
      .oneOf(['open', 'obstructed', 'unstated'] as const)
      .required(),
    source: yup.string().max(200).defined(),
  })
  .noUnknown()
  .test(
    'readable',
    'Claim',
    ({ form, entered }, context) =>
      readable(form, entered) ||
      context.createError({ path: `${context.path}.entered`, message: `Claim: ${CLAIM_EXAMPLE[form]}` }),
  );

export const unitSchema = yup.object({ id: id(), label: name('Unit'), history: words(500) }).noUnknown();

export const rigSchema = yup
  .object({
    id: id(),
    name: name('Rig'),
    unitFixedId: id(),
    unitMobileId: id(),
    channel: words(),
    widthMHz: known('Channel width'),
    powerMw: known('Power'),
    gain: words(),
    squelch: words(),
    firmware: words(),
    antenna: words(),
    antennaPlace: yup.string().oneOf(ANTENNA_PLACES).required(),
    antennaGainDbi: known('Antenna gain', -50),
    feederLossDb: known('Feeder loss'),
    orientation: words(),
    bodyPosition: words(),
    bodyLossDb: known('Body loss'),
    heightFixedM: finite('Height of the fixed end')
      .moreThan(0, 'Height of the fixed end must be above 0 m')
      .max(200),
    heightMobileM: finite('Height of the mobile end')
      .moreThan(0, 'Height of the mobile end must be above 0 m')
      .max(200),
    cables: words(),
    playoutDelayS: finite('Playout delay').min(0).max(30),
    batteryWh: known('Battery'),
    loadW: known('Load').moreThan(0, 'Load must be above 0 W'),
    batteryV: known('Battery voltage'),
    inputMinV: known('Input, least'),
    inputMaxV: known('Input, most'),
  })
  .noUnknown();

/** What a simulated stand-in of the product does; invented, and used for nothing else. */
export const standInSchema = yup
  .object({
    requiredDbm: finite('Level needed').min(-140).max(0),
    bodyLossOutDb: finite('Body loss out').min(0).max(60),
    bodyLossBackDb: finite('Body loss back').min(0).max(60),
  })
  .noUnknown();

export const productSchema = yup
  .object({
    id: id(),
    name: name('Product'),
    kindId: yup
      .string()
      .oneOf(KINDS.map((k) => k.id))
      .required(),
    bandMHz: finite('Band').min(1, 'Band is in MHz').max(300_000),
    powerMw: finite('Power').moreThan(0, 'Power must be above 0 mW').max(1e6),
    /** What the maker says the receiver needs; a prediction wants it. */
    sensitivityDbm: known('Level needed', -180),
    claims: yup.array(claimSchema).required().max(20),
    units: yup.array(unitSchema).required().min(1, 'A product needs at least one unit').max(20),
    rigs: yup.array(rigSchema).required().min(1, 'A product needs at least one rig').max(20),
    standIn: standInSchema.required(),
    /** What it costs, and everything needed to reach its range. */
    costs: yup.array(costSchema).default(undefined).optional().max(30),
  })
  .noUnknown();

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
      .oneOf(['open', 'obstructed'] as const)
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
    permission: words(300),
    /** Coordinates and the site's name are not for publication. */
    keepPrivate: yup.boolean(),
    /** Travelled distance at which counters were zeroed. */
    startOffsetM: known('Start offset'),
    features: yup.array(featureSchema).default(undefined).optional().max(300),
    obstructions: yup.array(obstructionSchema).required().max(200),
    checkpoints: yup
      .array(
        yup.object({ name: name('Checkpoint'), atM: finite('Place of the checkpoint').min(0) }).noUnknown(),
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
  ].find((x) => x.atM > lengthM);
  return off ? refuse(`${off.what} stands at ${off.atM} m, beyond the path's ${lengthM} m`) : true;
}

/** One criterion for all, or that of each kind of product. */
export const WANTED_CRITERIA = ['by kind', ...CRITERIA] as const;
export type WantedCriterion = (typeof WANTED_CRITERIA)[number];

export const criterionFor = (wanted: WantedCriterion, kindId: string): Criterion =>
  wanted === 'by kind' ? kindOf(kindId).claimCriterion : wanted;

/** What else is on the air at a site, before or after the walks, at one end. */
export const surveyRowSchema = yup
  .object({
    when: yup
      .string()
      .oneOf(['before', 'after'] as const)
      .required(),
    end: yup
      .string()
      .oneOf(['fixed', 'mobile'] as const)
      .required(),
    frequencyMHz: finite('Frequency').moreThan(0, 'Frequency must be above 0 MHz').max(300_000),
    levelDbm: finite('Level').min(-200).max(100),
    what: words(120),
  })
  .noUnknown();

/** A cabled or shielded test with interference: its result is a ratio of wanted to unwanted, never a range. */
export const interferenceSchema = yup
  .object({
    id: id(),
    label: name('Source'),
    test: yup.string().oneOf(INTERFERENCE_TESTS).required(),
    frequencyMHz: finite('Frequency').moreThan(0, 'Frequency must be above 0 MHz').max(300_000),
    sourceDbm: finite('Source').min(-200).max(60),
    sweep: words(120),
    duty: finite('Duty').moreThan(0, 'Duty is a share above 0').max(1, 'Duty is a share up to 1'),
    toFixed: finite('To the fixed end').moreThan(0, 'To the fixed end must be above 0'),
    toMobile: finite('To the mobile end').moreThan(0, 'To the mobile end must be above 0'),
    wantedAtFixedDbm: known('Wanted at the fixed end', -200),
    wantedAtMobileDbm: known('Wanted at the mobile end', -200),
  })
  .noUnknown();

export const planSchema = yup
  .object({
    walksEach: finite('Walks of each product').integer().min(0).max(100),
    criterion: yup.string().oneOf(WANTED_CRITERIA).required(),
    /** The ratio of distances worth telling apart, and the spread of walks reckoned with (s.d. of ln distance). */
    ratio: finite('Ratio').moreThan(1, 'A ratio worth telling is above 1').max(100),
    sigma: finite('Spread').moreThan(0, 'Spread must be above 0').max(3),
    startTime: yup
      .string()
      .required()
      .matches(/^([01]?\d|2[0-3]):[0-5]\d$/, 'Write the start as 09:30'),
    setUpMin: finite('Set-up').min(0).max(600),
    /** Who is where, and by which second way they can call. */
    atFixedEnd: words(),
    atMobileEnd: words(),
    secondChannel: words(),
    /** Rigs and paths that take part; absent: the first rig of every product, and every path. */
    rigIds: yup.array(id()).default(undefined).optional(),
    pathIds: yup.array(id()).default(undefined).optional(),
    /** Day of the walks, for daylight ("2026-05-12"), and hours at hand. */
    day: yup.string().matches(/^(\d{4}-\d\d-\d\d)?$/, 'Write the day as 2026-05-12'),
    hoursAtHand: known('Time at hand'),
    /** One more walk of each rig with its units exchanged between the ends: tells a deaf receiver from a weak transmitter. */
    swapEnds: yup.boolean(),
    /** The products of a round are walked together, on one transmission or side by side. */
    sideBySide: yup.boolean(),
    /** The first rig of each path again at the end: has the day changed the result? */
    repeatBaseline: yup.boolean(),
    /** Product names are sealed behind letters until the walks are in. */
    blind: yup.boolean(),
  })
  .noUnknown();

const unique = (what: string) =>
  [
    'unique',
    `two ${what} share a name`,
    (list: { name?: string }[] | undefined) => new Set(list?.map((x) => x.name)).size === (list?.length ?? 0),
  ] as const;

/** Kit, paths and plan of a comparison: one document, replaced whole. */
export const setupSchema = yup
  .object({
    products: yup
      .array(productSchema)
      .required()
      .max(40)
      .test(...unique('products')),
    paths: yup
      .array(pathSchema)
      .required()
      .max(40)
      .test(...unique('paths')),
    plan: planSchema.required(),
    survey: yup.array(surveyRowSchema).default(undefined).optional().max(2000),
    interference: yup.array(interferenceSchema).default(undefined).optional().max(50),
    needs: yup.array(needSchema).default(undefined).optional().max(100),
    quoted: yup.array(quotedSchema).default(undefined).optional().max(200),
    latency: yup.array(latencySchema).default(undefined).optional().max(200),
    acknowledged: yup.array(acknowledgedSchema).default(undefined).optional().max(300),
    /** The currency that costs are in. */
    currency: yup.string().max(8),
    report: reportSchema.default(undefined).optional(),
  })
  .noUnknown();

export type SurveyRow = yup.InferType<typeof surveyRowSchema>;
export type ProductClaim = yup.InferType<typeof claimSchema>;
export type Unit = yup.InferType<typeof unitSchema>;
export type Rig = yup.InferType<typeof rigSchema>;
export type Product = yup.InferType<typeof productSchema>;
export type Setup = yup.InferType<typeof setupSchema>;

/** A rig of which little is known yet. */
export const newRig = (rigId: string, unitId: string): Rig => ({
  id: rigId,
  name: 'Standard',
  unitFixedId: unitId,
  unitMobileId: unitId,
  channel: 'automatic',
  gain: '',
  squelch: '',
  firmware: '',
  antenna: '',
  antennaPlace: 'on the device',
  orientation: '',
  bodyPosition: '',
  heightFixedM: 1.5,
  heightMobileM: 1.5,
  cables: '',
  playoutDelayS: 0,
});

export const EMPTY_SETUP: Setup = {
  products: [],
  paths: [],
  plan: {
    walksEach: 4,
    criterion: 'by kind',
    ratio: 1.25,
    sigma: 0.2,
    startTime: '09:30',
    setUpMin: 10,
    atFixedEnd: '',
    atMobileEnd: '',
    secondChannel: '',
  },
};

const comparisonHead = {
  title: name('Comparison'),
  question: yup.string().max(500).defined(),
};

export const newComparisonSchema = yup
  .object({ id: yup.string().uuid().required(), ...comparisonHead })
  .noUnknown();

/** A replacement of the whole set-up; `revision` is the one it was made from. */
export const comparisonUpdateSchema = yup
  .object({ ...comparisonHead, setup: setupSchema.required(), revision: yup.number().integer().required() })
  .noUnknown();

export type NewComparison = yup.InferType<typeof newComparisonSchema>;
export type ComparisonUpdate = yup.InferType<typeof comparisonUpdateSchema>;

interface ComparisonHead {
  readonly id: string;
  readonly title: string;
  readonly question: string;
  /** Its walks come from simulated gear. */
  readonly demo: boolean;
  readonly revision: number;
  readonly updatedAt: string;
}

export interface ComparisonSummary extends ComparisonHead {
  readonly products: readonly string[];
  readonly paths: readonly string[];
  readonly walksPlanned: number;
  readonly walksMade: number;
}

export interface Comparison extends ComparisonHead {
  readonly setup: Setup;
}
