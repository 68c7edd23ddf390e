import { keyText, type Correction, type WalkEvent } from './event.ts';

const asWritten = (log: readonly WalkEvent[]): WalkEvent[] =>
  [...log].sort((a, b) => a.time.wallMs - b.time.wallMs || a.deviceId.localeCompare(b.deviceId) || a.seq - b.seq);

/**
 * The correction that counts for each amended event, by its key: the latest one that was not itself withdrawn.
 */
export function standingCorrections(log: readonly WalkEvent[]): Map<string, Correction> {
  const kindOf = new Map(log.map((e) => [keyText(e), e.kind]));
  const voided = new Set<string>();
  const standing = new Map<string, Correction>();
  for (const event of asWritten(log).toReversed()) {
    if (event.kind !== 'correction' || voided.has(keyText(event))) continue;
    const target = keyText(event.body.amends);
    if (kindOf.get(target) === 'correction') voided.add(target);
    else if (!standing.has(target)) standing.set(target, event.body);
  }
  return standing;
}

/** The log as it stands after its corrections, in order of the walk's clock. */
export function effectiveLog(log: readonly WalkEvent[]): WalkEvent[] {
  const corrections = standingCorrections(log);
  return asWritten(log)
    .flatMap((event) => (event.kind === 'correction' ? [] : apply(event, corrections.get(keyText(event)))))
    .sort((a, b) => a.time.walkS - b.time.walkS || a.seq - b.seq);
}

function apply(event: WalkEvent, correction: Correction | undefined): WalkEvent[] {
  if (!correction) return [event];
  if (correction.action === 'withdraw') return [];
  if (correction.action === 'move' && correction.walkS !== undefined) return [{ ...event, time: { ...event.time, walkS: correction.walkS } }];
  if (correction.action === 'regrade' && event.kind === 'grade' && correction.grade !== undefined) return [{ ...event, body: { grade: correction.grade } }];
  if (correction.action === 'remeasure' && event.kind === 'mark' && correction.reading !== undefined) return [{ ...event, body: { ...event.body, reading: correction.reading } }];
  if (correction.action === 'retime' && event.kind === 'begin' && correction.delay !== undefined) return [{ ...event, body: { ...event.body, delay: correction.delay } }];
  return [event];
}

/** The event that undo would withdraw: the last that stands, other than the beginning. */
export const lastUndoable = (log: readonly WalkEvent[]): WalkEvent | undefined =>
  effectiveLog(log).filter((e) => e.kind !== 'begin' && e.kind !== 'gap' && e.kind !== 'joined' && !isAutomatic(e)).at(-1);

/** Written by an instrument, not by a person. */
export const isAutomatic = (event: WalkEvent): boolean => event.kind === 'clock' || event.kind === 'fix' || (event.kind === 'mark' && !event.body.reading.pressed);
