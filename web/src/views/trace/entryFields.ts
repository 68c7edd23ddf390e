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

/** Kinds that a person can enter or rewrite afterwards: the others are an instrument's, or have their own place. */
export type EnteredKind = Exclude<
  Entry['kind'],
  'gap' | 'fix' | 'joined' | 'clock' | 'shared' | 'against' | 'outing' | 'leftOut' | 'recording'
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
const DIRECTION = choice('direction', 'Direction', DIRECTIONS);

/** What each kind is called, and what it says. */
export const ENTRY_KINDS: Readonly<Record<EnteredKind, EntryKind>> = {
  dropoutBegin: { label: 'dropout begins', fields: [text('hop', 'Hop that was lost, if known', true)] },
  dropoutEnd: { label: 'dropout ends', fields: [] },
  grade: { label: 'grade', fields: [choice('grade', 'Grade', GRADES)] },
  mark: {
    label: 'mark of a place',
    placed: 'may be',
    fields: [
      text('name', 'Name of the place', true),
      { name: 'stand', label: 'stood there', as: 'tick', optional: true },
    ],
  },
  goOn: { label: 'went on from a stand', fields: [] },
  turn: { label: 'turned round', placed: 'may be', fields: [] },
  fixedEnd: { label: 'the fixed end moved', placed: 'must be', fields: [] },
  call: {
    label: 'call at a checkpoint',
    fields: [
      text('checkpoint', 'Checkpoint'),
      DIRECTION,
      choice('grade', 'Grade', GRADES),
      figure('tries', 'Tries'),
    ],
  },
  hits: {
    label: 'presses and answers',
    fields: [figure('presses', 'Presses'), figure('hits', 'Answered'), DIRECTION],
  },
  tried: { label: 'tried', fields: [figure('tries', 'Tries'), figure('failed', 'Failed')] },
  measured: {
    label: 'reading of an instrument',
    fields: [
      choice('quantity', 'Of', QUANTITIES),
      figure('value', 'Value; empty: nothing received', true),
      DIRECTION,
      text('band', 'Band or channel', true),
      text('cell', 'Cell or access point', true),
      text('instrument', 'Instrument', true),
      text('server', 'Server', true),
    ],
  },
  readBack: {
    label: 'read back',
    fields: [text('sent', 'Sent'), text('heard', 'Heard'), DIRECTION],
  },
  rung: {
    label: 'rung of the ladder',
    fields: [choice('rung', 'Rung', RUNGS), { name: 'worked', label: 'it worked', as: 'tick' }, DIRECTION],
  },
  reconnected: { label: 'reconnected', fields: [choice('how', 'How', RECONNECT_WAYS)] },
  landmark: {
    label: 'door, turn, floor',
    fields: [choice('what', 'What', LANDMARKS), text('name', 'Name', true)],
  },
  note: { label: 'note', fields: [text('text', 'Note')] },
  end: {
    label: 'end of the walk',
    placed: 'may be',
    fields: [choice('reason', 'Why it ended', END_REASONS)],
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
