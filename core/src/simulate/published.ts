import { summariseRanges } from '../estimate/range/summarise.ts';
import type { Ends } from '../estimate/range/ends.ts';
import { SAMPLE_OF_OUTINGS } from '../estimate/range/outings.ts';
import type { Path } from '../geometry/path.ts';
import { judgeClaim } from '../judge/claim.ts';
import { judgeNeed } from '../judge/need.ts';
import { logNormalCdf, Z90 } from '../numeric/normal.ts';
import { scaleUOf, type DistanceMethod } from '../quantity/distanceMethod.ts';
import { seeded, type Random } from '../random/seeded.ts';
import { findWalk, walkIntervals } from '../walk/finding.ts';
import type { WalkInterval } from '../walk/walkInterval.ts';
import {
  driveAsPeopleDo,
  PLAIN_HABITS,
  scaleOfDay,
  standsByRatio,
  standsEvery,
  walkAsPeopleDo,
} from './walkers.ts';

// What is published, held against a truth that is known: two products that reach equally far, walked as people
// walk, by the log.

/** How the walks of two products fall on days. */
export type Days =
  /** Nobody says, and nothing is shared. */
  | 'not stated'
  /** All on one day, with one set-up each. */
  | 'one'
  /** Both products on each of so many days, set up anew on each. */
  | { readonly both: number }
  /** Each product on so many days of its own. */
  | { readonly apart: number };

export interface World {
  readonly walksEach: number;
  /** Standard deviations of ln distance between walks of one set-up, of A and of B. */
  readonly sigmas: readonly [number, number];
  readonly stands: { readonly everyM: number } | { readonly ratio: number };
  readonly method: DistanceMethod;
  /** The path ends here for so great a share of A's walks. */
  readonly tooShort: number;
  readonly days: Days;
  /** Standard deviations of ln distance: of days, which both share, of set-ups and of units. */
  readonly dayU: number;
  readonly setUpU: number;
  /** Units of each product, with that spread between them; 1: one unit. */
  readonly units: number;
  readonly unitU: number;
  /** Share of walks in which something went wrong: they end at 0.4 of the distance. */
  readonly bad: number;
  /** Of the walks that get so far, four in five end there. */
  readonly wallM: number | undefined;
  /** Driven at so many metres a second past marks, instead of walked from stand to stand. */
  readonly drivenMps: number | undefined;
}

export const PLAIN_WORLD: World = {
  walksEach: 5,
  sigmas: [0.25, 0.25],
  stands: { everyM: 10 },
  method: 'wheel',
  tooShort: 0,
  days: 'not stated',
  dayU: 0,
  setUpU: 0,
  units: 1,
  unitU: 0,
  bad: 0,
  wallM: undefined,
  drivenMps: undefined,
};

/**
 * How many intervals of a kind were given, and how many of them hold the truth; of verdicts at the boundary, how many
 * comparisons were judged, and in how many it was not decided falsely.
 */
export interface Told {
  readonly made: number;
  readonly true: number;
}

/** The kinds of statement that are published of walks. */
export const STATEMENTS = [
  'median',
  'p10',
  'ratio',
  'apart',
  'meets',
  'fails',
  'supported',
  'refuted',
] as const;
export type Statement = (typeof STATEMENTS)[number];
export type Published = Readonly<Record<Statement, Told>>;

/** Where the truth lies among the stands differs from set to set. */
const ABOUT_M = 100;
const ABOUT = 0.15;
const WALL_SHARE = 0.8;
const BAD_FACTOR = 0.4;
const LEAST_STAND_M = 12;
const FARTHEST_M = 500;
/** A drive is ten times as long, and passes a mark every so many metres. */
const DRIVE = 10;
const MARK_EVERY_M = 100;

interface Walked {
  readonly rows: WalkInterval[];
  /** ln shifts that the walks of a product share in groups, a walk each. */
  readonly shifts: readonly [number[], number[]];
  /** ln median of a product with nothing shared. */
  readonly logMedian: number;
}

const normalCdf = (z: number): number => Math.exp(logNormalCdf(z));

/** Simulates so many comparisons of a world, and counts what would be published of them. */
export function publishedIn(world: World, sets: number, seed: string): Published {
  const random = seeded('published', seed, JSON.stringify(world));
  const counts = Object.fromEntries(STATEMENTS.map((s) => [s, { made: 0, true: 0 }])) as Record<
    Statement,
    { made: number; true: number }
  >;
  const told = (statement: Statement, isTrue: boolean): void => {
    counts[statement].made++;
    if (isTrue) counts[statement].true++;
  };
  for (let i = 0; i < sets; i++) judgeSet(world, walk(world, random), told);
  return counts;
}

/** Whether both ends agree with a truth; an interval without ends says nothing. */
const holds = (ends: Ends | undefined, truth: number): boolean | undefined =>
  ends && (ends.low !== undefined || ends.high !== undefined)
    ? (ends.low ?? 0) <= truth && truth <= (ends.high ?? Infinity)
    : undefined;

function judgeSet(world: World, walked: Walked, told: (statement: Statement, isTrue: boolean) => void): void {
  const { fitted, productRatios } = summariseRanges(walked.rows, { sharedP10: false });
  const cell = fitted.find((c) => c.product === 'A');
  const truth = truthOf(world, walked);
  const interval = (statement: Statement, ends: Ends | undefined, of: number): void => {
    const held = holds(ends, of);
    if (held !== undefined) told(statement, held);
  };
  interval('median', cell?.withScale95M.median, truth.medianM);
  interval('p10', cell?.withScale95M.p10, truth.p10M);
  const [ratio] = productRatios;
  interval('ratio', ratio?.withScale95, ratio?.forTheseSetUps || world.days === 'one' ? truth.ratio : 1);
  // Set-ups do differ: that these two do is then no false word.
  if (ratio?.holmP !== undefined && !ratio.forTheseSetUps) told('apart', ratio.holmP >= 0.05);
  const own = walked.rows.filter((r) => r.product === 'A');
  // At the boundary nothing may be decided, but by chance.
  const at = (m: number) => ({ entered: '', distanceM: m, condition: 'open' as const });
  const need = judgeNeed({ use: '', ...at(truth.p10M) }, 'last usable', cell, own);
  told('meets', need.outcome !== 'meets');
  told('fails', need.outcome !== 'fails');
  const claim = judgeClaim(
    { ...at(truth.medianM), upTo: false },
    { criterion: 'last usable', cell, unitsTested: world.units, pathReachM: undefined },
  );
  told('supported', claim.outcome !== 'supported');
  told('refuted', claim.outcome !== 'refuted');
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/**
 * What a statement is held against: that of the days, set-ups and units walked where it says that it speaks for
 * them, that of all of them where it does not.
 */
function truthOf(
  world: World,
  { shifts, logMedian }: Walked,
): { medianM: number; p10M: number; ratio: number } {
  const { sigmas, dayU, setUpU, days, walksEach, units } = world;
  const [a, b] = shifts;
  const count =
    days === 'one' ? 1 : days === 'not stated' ? walksEach : 'both' in days ? days.both : days.apart;
  const forThese = units > 1 || (count < walksEach && count < SAMPLE_OF_OUTINGS);
  const parts = forThese ? [...new Set(a)] : [0];
  const spread = forThese ? sigmas[0] : Math.hypot(sigmas[0], dayU, setUpU);
  const below = (log: number): number =>
    mean(parts.map((shift) => shareBelow(world, log - logMedian - shift, spread, log)));
  const ratio = Math.exp(mean([...new Set(b)]) - mean([...new Set(a)]));
  const quantile = (p: number): number => Math.exp(bisect(below, p, logMedian));
  const plain = world.bad === 0 && world.wallM === undefined;
  return {
    medianM: plain ? Math.exp(logMedian + mean(parts)) : quantile(0.5),
    p10M: plain && parts.length === 1 ? Math.exp(logMedian + mean(parts) - Z90 * spread) : quantile(0.1),
    ratio,
  };
}

/** Share of walks that end before a place. */
function shareBelow({ bad, wallM }: World, z: number, spread: number, log: number): number {
  const good = normalCdf(z / spread);
  const walled = wallM !== undefined && log >= Math.log(wallM) ? good + WALL_SHARE * (1 - good) : good;
  return (1 - bad) * walled + bad * normalCdf((z - Math.log(BAD_FACTOR)) / spread);
}

function bisect(below: (log: number) => number, p: number, about: number): number {
  let [low, high] = [about - 5, about + 5];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (below(mid) < p) low = mid;
    else high = mid;
  }
  return high;
}

function walk(world: World, random: Random): Walked {
  const { walksEach, sigmas, days, dayU, setUpU, units, unitU, bad, wallM } = world;
  const medianM = ABOUT_M * Math.exp(ABOUT * (2 * random.uniform() - 1)) * (world.drivenMps ? DRIVE : 1);
  const logMedian = Math.log(medianM);
  const reach = world.tooShort === 0 ? FARTHEST_M : reachOf(world, medianM);
  const standsM =
    'everyM' in world.stands
      ? standsEvery(world.stands.everyM, reach)
      : standsByRatio(world.stands.ratio, LEAST_STAND_M, reach);
  const drawn = once(random, dayU);
  const scales = new Map<string, number>();
  const scale = (day: string): number => {
    const known = scales.get(day) ?? scaleOfDay(world.method, random);
    scales.set(day, known);
    return known;
  };
  // One operator, whose mean nobody knows.
  const reactionS = 0.6 + 0.2 * random.normal();
  const setUps = once(random, setUpU);
  const unitShift = once(random, unitU);
  const shifts: [number[], number[]] = [[], []];
  const rows = (['A', 'B'] as const).flatMap((product, p) =>
    Array.from({ length: walksEach }, (_, i) => {
      const day = dayOf(days, product, i);
      const unit = `${i % units}`;
      const shift =
        (days === 'not stated' ? 0 : drawn(day) + setUps(`${product}${day}`)) +
        (units > 1 ? unitShift(`${product}${unit}`) : 0);
      (shifts[p] as number[]).push(shift);
      const smooth = logMedian + shift + (sigmas[p] as number) * random.normal();
      const worse = random.uniform() < bad ? Math.log(BAD_FACTOR) : 0;
      const walls = wallM !== undefined && random.uniform() < WALL_SHARE;
      const failsM = Math.exp(smooth + worse);
      const endsM = walls ? Math.min(failsM, wallM) : failsM;
      const log = world.drivenMps
        ? driveAsPeopleDo(
            endsM,
            { speedMps: world.drivenMps, markEveryM: MARK_EVERY_M, pathM: DRIVE * FARTHEST_M, reactionS },
            random,
          )
        : walkAsPeopleDo(endsM, { ...PLAIN_HABITS, standsM, method: world.method }, scale(day), random);
      const found = findWalk({ walkId: `${product}${i}`, label: `${i}`, product, path: PATH, log });
      return (found ? walkIntervals([found], 'last usable') : []).map(({ commonUM, ...row }) => ({
        ...row,
        ...(world.drivenMps ? {} : { method: world.method, scaleU: scaleUOf(world.method) }),
        ...(commonUM === undefined ? {} : { offsetUM: commonUM }),
        ...(units > 1 ? { unit } : {}),
        ...(days === 'not stated' && world.method !== 'by eye' ? {} : { outing: day }),
      }));
    }).flat(),
  );
  return { rows, shifts, logMedian };
}

const PATH: Path = {
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM: 10 * DRIVE * FARTHEST_M, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
};

/** One draw a name. */
function once(random: Random, spread: number): (name: string) => number {
  const drawn = new Map<string, number>();
  return (name) => {
    const known = drawn.get(name) ?? spread * random.normal();
    drawn.set(name, known);
    return known;
  };
}

function dayOf(days: Days, product: string, i: number): string {
  if (days === 'one' || days === 'not stated') return 'day';
  return 'both' in days ? `${i % days.both}` : `${product}${i % days.apart}`;
}

/** Where the path must end for that share of A's walks to outlast it. */
function reachOf({ sigmas, tooShort }: World, medianM: number): number {
  let [low, high] = [medianM / 10, medianM * 10];
  for (let i = 0; i < 60; i++) {
    const mid = Math.sqrt(low * high);
    if (normalCdf(Math.log(medianM / mid) / sigmas[0]) > tooShort) low = mid;
    else high = mid;
  }
  return low;
}
