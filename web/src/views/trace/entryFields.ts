import { validateEntry } from '@urvek/contract';
import {
  DIRECTIONS,
  END_REASONS,
  GRADES,
  LANDMARKS,
  QUANTITIES,
  RECONNECT_WAYS,
  RUNGS,
  type DistanceReading,
  type Entry,
  type WalkEvent,
} from '@urvek/core';
import * as phrases from './phrases.ts';

/** Kinds that a person can enter or rewrite afterwards: the others are an instrument's, or have their own place. */
export type EnteredKind = Exclude<
  Entry['kind'],
  'gap' | 'fix' | 'joined' | 'clock' | 'shared' | 'against' | 'outing' | 'leftOut' | 'recording' | 'beacon'
>;

interface EntryField {
  readonly name: string;
  readonly label: string;
  readonly as: 'text' | 'figure' | 'choice' | 'tick';
  readonly of?: readonly (string | number)[];
  /** Left empty, it is not stated. */
  readonly optional?: true;
}

interface EntryKind {
  readonly label: string;
  /** It can say where it was. */
  readonly placed?: 'may be' | 'must be';
  readonly fields: readonly EntryField[];
}

const choice = (name: string, label: string, of: readonly (string | number)[]): EntryField => ({
  name,
  label,
  as: 'choice',
  of,
});
const text = (name: string, label: string, optional = false): EntryField => ({
  name,
  label,
  as: 'text',
  ...(optional ? { optional: true as const } : {}),
});
const figure = (name: string, label: string, optional = false): EntryField => ({
  ...text(name, label, optional),
  as: 'figure',
});
const DIRECTION = choice('direction', phrases.direction, DIRECTIONS);

/** What each kind is called, and what it says. */
export const ENTRY_KINDS: Readonly<Record<EnteredKind, EntryKind>> = {
  dropoutBegin: { label: phrases.dropoutBegins, fields: [text('hop', phrases.hopThatWasLostIfKnown, true)] },
  dropoutEnd: { label: phrases.dropoutEnds, fields: [] },
  grade: { label: 'grade', fields: [choice('grade', phrases.grade, GRADES)] },
  mark: {
    label: phrases.markOfAPlace,
    placed: 'may be',
    fields: [
      text('name', phrases.nameOfThePlace, true),
      { name: 'stand', label: phrases.stoodThere, as: 'tick', optional: true },
    ],
  },
  goOn: { label: phrases.wentOnFromAStand, fields: [] },
  turn: { label: phrases.turnedRound, placed: 'may be', fields: [] },
  fixedEnd: { label: phrases.theFixedEndMoved, placed: 'must be', fields: [] },
  call: {
    label: phrases.callAtACheckpoint,
    fields: [
      text('checkpoint', phrases.checkpoint),
      DIRECTION,
      choice('grade', phrases.grade, GRADES),
      figure('tries', phrases.tries),
    ],
  },
  hits: {
    label: phrases.pressesAndAnswers,
    fields: [figure('presses', phrases.presses), figure('hits', phrases.answered), DIRECTION],
  },
  tried: { label: 'tried', fields: [figure('tries', phrases.tries), figure('failed', phrases.failed)] },
  measured: {
    label: phrases.readingOfAnInstrument,
    fields: [
      choice('quantity', phrases.ofText, QUANTITIES),
      figure('value', phrases.valueEmptyNothingReceived, true),
      DIRECTION,
      text('band', phrases.bandOrChannel, true),
      text('cell', phrases.cellOrAccessPoint, true),
      text('instrument', phrases.instrument, true),
      text('server', phrases.server, true),
    ],
  },
  readBack: {
    label: phrases.readBack,
    fields: [text('sent', phrases.sent), text('heard', phrases.heard), DIRECTION],
  },
  rung: {
    label: phrases.rungOfTheLadder,
    fields: [
      choice('rung', phrases.rung, RUNGS),
      { name: 'worked', label: phrases.itWorked, as: 'tick' },
      DIRECTION,
    ],
  },
  reconnected: { label: 'reconnected', fields: [choice('how', phrases.how, RECONNECT_WAYS)] },
  landmark: {
    label: phrases.doorTurnFloor,
    fields: [choice('what', phrases.what, LANDMARKS), text('name', phrases.nameText, true)],
  },
  note: { label: 'note', fields: [text('text', phrases.note)] },
  end: {
    label: phrases.endOfTheWalk,
    placed: 'may be',
    fields: [choice('reason', phrases.whyItEnded, END_REASONS)],
  },
};

export const isEntered = (kind: WalkEvent['kind']): kind is EnteredKind => kind in ENTRY_KINDS;

/** What the fields hold, as text. */
export type EntryDraft = Readonly<Record<string, string>>;

/** The fields of an entry as it stands; of one that is not there yet, the first of what can be chosen. */
export function draftOf(kind: EnteredKind, body: object = {}): EntryDraft {
  const said = body as Readonly<Record<string, unknown>>;
  return Object.fromEntries(
    ENTRY_KINDS[kind].fields.map(({ name, of }) => [name, String(said[name] ?? of?.[0] ?? '')]),
  );
}

/**
 * The entry that the fields say; what it had beside them stays.
 * @throws yup.ValidationError naming what is wrong or missing
 */
export function entryOf(
  kind: EnteredKind,
  draft: EntryDraft,
  reading: DistanceReading | undefined,
  before: object = {},
): Entry {
  const { placed, fields } = ENTRY_KINDS[kind];
  const body: Record<string, unknown> = { ...before };
  for (const { name, as, of, optional } of fields) {
    const value = draft[name]?.trim() ?? '';
    delete body[name];
    if (as === 'tick') {
      if (value === 'true' || !optional) body[name] = value === 'true';
    } else if (value !== '')
      body[name] = as === 'figure' || typeof of?.[0] === 'number' ? Number(value) : value;
  }
  // What it was worked out of, or moved between, was of the figure before.
  if (kind === 'measured' && body.value !== (before as { value?: number }).value)
    for (const of of ['least', 'most', 'transfer', 'bound']) delete body[of];
  if (placed) {
    delete body.reading;
    if (reading) body.reading = { ...reading, pressed: true };
  }
  return validateEntry({ kind, body });
}
