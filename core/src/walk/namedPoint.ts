import type { EventOf } from '../log/event.ts';

/** A place that has a name rather than metres: a room, a stair, "just beyond the hedge". */
export interface NamedPoint {
  readonly atS: number;
  readonly name: string;
}

/** Marks, landmarks and checkpoints with their names, in order of time. */
export const namedPointsOf = (
  marks: readonly EventOf<'mark'>[],
  landmarks: readonly EventOf<'landmark'>[],
  calls: readonly EventOf<'call'>[],
): NamedPoint[] =>
  [
    ...marks.flatMap((e) => (e.body.name === undefined ? [] : [{ atS: e.time.walkS, name: e.body.name }])),
    ...landmarks.map((e) => ({ atS: e.time.walkS, name: e.body.name ?? e.body.what })),
    ...calls.map((e) => ({ atS: e.time.walkS, name: e.body.checkpoint })),
  ].sort((a, b) => a.atS - b.atS);
