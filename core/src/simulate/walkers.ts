import { METHOD_UNCERTAINTY, scaleUOf, type DistanceMethod } from '../quantity/distanceMethod.ts';
import type { EventBodies, EventKind, WalkEvent } from '../log/event.ts';
import { WALKING_MPS } from '../quantity/pace.ts';
import type { Random } from '../random/seeded.ts';

/** How a person walks and writes: no kinder than people are. */
export interface Habits {
  /** Where one stands, out to the path's end. */
  readonly standsM: readonly number[];
  readonly method: DistanceMethod;
  /** Neither the beginning nor its grade is written down. */
  readonly forgets: boolean;
  /** Walks back over the same stands and logs them, without a word of having turned. */
  readonly comesBack: boolean;
  /** Share of failures that are written down without a distance. */
  readonly unplaced: number;
}

/** Stands at one distance from each other, as far as a path goes. */
export const standsEvery = (stepM: number, pathM: number): number[] =>
  Array.from({ length: Math.floor(pathM / stepM) }, (_, i) => stepM * (i + 1));

/** Stands in one ratio to each other. */
export function standsByRatio(ratio: number, fromM: number, pathM: number): number[] {
  const stands: number[] = [];
  for (let m = fromM; m <= pathM; m *= ratio) stands.push(m);
  return stands;
}

export const PLAIN_HABITS: Habits = {
  standsM: standsEvery(10, 300),
  method: 'marked line',
  forgets: false,
  comesBack: false,
  unplaced: 0,
};

/**
 * The log of one walk to a link that fails at `failsM`: one mark a stand, on arrival, and a count there;
 * nobody marks leaving. `scale`: what the walker's distances are off by, common to a day. The walk ends at
 * the stand behind the first that failed, or with the path.
 */
export function walkAsPeopleDo(
  failsM: number,
  { standsM, method, forgets, comesBack, unplaced }: Habits,
  scale: number,
  random: Random,
): WalkEvent[] {
  const log: WalkEvent[] = [];
  let atS = 0;
  const add = <K extends EventKind>(kind: K, body: EventBodies[K], afterS: number): void => {
    atS += afterS;
    const time = { walkS: atS, rate: 1, inputMs: 1000 * atS, originMs: 0, wallMs: 1000 * atS };
    const seq = log.length + 1;
    log.push({ walkId: 'walk', deviceId: 'walker', seq, version: 1, kind, body, time } as WalkEvent);
  };
  const { independentM } = METHOD_UNCERTAINTY[method];
  const written = (m: number): number => Math.max(0, m * scale + independentM * random.normal());
  add(
    'begin',
    {
      direction: 'mobile-to-fixed',
      mode: 'hits',
      ...(forgets
        ? {}
        : { baselineGrade: 5, reading: { travelledM: 0, method: 'marked line', pressed: false } }),
    },
    0,
  );
  const lost = random.uniform() < unplaced;
  let before = 0;
  const visit = (m: number): void => {
    const awayM = Math.abs(m - before);
    before = m;
    const fails = m >= failsM;
    const reading = { travelledM: written(m), method, pressed: true };
    add('mark', fails && lost ? {} : { reading }, awayM / WALKING_MPS);
    // Some seconds of counting, and the one who counts is in no hurry.
    add('hits', { hits: fails ? 0 : 3, presses: 3 }, 5 + 20 * random.uniform());
  };
  const failing = standsM.findIndex((m) => m >= failsM);
  const last = failing === -1 ? standsM.length : failing + 2;
  standsM.slice(0, last).forEach(visit);
  if (comesBack)
    standsM
      .slice(0, last - 1)
      .reverse()
      .forEach(visit);
  add('end', { reason: 'not stated' }, 10);
  return log;
}

/** How a drive is logged. */
export interface Driving {
  readonly speedMps: number;
  readonly markEveryM: number;
  readonly pathM: number;
  /** What this operator's reaction is in the mean, s: nobody has measured it. */
  readonly reactionS: number;
}

/** Spread of a press about its moment, s. */
const PRESS_S = 0.2;

/** The log of a drive past marks to where the link is lost: all of it pressed, by one operator. */
export function driveAsPeopleDo(
  failsM: number,
  { speedMps, markEveryM, pathM, reactionS }: Driving,
  random: Random,
): WalkEvent[] {
  const pressedS = (m: number): number => m / speedMps + PRESS_S * random.normal();
  const marks = standsEvery(markEveryM, Math.min(pathM, failsM + 2 * markEveryM)).map(
    (m) =>
      [pressedS(m), 'mark', { reading: { travelledM: m, method: 'marked line', pressed: true } }] as const,
  );
  const lost = failsM < pathM ? [[pressedS(failsM) + reactionS, 'dropoutBegin', {}] as const] : [];
  const events = [...marks, ...lost].sort((a, b) => a[0] - b[0]);
  const begin = {
    ...{ direction: 'mobile-to-fixed', mode: 'drive', baselineGrade: 5 },
    reading: { travelledM: 0, method: 'marked line', pressed: false },
  };
  const endS = (events.at(-1)?.[0] ?? 0) + 1;
  return [[0, 'begin', begin] as const, ...events, [endS, 'end', { reason: 'not stated' }] as const].map(
    ([walkS, kind, body], i) =>
      ({
        ...{ walkId: 'walk', deviceId: 'driver', seq: i + 1, version: 1, kind, body },
        time: { walkS, rate: 1, inputMs: 0, originMs: 0, wallMs: i },
      }) as unknown as WalkEvent,
  );
}

/** What a walker's distances of one day are off by, as a factor. */
export const scaleOfDay = (method: DistanceMethod, random: Random): number =>
  Math.exp(scaleUOf(method) * random.normal());
