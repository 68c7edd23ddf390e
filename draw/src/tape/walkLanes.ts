import { METHOD_UNCERTAINTY, type Trace } from '@urvek/core';
import type { Lane } from './tape.ts';
import * as phrases from './phrases.ts';

/** A walk as two lanes, out and back; one when there is no way back yet. */
export function walkLanes(
  trace: Pick<Trace, 'stretches' | 'fixes' | 'turnS'>,
  label: string,
  id: string,
): Lane[] {
  const lane = (returning: boolean): Lane => ({
    id: `${id}-${returning ? 'back' : 'out'}`,
    label: returning ? 'back' : label,
    states: trace.stretches.flatMap((s) =>
      s.returning === returning && s.stated && s.from && s.to
        ? [{ fromM: s.from.travelledM, toM: s.to.travelledM, state: s.state }]
        : [],
    ),
    marks: trace.fixes
      .filter((f) => f.atS > (trace.turnS ?? Infinity) === returning)
      .map((f) => ({
        atM: f.travelledM,
        uncertaintyM: Math.max(f.uncertaintyM, METHOD_UNCERTAINTY.laser.independentM),
      })),
    title: returning ? phrases.theWayBack : phrases.theWayOut,
    height: 30,
  });
  return trace.turnS === undefined ? [lane(false)] : [lane(false), lane(true)];
}
