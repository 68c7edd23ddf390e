import { keyText, type Correction, type EventOf, type WalkEvent } from './event.ts';

/** By the wall's clock, as it was written. */
const asWritten = (events: readonly WalkEvent[]): WalkEvent[] =>
  [...events].sort(
    (a, b) =>
      a.time.wallMs - b.time.wallMs ||
      (a.deviceId < b.deviceId ? -1 : a.deviceId > b.deviceId ? 1 : a.seq - b.seq),
  );

/**
 * The corrections that stand for each amended event, by its key, as they were written: those that were not themselves
 * withdrawn.
 */
export function standingCorrections(log: readonly WalkEvent[]): Map<string, readonly Correction[]> {
  const written = asWritten(log.filter((e) => e.kind === 'correction')) as EventOf<'correction'>[];
  const corrections = new Set(written.map(keyText));
  const voided = new Set<string>();
  const standing = new Map<string, Correction[]>();
  for (const event of written.toReversed()) {
    if (voided.has(keyText(event))) continue;
    const target = keyText(event.body.amends);
    if (corrections.has(target)) voided.add(target);
    else standing.set(target, [event.body, ...(standing.get(target) ?? [])]);
  }
  return standing;
}

/**
 * The log as it stands after its corrections, in order of the walk's clock; what is of one moment, as it
 * was written.
 */
export function effectiveLog(log: readonly WalkEvent[]): WalkEvent[] {
  const corrections = standingCorrections(log);
  const standing =
    corrections.size === 0
      ? log.filter((e) => e.kind !== 'correction')
      : log.flatMap((event) =>
          event.kind === 'correction' ? [] : corrected(event, corrections.get(keyText(event))),
        );
  // Usually it is in order already; looking is cheaper than sorting.
  return standing.every((e, i) => i === 0 || byWalkClock(standing[i - 1] as WalkEvent, e) <= 0)
    ? standing
    : standing.sort(byWalkClock);
}

const byWalkClock = (a: WalkEvent, b: WalkEvent): number =>
  a.time.walkS - b.time.walkS || a.seq - b.seq || a.time.wallMs - b.time.wallMs;

/** Withdrawn last, it is none; else one correction after the other, so that another place keeps another time. */
function corrected(event: WalkEvent, corrections: readonly Correction[] = []): WalkEvent[] {
  if (corrections.at(-1)?.action === 'withdraw') return [];
  return [corrections.reduce(apply, event)];
}

function apply(event: WalkEvent, correction: Correction): WalkEvent {
  switch (correction.action) {
    case 'move':
      return correction.walkS === undefined
        ? event
        : { ...event, time: { ...event.time, walkS: correction.walkS } };
    case 'regrade':
      return event.kind === 'grade' && correction.grade !== undefined
        ? { ...event, body: { grade: correction.grade } }
        : event;
    case 'remeasure':
      return (event.kind === 'mark' || event.kind === 'begin') && correction.reading !== undefined
        ? ({ ...event, body: { ...event.body, reading: correction.reading } } as WalkEvent)
        : event;
    case 'restate':
      return event.kind === 'begin' && correction.begun !== undefined
        ? { ...event, body: correction.begun }
        : event;
    case 'retime':
      return event.kind === 'begin' && correction.delay !== undefined
        ? { ...event, body: { ...event.body, delay: correction.delay } }
        : event;
    case 'rewrite':
      return correction.entry?.kind === event.kind
        ? ({ ...event, body: correction.entry.body } as WalkEvent)
        : event;
    case 'withdraw':
    case 'add':
      return event;
  }
}

const NOT_UNDONE: readonly WalkEvent['kind'][] = ['begin', 'gap', 'joined', 'recording'];

/** The event that undo would withdraw: the last that stands, other than the beginning. */
export const lastUndoable = (log: readonly WalkEvent[]): WalkEvent | undefined =>
  effectiveLog(log)
    .filter((e) => !NOT_UNDONE.includes(e.kind) && !isAutomatic(e))
    .at(-1);

/** Written by an instrument, not by a person. */
export const isAutomatic = (event: WalkEvent): boolean =>
  event.kind === 'clock' ||
  event.kind === 'fix' ||
  event.kind === 'beacon' ||
  (event.kind === 'mark' &&
    event.body.reading !== undefined &&
    !event.body.reading.pressed &&
    !event.body.stand);
