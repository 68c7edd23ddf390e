import { STOPPING_MODES, type Reading, type WalkEvent, type WalkMode } from '../log/event.ts';
import type { DistanceMethod } from '../quantity/distanceMethod.ts';

/** A place along the path, as a mark tells it. */
export interface MarkedPlace {
  readonly travelledM: number;
  /** Independent standard uncertainty. */
  readonly uncertaintyM: number;
  readonly method: DistanceMethod;
}

/**
 * A stop at one place: from the mark that begins it to the next mark that is elsewhere, to "I go on", or to
 * the end. All that is logged in it has its place.
 */
export interface Stand {
  readonly fromS: number;
  /** The first moment that no longer belongs to it; absent for the last, which lasts to the end. */
  readonly untilS: number | undefined;
  /** Absent: nobody knows where it was; in the order of the route it has its place. */
  readonly place: MarkedPlace | undefined;
  readonly name: string | undefined;
}

/** What nobody logs while walking: a mark before it is a stand, in any mode. */
const impliesStand = (event: WalkEvent): boolean =>
  event.kind === 'call' ||
  event.kind === 'hits' ||
  event.kind === 'readBack' ||
  event.kind === 'rung' ||
  event.kind === 'tried' ||
  // A monitor's level can be logged in passing.
  (event.kind === 'measured' && event.body.quantity !== 'level' && !event.body.moving);

/** Two marks nearer than this, half a stride, are of one stand, m. */
const ONE_PLACE_M = 0.5;

interface Open {
  readonly fromS: number;
  readonly place: MarkedPlace | undefined;
  readonly name: string | undefined;
  /** It is a stand whatever follows. */
  sure: boolean;
  /** The last moment of what makes it one. */
  impliedS: number | undefined;
}

/**
 * The stands of a log, in order. In the modes that stop every mark begins one; in those that move, a mark
 * does where one has said so, or where a call, presses or a reading follow before the next mark: it then
 * lasts to the last of these.
 * @param events in force, in order of the walk's clock
 */
export function standsOf(
  events: readonly WalkEvent[],
  mode: WalkMode,
  placeOf: (reading: Reading, event: WalkEvent) => MarkedPlace,
): Stand[] {
  const stopping = STOPPING_MODES.includes(mode);
  const stands: Stand[] = [];
  let open: Open | undefined;
  const close = (atS?: number): void => {
    if (open && (open.sure || open.impliedS !== undefined)) {
      const { fromS, place, name, sure, impliedS } = open;
      const lasted = sure || stopping ? undefined : justAfter(impliedS as number);
      const untilS = lasted !== undefined && atS !== undefined ? Math.min(atS, lasted) : (atS ?? lasted);
      if (untilS === undefined || untilS > fromS) stands.push({ fromS, untilS, place, name });
    }
    open = undefined;
  };
  const arrive = (event: WalkEvent, reading: Reading | undefined, name?: string, said = false): void => {
    const place = reading && placeOf(reading, event);
    if (open && isSame(open, place, name)) {
      open.sure ||= said;
      return;
    }
    const atS = event.time.walkS;
    close(atS);
    const deliberate = reading === undefined || reading.pressed || name !== undefined;
    open = { fromS: atS, place, name, sure: said || (stopping && deliberate), impliedS: undefined };
  };
  for (const event of events) {
    const atS = event.time.walkS;
    if (event.kind === 'begin') arrive(event, event.body.reading);
    else if (event.kind === 'mark')
      arrive(event, event.body.reading, event.body.name, event.body.stand === true);
    else if (event.kind === 'goOn') close(atS);
    else if ((event.kind === 'turn' || event.kind === 'end') && event.body.reading)
      arrive(event, event.body.reading);
    else if (open && impliesStand(event)) open.impliedS = atS;
  }
  close();
  return stands;
}

const isSame = (open: Open, place: MarkedPlace | undefined, name: string | undefined): boolean =>
  place && open.place
    ? Math.abs(place.travelledM - open.place.travelledM) <= ONE_PLACE_M
    : !place && !open.place && name === open.name;

/** An entry belongs to the stand that it ends. */
const justAfter = (atS: number): number => atS + 1e-6;

/** Whether a moment is of a stand. */
export const isAtStand = ({ fromS, untilS }: Pick<Stand, 'fromS' | 'untilS'>, atS: number): boolean =>
  atS >= fromS && (untilS === undefined || atS < untilS);

/** The stand of a moment. */
export const standAt = (stands: readonly Stand[], atS: number): Stand | undefined =>
  stands.find((s) => isAtStand(s, atS));
