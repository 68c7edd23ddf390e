import { coordinatesOf, placeOnRoute } from '../geometry/fromCoordinates.ts';
import type { Path } from '../geometry/path.ts';
import type { EventOf, Reading, WalkEvent } from '../log/event.ts';
import { lagOf, type OperatorDelay } from '../log/lag.ts';
import { satelliteUncertaintyM, travelledOf, uncertaintyOf } from '../quantity/distanceMethod.ts';
import { WALKING_MPS } from '../quantity/pace.ts';
import type { MarkedPlace, Stand } from './stand.ts';
import type { Fix } from './track.ts';

export interface PlaceOptions {
  /** What counters had not counted at their zero, m. */
  readonly offsetM: number | undefined;
  readonly delay: OperatorDelay | undefined;
}

/** The place that a reading stands for; a pressed mark was passed a moment before or after. */
export const markedPlace = (
  reading: Reading,
  event: WalkEvent,
  { offsetM, delay }: PlaceOptions,
): MarkedPlace => ({
  travelledM: travelledOf(reading, offsetM),
  uncertaintyM: Math.hypot(uncertaintyOf(reading), lagOf(event, 0, delay).uncertaintyS * WALKING_MPS),
  method: reading.method,
});

/**
 * A satellite fix counts as a mark only when it is better than the step between checkpoints (or this,
 * without any).
 */
const USUAL_STEP_M = 20;

/** All moments at which the place is known: marks, device locations, and when a stand was left. */
export function fixesOf(
  marks: readonly EventOf<'begin' | 'mark' | 'turn' | 'end'>[],
  located: readonly EventOf<'fix'>[],
  stands: readonly Stand[],
  path: Pick<Path, 'legs' | 'fixedEnd' | 'checkpoints'> | undefined,
  places: PlaceOptions,
): Fix[] {
  const fixes = [
    ...marks.flatMap((e): Fix[] =>
      e.body.reading ? [{ atS: e.time.walkS, ...markedPlace(e.body.reading, e, places) }] : [],
    ),
    ...(path ? located.flatMap(locator(path) ?? (() => [])) : []),
  ];
  const marked = new Set(marks.map((e) => e.time.walkS));
  const left = stands.flatMap((s): Fix[] =>
    s.place && s.untilS < Infinity && !marked.has(s.untilS) ? [{ atS: s.untilS, ...s.place }] : [],
  );
  // Of two readings at one moment the better one counts.
  const all = [...fixes, ...left].sort((a, b) => a.atS - b.atS || a.uncertaintyM - b.uncertaintyM);
  return all.filter((f, i) => f.atS !== all[i - 1]?.atS);
}

/** Snaps device locations to the route; those too coarse, or off it, are left out. */
function locator({
  legs,
  fixedEnd,
  checkpoints,
}: Pick<Path, 'legs' | 'fixedEnd' | 'checkpoints'>): ((event: EventOf<'fix'>) => Fix[]) | undefined {
  if (!fixedEnd) return undefined;
  const route = coordinatesOf({ legs }, fixedEnd);
  const gaps = checkpoints
    .slice(1)
    .map((c, i) => c.atM - (checkpoints[i]?.atM ?? 0))
    .filter((m) => m > 0);
  const stepM = gaps.length > 0 ? Math.min(...gaps) : USUAL_STEP_M;
  return ({ body, time }) => {
    const uncertaintyM = satelliteUncertaintyM(body.accuracyM);
    const { travelledM, offM } = placeOnRoute(route, body);
    return uncertaintyM <= stepM && offM <= 3 * uncertaintyM
      ? [{ atS: time.walkS, travelledM, uncertaintyM, method: 'satellite' }]
      : [];
  };
}
