import { coordinatesOf, placeOnRoute } from '../geometry/fromCoordinates.ts';
import type { Path } from '../geometry/path.ts';
import type { EventOf, Reading, WalkEvent } from '../log/event.ts';
import { lagOf, type OperatorDelay } from '../log/lag.ts';
import { satelliteUncertaintyM, travelledOf, uncertaintyOf } from '../quantity/distanceMethod.ts';
import { WALKING_MPS } from '../quantity/pace.ts';
import { standAt, type MarkedPlace, type Stand } from './stand.ts';
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
  speedMps = WALKING_MPS,
): MarkedPlace => ({
  travelledM: travelledOf(reading, offsetM),
  uncertaintyM: Math.hypot(uncertaintyOf(reading), lagOf(event, 0, delay).uncertaintyS * speedMps),
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
    ...markedFixes(marks, stands, places),
    ...(path ? located.flatMap(locator(path) ?? (() => [])) : []),
  ];
  const marked = new Set(marks.map((e) => e.time.walkS));
  const left = stands.flatMap((s): Fix[] =>
    s.place && s.untilS !== undefined && !marked.has(s.untilS) ? [{ atS: s.untilS, ...s.place }] : [],
  );
  // Of two readings at one moment the better one counts.
  const all = [...fixes, ...left].sort((a, b) => a.atS - b.atS || a.uncertaintyM - b.uncertaintyM);
  return all.filter((f, i) => f.atS !== all[i - 1]?.atS);
}

/**
 * Marks at the speed at which they were passed: a press that comes a fifth of a second late is 0.3 m off on foot,
 * and 2.8 m at 14 m/s. Where one stood, and where one mark alone tells no speed, the pace of a walker.
 */
function markedFixes(
  marks: readonly EventOf<'begin' | 'mark' | 'turn' | 'end'>[],
  stands: readonly Stand[],
  places: PlaceOptions,
): Fix[] {
  const read = marks
    .flatMap((e) =>
      e.body.reading
        ? [
            {
              e,
              reading: e.body.reading,
              atM: travelledOf(e.body.reading, places.offsetM),
              atS: e.time.walkS,
            },
          ]
        : [],
    )
    .sort((a, b) => a.atS - b.atS);
  return read.map(({ e, reading, atM, atS }, i) => {
    const speeds = [read[i - 1], read[i + 1]].flatMap((n) =>
      n && n.atS !== atS ? [Math.abs((n.atM - atM) / (n.atS - atS))] : [],
    );
    const moving = speeds.length > 0 && !standAt(stands, atS);
    return { atS, ...markedPlace(reading, e, places, moving ? Math.max(...speeds) : WALKING_MPS) };
  });
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
