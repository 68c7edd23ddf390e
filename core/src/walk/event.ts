import type { Direction } from '../grade/kind.ts';
import type { Grade } from '../grade/grade.ts';
import type { DistanceReading } from '../position/method.ts';

/** When an event was logged. */
export interface EventTime {
  /** Seconds on the walk's own clock, which runs `rate` times as fast as the wall's when the gear is simulated. */
  readonly walkS: number;
  readonly rate: number;
  /** Time stamp of the input and the origin it counts from, ms: a clock that steps or a device that slept shows. */
  readonly inputMs: number;
  readonly originMs: number;
  readonly wallMs: number;
}

export interface EventKey {
  readonly deviceId: string;
  readonly seq: number;
}

export const END_REASONS = ['path ended', 'time', 'danger', 'weather', 'link failed'] as const;
export type EndReason = (typeof END_REASONS)[number];

export const RECONNECT_WAYS = ['by itself', 'after power-cycle', 'after re-pairing'] as const;
export type ReconnectWay = (typeof RECONNECT_WAYS)[number];

/** A reading of the distance travelled from the fixed end. `pressed`: timed by a person, so with reaction scatter. */
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

/** What can be logged, by kind. */
export interface EventBodies {
  begin: { readonly baselineGrade: Grade; readonly direction: Direction; readonly reading: Reading; readonly playoutDelayS: number; readonly simulatedSeed?: string; readonly checks?: readonly RigCheckResult[] };
  dropoutBegin: Record<string, never>;
  dropoutEnd: Record<string, never>;
  grade: { readonly grade: Grade };
  mark: { readonly reading: Reading; readonly name?: string };
  turn: { readonly reading?: Reading };
  reconnected: { readonly how: ReconnectWay };
  note: { readonly text: string };
  gap: { readonly fromWallMs: number };
  end: { readonly reason: EndReason; readonly reading?: Reading };
  correction: Correction;
}

export const CORRECTION_ACTIONS = ['withdraw', 'move', 'regrade', 'remeasure'] as const;

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
}

export type EventKind = keyof EventBodies;

export type WalkEvent = {
  [K in EventKind]: EventKey & { readonly walkId: string; readonly version: 1; readonly kind: K; readonly time: EventTime; readonly body: EventBodies[K] };
}[EventKind];

export type EventOf<K extends EventKind> = Extract<WalkEvent, { kind: K }>;

export const keyText = ({ deviceId, seq }: EventKey): string => `${deviceId}:${seq}`;
