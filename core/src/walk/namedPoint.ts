import type { Path } from '../geometry/path.ts';
import type { EventOf, WalkEvent } from '../log/event.ts';

/** A place that has a name rather than metres: a room, a stair, "just beyond the hedge". */
export interface NamedPoint {
  readonly atS: number;
  readonly name: string;
  /** A mark there says no distance, and the path does not know the name: it only orders. */
  readonly unplaced?: true;
}

/** A point that the path knows by this name: people write it one way or another. */
const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * Marks of a named place get its distance once the path knows it, by coordinates, by a known length or off a map:
 * whatever was logged there follows.
 */
export function withKnownNames(
  events: readonly WalkEvent[],
  path: Pick<Path, 'checkpoints' | 'distanceMethod'> | undefined,
): readonly WalkEvent[] {
  if (!path || !events.some((e) => e.kind === 'mark' && !e.body.reading && e.body.name !== undefined))
    return events;
  return events.map((event) => {
    if (event.kind !== 'mark' || event.body.reading || event.body.name === undefined) return event;
    const { name } = event.body;
    const known = path.checkpoints.find((c) => sameName(c.name, name));
    const method = known?.method ?? path.distanceMethod ?? 'by eye';
    return known
      ? { ...event, body: { ...event.body, reading: { travelledM: known.atM, method, pressed: true } } }
      : event;
  });
}

/** Marks, landmarks and checkpoints with their names, in order of time. */
export const namedPointsOf = (
  marks: readonly EventOf<'mark'>[],
  landmarks: readonly EventOf<'landmark'>[],
  calls: readonly EventOf<'call'>[],
): NamedPoint[] =>
  [
    ...marks.flatMap((e): NamedPoint[] =>
      e.body.name === undefined
        ? []
        : [{ atS: e.time.walkS, name: e.body.name, ...(e.body.reading ? {} : { unplaced: true }) }],
    ),
    ...landmarks.map((e) => ({ atS: e.time.walkS, name: e.body.name ?? e.body.what })),
    ...calls.map((e) => ({ atS: e.time.walkS, name: e.body.checkpoint })),
  ].sort((a, b) => a.atS - b.atS);
