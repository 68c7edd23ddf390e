import { keyText, type EventOf, type WalkEvent } from './event.ts';

/**
 * The log as it stands after its corrections, in order of the walk's clock. The latest correction of an event counts;
 * a correction that was itself withdrawn does not.
 */
export function effectiveLog(log: readonly WalkEvent[]): WalkEvent[] {
  const written = [...log].sort((a, b) => a.time.wallMs - b.time.wallMs || a.deviceId.localeCompare(b.deviceId) || a.seq - b.seq);
  const kindOf = new Map(written.map((e) => [keyText(e), e.kind]));
  const voided = new Set<string>();
  const amended = new Map<string, EventOf<'correction'>['body']>();
  for (const event of written.toReversed()) {
    if (event.kind !== 'correction' || voided.has(keyText(event))) continue;
    const target = keyText(event.body.amends);
    if (kindOf.get(target) === 'correction') voided.add(target);
    else if (!amended.has(target)) amended.set(target, event.body);
  }
  return written
    .flatMap((event) => (event.kind === 'correction' ? [] : apply(event, amended.get(keyText(event)))))
    .sort((a, b) => a.time.walkS - b.time.walkS || a.seq - b.seq);
}

function apply(event: WalkEvent, correction: EventOf<'correction'>['body'] | undefined): WalkEvent[] {
  if (!correction) return [event];
  if (correction.action === 'withdraw') return [];
  if (correction.action === 'move' && correction.walkS !== undefined) return [{ ...event, time: { ...event.time, walkS: correction.walkS } }];
  if (correction.action === 'regrade' && event.kind === 'grade' && correction.grade !== undefined) return [{ ...event, body: { grade: correction.grade } }];
  return [event];
}

/** The event that undo would withdraw: the last that stands, other than the beginning. */
export const lastUndoable = (log: readonly WalkEvent[]): WalkEvent | undefined =>
  effectiveLog(log).filter((e) => e.kind !== 'begin' && e.kind !== 'gap' && !isAutomatic(e)).at(-1);

/** Written by an instrument, not by a person. */
export const isAutomatic = (event: WalkEvent): boolean => event.kind === 'mark' && !event.body.reading.pressed;
