import type { Direction } from '../grade/direction.ts';
import type { Grade } from '../grade/grade.ts';
import type { Graded } from '../grade/thresholds.ts';
import type { DistanceReading } from '../quantity/distanceMethod.ts';
import type { Provenance } from '../quantity/provenance.ts';
import type { OperatorDelay } from './lag.ts';

/** When an event was logged. */
export interface EventTime {
  /**
   * Seconds on the walk's own clock, which runs `rate` times as fast as the wall's when the gear is
   * simulated.
   */
  readonly walkS: number;
  readonly rate: number;
  /**
   * Time stamp of the input and the origin it counts from, ms: a clock that steps or a device that slept
   * shows.
   */
  readonly inputMs: number;
  readonly originMs: number;
  readonly wallMs: number;
  /**
   * Logged at a frame of a recording that stands still: how long that frame lasts, s. Nobody reacts to it, and what
   * it shows happened within it.
   */
  readonly frameS?: number;
}

export interface EventKey {
  readonly deviceId: string;
  readonly seq: number;
}

export const END_REASONS = ['path ended', 'time', 'danger', 'weather', 'link failed', 'not stated'] as const;
export type EndReason = (typeof END_REASONS)[number];

export const RECONNECT_WAYS = ['by itself', 'after power-cycle', 'after re-pairing'] as const;
export type ReconnectWay = (typeof RECONNECT_WAYS)[number];

/**
 * A reading of the distance travelled from the fixed end. `pressed`: timed by a person, so with reaction
 * scatter.
 */
export interface Reading extends DistanceReading {
  readonly pressed: boolean;
}

export const CHECK_RESULTS = ['good', 'failed', 'not done'] as const;
export type CheckResult = (typeof CHECK_RESULTS)[number];

/** One line of the rig check at the zero point, kept with the walk. */
export interface RigCheckResult {
  readonly id: string;
  readonly result: CheckResult;
  readonly note?: string;
}

/** How a walk is logged. */
export const WALK_MODES = [
  'continuous',
  'stop and call',
  'hits',
  'read-back',
  'ladder',
  'drive',
  'indoor',
] as const;
export type WalkMode = (typeof WALK_MODES)[number];

/** In these one stops to look: every mark begins a stand, and between stands nothing is known. */
export const STOPPING_MODES: readonly WalkMode[] = ['stop and call', 'hits', 'read-back', 'ladder'];

export const WEATHERS = ['dry', 'drizzle', 'rain', 'snow', 'fog'] as const;
export const LEAVES = ['none', 'bare', 'in leaf', 'wet leaf'] as const;

/** The day, as far as it can matter; what is absent was not noted. */
export interface Conditions {
  readonly weather?: (typeof WEATHERS)[number];
  readonly groundWet?: boolean;
  readonly temperatureC?: number;
  readonly leaf?: (typeof LEAVES)[number];
  readonly peopleAbout?: number;
  readonly otherTransmitters?: string;
  readonly load?: string;
  /** What the readings were taken with. */
  readonly instrument?: string;
  /** Who judges by ear or eye. */
  readonly gradedBy?: string;
}

/** How somebody graded clips of which so much was lost. */
export interface ClipGrades {
  /** Of what: speech, sound, picture. */
  readonly clips: string;
  readonly graded: readonly Graded[];
}

/** How a walk went beside another that nobody measured against. */
export const AGAINST_WAYS = [
  'held where the other failed',
  'failed where the other held',
  'ended together',
] as const;
export type AgainstWay = (typeof AGAINST_WAYS)[number];

export const LANDMARKS = ['body turned', 'door', 'corner', 'floor', 'hand-over'] as const;
export const RUNGS = ['voice', 'tone', 'data'] as const;

/**
 * What an instrument shows at a stand. Throughput in Mbit/s, round trip and its variation in ms, jitter one way (RFC
 * 3550) in ms, loss in %, level in dBm, a change of level against another reading in dB; bars, and whatever else has
 * steps and no unit, only order.
 */
export const QUANTITIES = [
  'throughput',
  'round trip',
  'round-trip variation',
  'jitter',
  'loss',
  'level',
  'level change',
  'bars',
] as const;
export type Quantity = (typeof QUANTITIES)[number];
export const QUANTITY_UNIT: Readonly<Record<Quantity, string>> = {
  throughput: 'Mbit/s',
  'round trip': 'ms',
  'round-trip variation': 'ms',
  jitter: 'ms',
  loss: '%',
  level: 'dBm',
  'level change': 'dB',
  bars: 'bars',
};

/** A reading that is one side only: a stream of a known rate ran smoothly, or it did not. */
export const READING_BOUNDS = ['at least', 'below'] as const;
export type ReadingBound = (typeof READING_BOUNDS)[number];

/** A few spoken seconds. */
export interface VoiceNote {
  readonly mime: string;
  readonly base64: string;
  readonly seconds: number;
}

/** What can be logged, by kind. */
export interface EventBodies {
  begin: {
    /** What is heard at the beginning; absent: nobody graded it. */
    readonly baselineGrade?: Grade;
    readonly direction: Direction;
    /** Where one begins; absent: not stated. */
    readonly reading?: Reading;
    /** Of the rig; absent: not stated, and reckoned as none. */
    readonly playoutDelayS?: number;
    /** Begun out of reach, and walked towards the fixed end. */
    readonly inwards?: true;
    /** Written down without times: the clock orders, and tells no seconds. */
    readonly untimed?: true;
    readonly simulatedSeed?: string;
    readonly checks?: readonly RigCheckResult[];
    readonly mode?: WalkMode;
    readonly conditions?: Conditions;
    /** The operator's delay that was in force; the usual one when absent. */
    readonly delay?: OperatorDelay;
    /** How who grades graded clips before; absent: not known. */
    readonly graded?: readonly ClipGrades[];
  };
  /** `hop`: of a chain with a relay, which hop was lost, where that is known. */
  /** `found`: not pressed, but found by an instrument, and of a grade confirmed by a person; what that rests on. */
  dropoutBegin: { readonly hop?: string; readonly found?: string };
  dropoutEnd: { readonly found?: string };
  grade: { readonly grade: Grade; readonly found?: string };
  /**
   * Here one is; without a reading at a place that nobody knows. `stand`: one stops here, in a mode in which
   * one walks on.
   */
  mark: { readonly reading?: Reading; readonly name?: string; readonly stand?: true };
  /** The stand is left. */
  goOn: Record<string, never>;
  /** From now on the fixed end stands at this place of the path. */
  fixedEnd: { readonly reading: Reading };
  turn: { readonly reading?: Reading };
  reconnected: { readonly how: ReconnectWay };
  note: { readonly text: string; /** Spoken: what the microphone heard. */ readonly voice?: VoiceNote };
  gap: { readonly fromWallMs: number };
  /** `hand-over`: the walker saw the link change; the name says to what. */
  landmark: { readonly what: (typeof LANDMARKS)[number]; readonly name?: string };
  /** Tried and failed, n of n, after a small move where one was made. */
  tried: { readonly tries: number; readonly failed: number; readonly movedM?: number };
  /** Who is heard at a checkpoint, one way. */
  call: {
    readonly checkpoint: string;
    readonly direction: Direction;
    readonly grade: Grade;
    readonly tries: number;
  };
  /** `of`: what was counted, presses of one receiver or receivers at one press. */
  hits: {
    readonly presses: number;
    readonly hits: number;
    readonly orientation?: string;
    readonly direction?: Direction;
    readonly of?: 'presses' | 'receivers';
  };
  /** Fresh words or figures, as sent and as heard. */
  readBack: { readonly sent: string; readonly heard: string; readonly direction: Direction };
  rung: { readonly rung: (typeof RUNGS)[number]; readonly worked: boolean; readonly direction: Direction };
  /**
   * An instrument's reading; without a value nothing was received. What is absent beside it was not noted, and is
   * not what it was before.
   */
  measured: {
    readonly quantity: Quantity;
    readonly value?: number;
    readonly direction: Direction;
    /** Band or channel, and cell or access point, that it came by. */
    readonly band?: string;
    readonly cell?: string;
    /** Both in one, as earlier versions had it. */
    readonly network?: string;
    readonly server?: string;
    readonly instrument?: string;
    readonly load?: string;
    readonly provenance?: Provenance;
    /** The needle moved between these; the value is their middle. */
    readonly least?: number;
    readonly most?: number;
    readonly bound?: ReadingBound;
    /** A transfer of so many bytes in so many seconds, of which the value was worked out. */
    readonly transfer?: { readonly bytes: number; readonly seconds: number };
    /** It went on for so long, and ended at this moment, s. */
    readonly lastedS?: number;
    /** One walked or drove on meanwhile: it belongs to an interval of the way, and makes no stand. */
    readonly moving?: true;
    /** Of the mobile end above the ground. */
    readonly heightM?: number;
  };
  /** The device's own location, kept raw; accuracy is the browser's, a 95 % radius. */
  fix: { readonly latitudeDeg: number; readonly longitudeDeg: number; readonly accuracyM: number };
  /**
   * Said of this walk beside that of another product, or of another rig of it: without metres it orders the
   * two.
   */
  against: { readonly productId: string; readonly rigId?: string; readonly how: AgainstWay };
  /** The outing that the walk belongs to, as somebody says who was there; the latest counts. */
  outing: { readonly name: string };
  /** The walk is in no result, for this reason; without one it counts again. The latest counts. */
  leftOut: { readonly reason?: string };
  end: { readonly reason: EndReason; readonly reading?: Reading };
  /** A further device takes part: at which end, and which direction it watches. */
  joined: { readonly role: 'walker' | 'base'; readonly direction: Direction };
  /** The device's clock against the base's, at the middle of a round trip: its own time is the event's. */
  clock: { readonly baseMs: number; readonly halfRttMs: number };
  /** Both devices press at one count, or a clap: a moment that is the same on both. */
  shared: { readonly count: number };
  /**
   * A recording of this walk, known again by its name, length and digest: at this moment of the walk's clock it
   * begins. The file itself stays where it is.
   */
  recording: {
    readonly name: string;
    readonly bytes: number;
    /** SHA-256 of its first and last mebibyte, in hexadecimal. */
    readonly digest: string;
    readonly seconds: number;
    /** Played beside another, joined by a moment that both show: the second of it that stands at this moment. */
    readonly besideFromS?: number;
  };
  /** What came of the beacon at this moment, a frame or a packet, was sent at `sentS` of the walk's clock. */
  beacon: {
    /** Older logs do not say it: there it was the picture. */
    readonly carriedBy?: 'picture' | 'sound';
    readonly sentS: number;
    /** Standard uncertainty of that, s. */
    readonly uS: number;
    /** Codes that were read since the entry before. */
    readonly codes: number;
    /** How far away its sender said that it was, where it knew; standard uncertainty, m. */
    readonly separation?: { readonly m: number; readonly uM: number };
  };
  correction: Correction;
}

/** `add`: it was forgotten, and entered later; the entry itself is the amended event. */
export const CORRECTION_ACTIONS = [
  'withdraw',
  'move',
  'regrade',
  'remeasure',
  'retime',
  'restate',
  'rewrite',
  'add',
] as const;

/** A correction amends another event; nothing is overwritten. */
export interface Correction {
  readonly amends: EventKey;
  readonly action: (typeof CORRECTION_ACTIONS)[number];
  readonly reason: string;
  /** Who corrects; absent where it was the operator in the walk. */
  readonly author?: string;
  /** The moment it is moved to (action "move"). */
  readonly walkS?: number;
  /** The grade it becomes (action "regrade"). */
  readonly grade?: Grade;
  /** The distance it was read at, or by which method (action "remeasure"). */
  readonly reading?: Reading;
  /** The operator's delay for the whole walk (action "retime", on its begin event). */
  readonly delay?: OperatorDelay;
  /** What the walk began with, as it ought to have been entered (action "restate", on its begin event). */
  readonly begun?: EventBodies['begin'];
  /** What the entry ought to have said, of its own kind (action "rewrite"). */
  readonly entry?: Entry;
}

export type EventKind = keyof EventBodies;

/**
 * A kind with its body; what a walk begins with has fields of its own, and corrections are corrected by withdrawing.
 */
export type Entry = {
  [K in Exclude<EventKind, 'begin' | 'correction'>]: { readonly kind: K; readonly body: EventBodies[K] };
}[Exclude<EventKind, 'begin' | 'correction'>];

export type WalkEvent = {
  [K in EventKind]: EventKey & {
    readonly walkId: string;
    readonly version: 1;
    readonly kind: K;
    readonly time: EventTime;
    readonly body: EventBodies[K];
  };
}[EventKind];

export type EventOf<K extends EventKind> = Extract<WalkEvent, { kind: K }>;

export const keyText = ({ deviceId, seq }: EventKey): string => `${deviceId}:${seq}`;
