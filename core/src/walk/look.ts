import type { Direction } from '../grade/direction.ts';
import type { Grade } from '../grade/grade.ts';
import type { EventOf, WalkEvent } from '../log/event.ts';
import { median } from '../numeric/median.ts';
import { scoreReadBack } from './readBack.ts';
import { standAt, type Stand } from './stand.ts';

/** Least share of a baseline, or of presses, that each grade asks for (the scales of router and remote). */
const LEAST_SHARE: readonly (readonly [Grade, number])[] = [
  [5, 0.9],
  [4, 0.5],
  [3, 0.1],
];

/** Grade of k hits of n presses: all, at least 90 %, at least 50 %, some, none. */
export function gradeOfHits(hits: number, presses: number): Grade {
  if (!(presses > 0 && hits >= 0 && hits <= presses))
    throw new RangeError(`invalid hits: ${hits} of ${presses}`);
  if (hits === presses) return 5;
  if (hits === 0) return 1;
  return hits / presses >= 0.9 ? 4 : hits / presses >= 0.5 ? 3 : 2;
}

/** Grade of a throughput against the baseline at the near point; nothing received is grade 1. */
export function gradeOfThroughput(mbps: number | undefined, baselineMbps: number): Grade {
  if (!(baselineMbps > 0)) throw new RangeError(`invalid baselineMbps: ${baselineMbps}`);
  if (mbps === undefined || mbps === 0) return 1;
  return LEAST_SHARE.find(([, least]) => mbps / baselineMbps >= least)?.[0] ?? 2;
}

/** What was found at one stand, in one direction. Between two looks nobody looked. */
export interface Look {
  readonly atS: number;
  readonly direction: Direction;
  /** The least and the most that was noticed there: they differ where it came and went. */
  readonly worst: Grade;
  readonly best: Grade;
  /** Absent: looked at on the move, with no stop. */
  readonly stand: Stand | undefined;
}

/** Which kinds are looks, and not what is noticed in passing. */
type Looked = EventOf<'call' | 'hits' | 'readBack' | 'rung' | 'tried' | 'measured'>;

export const isLook = (event: WalkEvent): event is Looked =>
  event.kind === 'call' ||
  event.kind === 'hits' ||
  event.kind === 'readBack' ||
  event.kind === 'rung' ||
  event.kind === 'tried' ||
  (event.kind === 'measured' && event.body.quantity === 'throughput');

const directionOf = (event: Looked, main: Direction): Direction =>
  event.kind === 'tried' ? main : (event.body.direction ?? main);

/** The directions in which something was called, pressed, read back or read. */
export const lookedDirections = (events: readonly WalkEvent[], main: Direction): Direction[] => [
  ...new Set(events.filter(isLook).map((e) => directionOf(e, main))),
];

/**
 * The looks of one direction, one a stand: what was called there, presses pooled, words read back,
 * throughput against that of the first stand that has one, rungs, tries. Each kind gives a grade; where
 * there are several, the least stands.
 */
export function looksOf(
  events: readonly WalkEvent[],
  stands: readonly Stand[],
  main: Direction,
  direction: Direction,
): Look[] {
  const own = events.filter(isLook).filter((e) => directionOf(e, main) === direction);
  const groups: { stand: Stand | undefined; events: Looked[] }[] = [];
  for (const event of own) {
    const stand = standAt(stands, event.time.walkS);
    const last = groups.at(-1);
    if (last && stand && last.stand === stand) last.events.push(event);
    else groups.push({ stand, events: [event] });
  }
  let baseline: number | undefined;
  return groups.flatMap(({ stand, events: here }): Look[] => {
    const mbps = readings(here);
    if (mbps.length > 0 && baseline === undefined && median(mbps) > 0) baseline = median(mbps);
    const grades = [
      calledGrade(here),
      pressedGrade(here),
      readBackGrade(here),
      rungGrade(here),
      baseline === undefined || mbps.length === 0 ? undefined : gradeOfThroughput(median(mbps), baseline),
    ].filter((g) => g !== undefined);
    if (grades.length === 0) return [];
    const grade = Math.min(...grades) as Grade;
    return [{ atS: (here[0] as Looked).time.walkS, direction, worst: grade, best: grade, stand }];
  });
}

const of = <K extends Looked['kind']>(events: readonly Looked[], kind: K): EventOf<K>[] =>
  events.filter((e) => e.kind === kind) as unknown as EventOf<K>[];

/** The middle one of the calls, but not "nothing" where one of them came through: a fade is not the limit. */
function calledGrade(events: readonly Looked[]): Grade | undefined {
  const grades = of(events, 'call')
    .map((e) => e.body.grade)
    .sort((a, b) => a - b);
  const low = grades[Math.floor((grades.length - 1) / 2)];
  return low === 1 && (grades.at(-1) ?? 1) > 1 ? 2 : low;
}

/** Presses and tries together: k of n. */
function pressedGrade(events: readonly Looked[]): Grade | undefined {
  const counts = [
    ...of(events, 'hits').map(({ body }) => [body.hits, body.presses] as const),
    ...of(events, 'tried').map(({ body }) => [body.tries - body.failed, body.tries] as const),
  ];
  const [k, n] = counts.reduce(([a, b], [hits, presses]) => [a + hits, b + presses], [0, 0] as readonly [
    number,
    number,
  ]);
  return n > 0 ? gradeOfHits(k, n) : undefined;
}

/** Words or figures read back, by the share that came through. */
function readBackGrade(events: readonly Looked[]): Grade | undefined {
  const scores = of(events, 'readBack').map(({ body }) => scoreReadBack(body.sent, body.heard));
  if (scores.length === 0) return undefined;
  const sent = scores.reduce((sum, s) => sum + s.of, 0);
  return sent > 0
    ? gradeOfHits(
        scores.reduce((sum, s) => sum + s.right, 0),
        sent,
      )
    : undefined;
}

/** The best rung that works: speech is usable, a tone or data tells only that one is there. */
function rungGrade(events: readonly Looked[]): Grade | undefined {
  const rungs = of(events, 'rung').map((e) => e.body);
  if (rungs.length === 0) return undefined;
  const working = rungs.filter((r) => r.worked);
  return working.some((r) => r.rung === 'voice') ? 4 : working.length > 0 ? 2 : 1;
}

const readings = (events: readonly Looked[]): number[] =>
  of(events, 'measured').map((e) => e.body.value ?? 0);
