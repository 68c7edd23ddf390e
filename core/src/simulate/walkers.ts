import { METHOD_UNCERTAINTY, scaleUOf, type DistanceMethod } from '../quantity/distanceMethod.ts';
import type { EventBodies, EventKind, WalkEvent } from '../log/event.ts';
import type { Random } from '../random/seeded.ts';

/** How a person walks and writes: no kinder than people are. */
export interface Habits {
  /** Stands are so far apart, m, up to the path's end. */
  readonly stepM: number;
  readonly pathM: number;
  readonly method: DistanceMethod;
  /** Neither the beginning nor its grade is written down. */
  readonly forgets: boolean;
  /** Walks back over the same stands and logs them, without a word of having turned. */
  readonly comesBack: boolean;
  /** Share of failures that are written down without a distance. */
  readonly unplaced: number;
}

export const PLAIN_HABITS: Habits = {
  stepM: 10,
  pathM: 300,
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
  { stepM, pathM, method, forgets, comesBack, unplaced }: Habits,
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
  const visit = (m: number): void => {
    const fails = m >= failsM;
    const reading = { travelledM: written(m), method, pressed: true };
    add('mark', fails && lost ? {} : { reading }, stepM / 1.4);
    // Some seconds of counting, and the one who counts is in no hurry.
    add('hits', { hits: fails ? 0 : 3, presses: 3 }, 5 + 20 * random.uniform());
  };
  const stands = Array.from({ length: Math.floor(pathM / stepM) }, (_, i) => stepM * (i + 1));
  const last = Math.min(stands.length, Math.ceil(failsM / stepM) + 1);
  stands.slice(0, last).forEach(visit);
  if (comesBack)
    stands
      .slice(0, last - 1)
      .reverse()
      .forEach(visit);
  add('end', { reason: 'not stated' }, 10);
  return log;
}

/** What a walker's distances of one day are off by, as a factor. */
export const scaleOfDay = (method: DistanceMethod, random: Random): number =>
  Math.exp(scaleUOf(method) * random.normal());
