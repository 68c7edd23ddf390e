import type { EventOf } from '../log/event.ts';
import { travelledOf, uncertaintyOf, type DistanceReading } from '../quantity/distanceMethod.ts';
import { markedPlace, type PlaceOptions } from './fixes.ts';
import type { MarkedPlace } from './stand.ts';
import { standAt } from './stand.ts';
import type { Track } from './track.ts';

/** Which way a walk goes. */
export interface Course {
  readonly turnS: number | undefined;
  readonly turnInferred: boolean;
  readonly inwards: boolean;
}

/** Twice the uncertainty of the difference: nearer, and it is the way back. */
const COVERAGE = 2;
/** A step aside to tell a fade from the limit is no turn, m. */
const STEP_ASIDE_M = 1.5;

/** Whether a place is nearer than another by more than both are known to. */
export const fallsFrom = (
  before: Pick<MarkedPlace, 'travelledM' | 'uncertaintyM'>,
  now: Pick<MarkedPlace, 'travelledM' | 'uncertaintyM'>,
): boolean =>
  before.travelledM - now.travelledM >
  Math.max(STEP_ASIDE_M, COVERAGE * Math.hypot(before.uncertaintyM, now.uncertaintyM));

/** The same of two readings as they are logged. */
export const isNearer = (before: DistanceReading, now: DistanceReading): boolean =>
  fallsFrom(
    { travelledM: travelledOf(before), uncertaintyM: uncertaintyOf(before) },
    { travelledM: travelledOf(now), uncertaintyM: uncertaintyOf(now) },
  );

/**
 * The turn that was logged; where none was, distances that fall behind the farthest one are the way back. A
 * walk whose distances fall from its beginning on comes in from out of reach.
 */
export function courseOf(
  begin: EventOf<'begin'>,
  turn: EventOf<'turn'> | undefined,
  marks: readonly EventOf<'begin' | 'mark' | 'turn' | 'end'>[],
  { stands }: Track,
  places: PlaceOptions,
): Course {
  const out: Course = { turnS: turn?.time.walkS, turnInferred: false, inwards: begin.body.inwards === true };
  if (turn || out.inwards) return out;
  const along = marks
    .flatMap((e) =>
      e.body.reading ? [{ atS: e.time.walkS, ...markedPlace(e.body.reading, e, places) }] : [],
    )
    .sort((a, b) => a.atS - b.atS);
  const farthest = along.reduce<(typeof along)[number] | undefined>(
    (best, m) => (best && best.travelledM >= m.travelledM ? best : m),
    undefined,
  );
  const falling = farthest && along.find((m) => m.atS > farthest.atS && fallsFrom(farthest, m));
  if (!farthest || !falling) return out;
  if (farthest.atS === begin.time.walkS) return { ...out, inwards: true };
  const stand = standAt(stands, farthest.atS);
  const left = stand ? (stand.untilS ?? falling.atS) : farthest.atS;
  return { ...out, turnS: Math.min(left, falling.atS), turnInferred: true };
}
