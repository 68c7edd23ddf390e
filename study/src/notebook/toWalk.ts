import { isNearer, kindOf, type EventBodies, type Grade, type WalkEvent } from '@urvek/core';
import { cutText, type StoredWalk } from '@urvek/contract';
import type { Placed } from './kit.ts';
import type { Observation, RowEvent } from './readRow.ts';

/** A walk as its rows tell it. */
export interface Drawn extends Placed {
  /** Its day, "2026-05-12"; absent: nobody says. */
  readonly date: string | undefined;
  /** Who judged by ear or eye; absent: nobody says. */
  readonly gradedBy: string | undefined;
  readonly rows: readonly {
    readonly read: Observation;
    /** Seconds of the day. */
    readonly atS: number | undefined;
  }[];
}

/** So many signs are kept of what stands beside a row; a note holds twice as many units. */
const MOST_WORDS = 1000;
/** Signs of a place's name. */
const LONGEST_PLACE = 60;
/** From one row to the next on the clock of a walk without times: it orders, and tells no seconds. */
const TICK_S = 1;
/** Written down, nothing is late by anybody's reaction. */
const WRITTEN = { reactionS: 0, spreadS: 0 };
const LOST: Grade = 1;
/** "Reached" says that it was usable, and no more. */
const REACHED: Grade = 3;

type Add = <K extends WalkEvent['kind']>(kind: K, body: EventBodies[K]) => void;

/** Dropouts are moments where each has its place; else the walk is read stand by stand. */
export const isWatched = (rows: readonly Observation[]): boolean => {
  const moments = rows.filter((o) => o.event === 'dropout' || o.event === 'back');
  return moments.length > 0 && moments.every((o) => o.reading !== undefined);
};

/** The log of a walk, and from which row on it is taken to be the way back, where nobody wrote that. */
export function walkOf(
  { product, rigId, path, date, gradedBy, rows }: Drawn,
  index: number,
  comparisonId: string,
  { newId, nowMs }: { readonly newId: () => string; readonly nowMs: number },
): { walk: StoredWalk; backFrom: Observation | undefined } {
  const [walkId, deviceId] = [newId(), newId()];
  const seconds = timesOf(rows);
  const startedMs = startOf(date, rows[0]?.atS, nowMs) + index;
  const observed = rows.map((r) => r.read);
  const watched = isWatched(observed);
  const log: WalkEvent[] = [];
  const adder =
    (i: number): Add =>
    (kind, body) => {
      const walkS = seconds?.[i] ?? TICK_S * (i + 1);
      const wallMs = startedMs + 1000 * walkS;
      const time = { walkS, rate: 1, inputMs: 1000 * walkS, originMs: startedMs, wallMs };
      log.push({
        walkId,
        deviceId,
        seq: log.length + 1,
        version: 1,
        kind,
        body,
        time,
      } as unknown as WalkEvent);
    };
  const begin = observed[0]?.event === 'begin' ? observed[0] : undefined;
  const inwards = observed.some((o) => o.event === 'first reached');
  adder(begin ? 0 : -1)('begin', {
    direction:
      observed.find((o) => o.directions.length === 1)?.directions[0] ?? kindOf(product.kindId).direction,
    mode: watched ? 'continuous' : modeOf(observed),
    ...placeOf(begin?.reading),
    ...(begin?.grade === undefined ? {} : { baselineGrade: begin.grade }),
    ...(inwards ? { inwards: true as const } : {}),
    ...(seconds ? {} : { untimed: true as const }),
    ...(gradedBy === undefined ? {} : { conditions: { gradedBy } }),
    delay: WRITTEN,
  });
  const back = inwards ? undefined : fallsFrom(observed);
  let ended = false;
  observed.forEach((o, i) => {
    const add = adder(i);
    if (i === back) add('turn', {});
    if (!seconds && o.time !== undefined) add('note', { text: `time: ${o.time}` });
    ended ||= o.event === 'end';
    if (o !== begin) addRow(add, o, watched);
    // Begun out of reach: there it was not, or one could not reach it later.
    else if (inwards && o.reading) addRow(add, { ...o, grade: o.grade ?? LOST }, watched);
    else addSaid(add, { ...o, grade: undefined }, watched);
  });
  if (!ended) adder(observed.length)('end', { reason: 'not stated' });
  return {
    backFrom: back === undefined ? undefined : observed[back],
    walk: {
      header: {
        id: walkId,
        comparisonId,
        productId: product.id,
        rigId,
        pathId: path.id,
        startedMs,
        ...(date === undefined ? { undated: true } : {}),
      },
      log,
    },
  };
}

/** The device's own midnight, from which times of day count; without a time it is noon. */
function startOf(date: string | undefined, atS: number | undefined, nowMs: number): number {
  if (date === undefined && atS === undefined) return nowMs;
  const day = date === undefined ? new Date(nowMs) : new Date(`${date}T12:00:00`);
  const [y, m, d] = [day.getFullYear(), day.getMonth(), day.getDate()];
  return new Date(y, m, d, 0, 0, atS ?? 12 * 3600).getTime() - 1000 * TICK_S;
}

function modeOf(rows: readonly Observation[]): EventBodies['begin']['mode'] {
  if (rows.some((o) => o.rung)) return 'ladder';
  return rows.some((o) => o.hits !== undefined && o.event !== 'tried') ? 'hits' : 'stop and call';
}

/** Seconds since the first row, where every row has a time and each is later than the one before. */
function timesOf(rows: Drawn['rows']): readonly number[] | undefined {
  const first = rows[0]?.atS;
  if (first === undefined) return undefined;
  const seconds = rows.map((r) => (r.atS === undefined ? Number.NaN : r.atS - first + TICK_S));
  return seconds.every((s, i) => i === 0 || s > (seconds[i - 1] as number))
    ? [...seconds, (seconds.at(-1) as number) + TICK_S]
    : undefined;
}

/** Where distances begin to fall for good, and nobody wrote that one turned. */
function fallsFrom(rows: readonly Observation[]): number | undefined {
  if (rows.some((o) => o.event === 'turn')) return undefined;
  const placed = rows.flatMap((o, i) =>
    o.reading && o.side === 'at' && o.event !== 'fixed end moved' ? [{ i, reading: o.reading }] : [],
  );
  const farthest = placed.reduce<(typeof placed)[number] | undefined>(
    (a, b) => (a && a.reading.travelledM >= b.reading.travelledM ? a : b),
    undefined,
  );
  return farthest && placed.find((p) => p.i > farthest.i && isNearer(farthest.reading, p.reading))?.i;
}

/** Not heard, or of no use. */
const isBad = (o: Observation): boolean =>
  o.grade !== undefined ? o.grade <= 2 : o.tries !== undefined && (o.hits ?? 0) < o.tries / 2;

/** Beyond what is written it surely held there, and failed nobody knows where; short of it the other way round. */
function placeToLog(o: Observation): Observation['reading'] {
  if (o.side === 'at') return o.reading;
  return (o.side === 'over') === isBad(o) ? undefined : o.reading;
}

/** Somebody read it, and no wheel logged it by itself; written down, nothing is late. */
const placeOf = (reading: Observation['reading']) =>
  reading ? { reading: { ...reading, pressed: true } } : {};
const nameOf = (o: Observation): string | undefined =>
  o.point === undefined ? undefined : cutText(o.point, LONGEST_PLACE);

/** Events that say where, if only that it was here. */
const PLACES: readonly RowEvent[] = ['mark', 'failed', 'first reached'];

function addRow(add: Add, o: Observation, watched: boolean): void {
  const reading = placeToLog(o);
  const note = (): void => {
    if (o.note) add('note', { text: cutText(o.note, MOST_WORDS) });
  };
  switch (o.event) {
    case 'turn':
      add('turn', placeOf(reading));
      return note();
    case 'end':
      if (says(o)) break;
      note();
      return add('end', { reason: o.endReason, ...placeOf(reading) });
    case 'fixed end moved':
      if (reading) add('fixedEnd', { reading: { ...reading, pressed: true } });
      return note();
    default:
  }
  const name = nameOf(o);
  const isPlace = o.event !== undefined && PLACES.includes(o.event);
  if (reading || name !== undefined || says(o) || isPlace)
    add('mark', {
      ...placeOf(reading),
      ...(name === undefined ? {} : { name }),
      ...(watched && o.event === undefined && says(o) ? { stand: true as const } : {}),
    });
  addSaid(add, o, watched);
  if (o.event === 'end') add('end', { reason: o.endReason });
}

const says = (o: Observation): boolean =>
  o.grade !== undefined || o.tries !== undefined || o.rung !== undefined || o.measured.length > 0;

/** What was found at the place that has just been marked. */
function addSaid(add: Add, o: Observation, watched: boolean): void {
  if (watched && o.event === 'dropout') add('dropoutBegin', {});
  if (watched && o.event === 'back') add('dropoutEnd', {});
  if (o.event === 'reset') add('reconnected', { how: 'after power-cycle' });
  if (o.event === 're-paired') add('reconnected', { how: 'after re-pairing' });
  if (o.event === 'hand-over')
    add('landmark', {
      what: 'hand-over',
      ...(o.handOverTo === undefined ? {} : { name: o.handOverTo }),
    });
  if (o.event === 'tried') {
    const tries = o.tries ?? 1;
    add('tried', { tries, failed: tries - (o.hits ?? 0) });
  }
  if (o.note) add('note', { text: cutText(o.note, MOST_WORDS) });
  // Short of a distance and good: said, and no hold.
  if (o.side === 'under' && !isBad(o)) return;
  const grade = o.grade ?? (watched ? undefined : gradeOfEvent(o));
  if (watched && grade !== undefined && o.event !== 'dropout') add('grade', { grade });
  const checkpoint = nameOf(o) ?? metresText(placeToLog(o));
  const counted = o.hits !== undefined && o.event !== 'tried';
  for (const direction of o.directions) {
    if (!watched && grade !== undefined)
      add('call', { checkpoint, direction, grade, tries: counted ? 1 : (o.tries ?? 1) });
    if (counted && o.tries !== undefined && o.hits !== undefined)
      add('hits', { presses: o.tries, hits: o.hits, direction });
    if (o.rung) add('rung', { ...o.rung, direction });
  }
  for (const measured of o.measured) add('measured', measured);
}

function gradeOfEvent({ event }: Observation): Grade | undefined {
  if (event === 'dropout' || event === 'failed') return LOST;
  return event === 'first reached' ? REACHED : undefined;
}

const metresText = (reading: Observation['reading']): string =>
  reading ? `${Math.round(reading.travelledM * 100) / 100} m` : 'place unknown';
