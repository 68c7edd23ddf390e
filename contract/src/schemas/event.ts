import * as yup from 'yup';
import { compile, type Surely } from './compile.ts';
import { checkTexts } from './text.ts';
import {
  type ClipGrades,
  type Graded,
  AGAINST_WAYS,
  CHECK_RESULTS,
  CORRECTION_ACTIONS,
  DIRECTIONS,
  DISTANCE_METHODS,
  END_REASONS,
  GRADES,
  LANDMARKS,
  LEAVES,
  PROVENANCES,
  QUANTITIES,
  READING_BOUNDS,
  RECONNECT_WAYS,
  RUNGS,
  WALK_MODES,
  WEATHERS,
  measuredTrouble,
  type Conditions,
  type Entry,
  type EventBodies,
  type EventKind,
  type OperatorDelay,
  type RigCheckResult,
  type VoiceNote,
  type WalkEvent,
} from '@urvek/core';

/** Events a batch may hold; a larger one is answered with 413, and the device halves it. */
export const BATCH_LIMIT = 500;

const strict = <T extends yup.AnyObject>(fields: yup.ObjectShape) =>
  yup.object(fields).noUnknown().strict() as unknown as yup.ObjectSchema<T>;
const number = () =>
  yup
    .number()
    .required()
    .test('finite', '${path} is not a finite number', (v) => v === undefined || Number.isFinite(v));

/** Milliseconds that a date can hold (ECMA-262, time values), and no more. */
const MOST_MS = 8.64e15;
const instant = () => number().min(-MOST_MS).max(MOST_MS);
/** A walk of a hundred days is none. */
const MOST_WALK_S = 8.64e6;

const grade = () => yup.number().oneOf(GRADES).required();
const reading = () =>
  strict<EventBodies['fixedEnd']['reading']>({
    travelledM: number().min(0).max(1e6),
    method: yup.string().oneOf(DISTANCE_METHODS).required(),
    pressed: yup.boolean().required(),
    uncertaintyM: number().optional().moreThan(0),
  });
const key = () => ({
  deviceId: yup.string().uuid().required(),
  seq: yup.number().integer().min(1).max(2_147_483_647).required(),
});

const direction = () => yup.string().oneOf(DIRECTIONS).required();
const count = (least: number, most: number) => yup.number().integer().min(least).max(most).required();
const delay = () =>
  strict<OperatorDelay>({
    reactionS: number().min(0).max(10),
    spreadS: number().min(0).max(10),
    answers: yup.number().integer().min(2).max(10_000),
  });
const conditions = () =>
  strict<Conditions>({
    weather: yup.string().oneOf(WEATHERS),
    groundWet: yup.boolean(),
    temperatureC: number().optional().min(-60).max(60),
    leaf: yup.string().oneOf(LEAVES),
    peopleAbout: yup.number().integer().min(0).max(100_000),
    otherTransmitters: yup.string().max(300),
    load: yup.string().max(300),
    instrument: yup.string().max(120),
    gradedBy: yup.string().max(60),
  });
const clipGrades = () =>
  strict<ClipGrades>({
    clips: yup.string().required().max(40),
    graded: yup
      .array(strict<Graded>({ level: number().min(0).max(1), grade: grade() }).required())
      .required()
      .max(200),
  });
const rigCheckResult = () =>
  strict<RigCheckResult>({
    id: yup.string().required().max(40),
    result: yup.string().oneOf(CHECK_RESULTS).required(),
    note: yup.string().max(300),
  });

/** Said, or not said; never said to be false. */
const yes = () => yup.boolean().oneOf([true] as const) as yup.Schema<true | undefined>;

const begin = () =>
  strict<EventBodies['begin']>({
    baselineGrade: yup.number().oneOf(GRADES),
    direction: direction(),
    mode: yup.string().oneOf(WALK_MODES),
    conditions: conditions().default(undefined).optional(),
    delay: delay().default(undefined).optional(),
    graded: yup.array(clipGrades().required()).max(10),
    reading: reading().default(undefined).optional(),
    playoutDelayS: number().optional().min(0).max(30),
    inwards: yes(),
    untimed: yes(),
    simulatedSeed: yup.string().max(120),
    checks: yup.array(rigCheckResult().required()).max(60),
  });

/** The type of each body is core's: a schema that says otherwise does not compile. */
export const EVENT_BODIES: { readonly [K in EventKind]: yup.ObjectSchema<EventBodies[K]> } = {
  begin: begin(),
  dropoutBegin: strict({ hop: yup.string().max(120), found: yup.string().max(200) }),
  dropoutEnd: strict({ found: yup.string().max(200) }),
  grade: strict({ grade: grade(), found: yup.string().max(200) }),
  mark: strict({
    reading: reading().default(undefined).optional(),
    name: yup.string().max(120),
    stand: yes(),
  }),
  goOn: strict({}),
  fixedEnd: strict({ reading: reading().required() }),
  turn: strict({ reading: reading().default(undefined).optional() }),
  reconnected: strict({ how: yup.string().oneOf(RECONNECT_WAYS).required() }),
  note: strict({
    text: yup.string().required().max(2000),
    voice: strict<VoiceNote>({
      mime: yup
        .string()
        .required()
        .matches(/^audio\/[\w.+-]+(; ?codecs=[\w.,"-]+)?$/),
      base64: yup
        .string()
        .required()
        .max(400_000)
        .matches(/^[A-Za-z0-9+/]+={0,2}$/),
      seconds: number().min(0).max(60),
    })
      .default(undefined)
      .optional(),
  }),
  gap: strict({ fromWallMs: instant() }),
  landmark: strict({ what: yup.string().oneOf(LANDMARKS).required(), name: yup.string().max(120) }),
  tried: strict({
    tries: count(1, 99),
    failed: count(0, 99).max(yup.ref('tries') as unknown as number, 'more failed than were tried'),
    movedM: number().optional().min(0).max(100),
  }),
  call: strict({
    checkpoint: yup.string().required().max(120),
    direction: direction(),
    grade: grade(),
    tries: count(0, 99),
  }),
  hits: strict({
    presses: count(1, 1000),
    hits: count(0, 1000).max(yup.ref('presses') as unknown as number, 'more hits than presses'),
    orientation: yup.string().max(120),
    direction: yup.string().oneOf(DIRECTIONS),
    of: yup.string().oneOf(['presses', 'receivers'] as const),
  }),
  readBack: strict({
    sent: yup.string().required().max(500),
    heard: yup.string().max(500).defined(),
    direction: direction(),
  }),
  rung: strict({
    rung: yup.string().oneOf(RUNGS).required(),
    worked: yup.boolean().required(),
    direction: direction(),
  }),
  measured: strict({
    quantity: yup.string().oneOf(QUANTITIES).required(),
    value: number().optional(),
    direction: direction(),
    band: yup.string().max(60),
    cell: yup.string().max(60),
    network: yup.string().max(120),
    server: yup.string().max(120),
    instrument: yup.string().max(120),
    load: yup.string().max(120),
    provenance: yup.string().oneOf(PROVENANCES),
    least: number().optional(),
    most: number().optional(),
    bound: yup.string().oneOf(READING_BOUNDS),
    transfer: strict({ bytes: number().min(0).max(1e15), seconds: number().moreThan(0).max(86_400) })
      .default(undefined)
      .optional(),
    lastedS: number().optional().min(0).max(86_400),
    moving: yup.boolean().oneOf([true] as const),
    heightM: number().optional().min(-100).max(10_000),
  }),
  fix: strict({
    latitudeDeg: number().min(-90).max(90),
    longitudeDeg: number().min(-180).max(180),
    accuracyM: number().moreThan(0).max(1e6),
  }),
  against: strict({
    productId: yup.string().required().max(80),
    rigId: yup.string().max(80),
    how: yup.string().oneOf(AGAINST_WAYS).required(),
  }),
  outing: strict({ name: yup.string().trim().required().max(60) }),
  leftOut: strict({ reason: yup.string().trim().min(1).max(500) }),
  end: strict({
    reason: yup.string().oneOf(END_REASONS).required(),
    reading: reading().default(undefined).optional(),
  }),
  joined: strict({
    role: yup
      .string()
      .oneOf(['walker', 'base'] as const)
      .required(),
    direction: direction(),
  }),
  clock: strict({ baseMs: instant(), halfRttMs: number().min(0).max(60_000) }),
  shared: strict({ count: count(1, 1000) }),
  recording: strict({
    name: yup.string().required().max(255),
    bytes: yup.number().integer().min(0).max(Number.MAX_SAFE_INTEGER).required(),
    digest: yup
      .string()
      .required()
      .matches(/^[0-9a-f]{64}$/),
    seconds: number().min(0).max(MOST_WALK_S),
    besideFromS: number().optional().min(0).max(MOST_WALK_S),
  }),
  beacon: strict({
    carriedBy: yup
      .string()
      .oneOf(['picture', 'sound'] as const)
      .optional(),
    sentS: number().min(0).max(MOST_WALK_S),
    uS: number().min(0).max(60),
    codes: count(1, 10_000),
    separation: strict({ m: number().min(0).max(1e6), uM: number().min(0).max(1e6) })
      .default(undefined)
      .optional(),
  }),
  correction: strict({
    amends: strict<EventBodies['correction']['amends']>(key()).required(),
    action: yup.string().oneOf(CORRECTION_ACTIONS).required(),
    reason: yup.string().trim().required('a correction needs its reason').max(500),
    author: yup.string().max(120),
    walkS: yup.number().when('action', { is: 'move', then: () => number().min(0).max(MOST_WALK_S) }),
    grade: yup
      .number()
      .oneOf(GRADES)
      .when('action', { is: 'regrade', then: (s) => s.required() }),
    begun: begin()
      .default(undefined)
      .when('action', { is: 'restate', then: (s) => s.required(), otherwise: (s) => s.optional() }),
    delay: delay()
      .default(undefined)
      .when('action', { is: 'retime', then: (s) => s.required(), otherwise: (s) => s.optional() }),
    reading: reading()
      .default(undefined)
      .when('action', { is: 'remeasure', then: (s) => s.required(), otherwise: (s) => s.optional() }),
    entry: strict<Entry>({
      kind: yup.string().required().max(40),
      body: yup.object().default(undefined).required(),
    })
      .default(undefined)
      .when('action', { is: 'rewrite', then: (s) => s.required(), otherwise: (s) => s.optional() }),
  }),
};

export const eventEnvelope = strict({
  ...key(),
  walkId: yup.string().uuid().required(),
  version: yup.number().oneOf([1], 'version ${value} of an event is not known here').required(),
  kind: yup
    .string()
    .oneOf(Object.keys(EVENT_BODIES) as EventKind[])
    .required(),
  time: strict({
    walkS: number().min(0).max(MOST_WALK_S),
    frameS: number().optional().moreThan(0).max(10),
    rate: number().moreThan(0).max(1000),
    inputMs: instant(),
    originMs: instant(),
    wallMs: instant(),
  }).required(),
  body: yup.mixed().required(),
});

const surelyEnvelope = compile(eventEnvelope);
const surelyBody = Object.fromEntries(
  Object.entries(EVENT_BODIES).map(([kind, schema]) => [kind, compile(schema)]),
) as Readonly<Record<EventKind, Surely>>;

/**
 * Reads an event: by the compiled rules where they are enough, by the schema where they are not, which says
 * what is wrong.
 * @throws yup.ValidationError naming the field.
 */
export function validateEvent(value: unknown): WalkEvent {
  checkTexts((value as { body?: unknown } | null)?.body);
  const event = value as WalkEvent;
  if (!surelyEnvelope(value) || !surelyBody[event.kind](event.body)) {
    eventEnvelope.validateSync(value);
    EVENT_BODIES[event.kind].validateSync(event.body);
  }
  if (event.kind === 'measured') checkPossible(event);
  if (event.kind === 'correction' && event.body.entry) validateEntry(event.body.entry);
  return event;
}

/** Reads what somebody enters. @throws yup.ValidationError naming the field, or saying that it cannot be. */
export function validateEntry(entry: { readonly kind: string; readonly body: unknown }): Entry {
  const kind = entry.kind as Entry['kind'];
  if (!(kind in EVENT_BODIES) || entry.kind === 'begin' || entry.kind === 'correction')
    throw new yup.ValidationError(`an entry of kind “${entry.kind}” cannot be rewritten`);
  const read = { kind, body: EVENT_BODIES[kind].validateSync(entry.body) } as Entry;
  if (read.kind === 'measured') checkPossible(read);
  return read;
}

/** @throws yup.ValidationError for a reading that cannot be, whatever its fields are by themselves. */
function checkPossible({ body }: { readonly body: EventBodies['measured'] }): void {
  const trouble = measuredTrouble(body);
  if (trouble !== undefined) throw new yup.ValidationError(trouble);
}

/** An event of a batch that was refused, by its place. */
export class BadEvent extends Error {
  constructor(
    readonly position: number,
    message: string,
  ) {
    super(`event ${position}: ${message}`);
    this.name = 'BadEvent';
  }
}

/** All of a batch, or nothing. @throws BadEvent for the first that is not an event of this walk. */
export function validateBatch(walkId: string, values: readonly unknown[]): WalkEvent[] {
  const seen = new Set<string>();
  return values.map((value, position) => {
    try {
      const event = validateEvent(value);
      if (event.walkId !== walkId) throw new Error(`belongs to walk ${event.walkId}`);
      const unique = `${event.deviceId}:${event.seq}`;
      if (seen.has(unique))
        throw new Error(`stands twice in the batch (device ${event.deviceId}, number ${event.seq})`);
      seen.add(unique);
      return event;
    } catch (error) {
      throw new BadEvent(position, (error as Error).message);
    }
  });
}
