import type { Grade } from '../grade/grade.ts';
import { effectiveLog, isAutomatic } from '../log/effectiveLog.ts';
import { STOPPING_MODES, type EventOf, type Reading, type WalkEvent } from '../log/event.ts';

/**
 * Where a walk under way stands, as far as one must know to log on: kept entry by entry, whatever the log's
 * length.
 */
export interface LiveState {
  readonly begin: EventOf<'begin'> | undefined;
  readonly entries: number;
  /** What is noticed now, absent until somebody graded it; and what it was before the link was lost. */
  readonly grade: Grade | undefined;
  readonly beforeLoss: Grade;
  readonly turned: boolean;
  /** One stands at the last mark, and has not gone on. */
  readonly standing: boolean;
  /** Latest moment on the walk's clock, s. */
  readonly lastS: number;
  /** The last mark, and the last distance that was read. */
  readonly here: EventOf<'mark'> | undefined;
  readonly lastReading: Reading | undefined;
  /** The last reading of an instrument: the next is mostly by the same. */
  readonly lastMeasured: EventOf<'measured'>['body'] | undefined;
  /** Distances of the last two marks. */
  readonly marksM: readonly number[];
  /** Moments pressed on two devices at once; comparisons of the clock. */
  readonly shared: number;
  readonly clocks: number;
  /** What undo would withdraw. */
  readonly undoable: WalkEvent | undefined;
}

export const NOT_BEGUN: LiveState = {
  begin: undefined,
  entries: 0,
  grade: 5,
  beforeLoss: 5,
  turned: false,
  standing: false,
  lastS: 0,
  here: undefined,
  lastReading: undefined,
  lastMeasured: undefined,
  marksM: [],
  shared: 0,
  clocks: 0,
  undoable: undefined,
};

const NOT_UNDONE = new Set<WalkEvent['kind']>(['begin', 'gap', 'joined', 'recording', 'correction']);

/**
 * The state after one entry more. A correction changes what was: then the state is worked out from the
 * whole log (liveStateOf).
 */
export function withEntry(state: LiveState, event: WalkEvent): LiveState {
  const next = {
    ...state,
    entries: state.entries + 1,
    lastS: Math.max(state.lastS, event.time.walkS),
    ...(NOT_UNDONE.has(event.kind) || isAutomatic(event) ? {} : { undoable: event }),
  };
  switch (event.kind) {
    case 'begin':
      return {
        ...next,
        begin: event,
        grade: event.body.baselineGrade,
        beforeLoss: event.body.baselineGrade ?? 2,
        lastReading: event.body.reading,
        marksM: event.body.reading ? [event.body.reading.travelledM] : [],
      };
    case 'grade':
      return graded(next, event.body.grade);
    case 'dropoutBegin':
      return graded(next, 1);
    case 'dropoutEnd':
    case 'reconnected':
      // A link that was silent from the start has no grade to go back to: what is known is that something
      // comes through.
      return state.grade === 1 ? { ...next, grade: state.beforeLoss === 1 ? 2 : state.beforeLoss } : next;
    case 'mark':
      return {
        ...next,
        here: event,
        lastReading: event.body.reading ?? state.lastReading,
        standing:
          event.body.stand === true || STOPPING_MODES.includes(state.begin?.body.mode ?? 'continuous'),
        marksM: event.body.reading
          ? [...state.marksM.slice(-1), event.body.reading.travelledM]
          : state.marksM,
      };
    case 'measured':
      return { ...next, lastMeasured: event.body };
    case 'goOn':
      return { ...next, standing: false };
    case 'turn':
      return { ...next, turned: true };
    case 'shared':
      return { ...next, shared: state.shared + 1 };
    case 'clock':
      return { ...next, clocks: state.clocks + 1 };
    default:
      return next;
  }
}

const graded = (state: LiveState, grade: Grade): LiveState => ({
  ...state,
  grade,
  beforeLoss: grade !== 1 ? grade : state.grade === 1 ? state.beforeLoss : (state.grade ?? state.beforeLoss),
});

/** The same from a whole log, its corrections applied. */
export const liveStateOf = (log: readonly WalkEvent[]): LiveState => ({
  ...effectiveLog(log).reduce(withEntry, NOT_BEGUN),
  entries: log.length,
});
