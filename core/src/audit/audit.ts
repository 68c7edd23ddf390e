import type { AuditCase, AuditRule } from './case/auditCase.ts';
import { announced } from './consistency/announced.ts';
import { beyondPlan } from './consistency/beyondPlan.ts';
import type { ConsistencyRule, Entered } from './consistency/entered.ts';
import { failedWithoutDistance } from './consistency/failedWithoutDistance.ts';
import { impossibleMean } from './consistency/impossibleMean.ts';
import { impossibleReading } from './consistency/impossibleReading.ts';
import { logAgainstTable } from './consistency/logAgainstTable.ts';
import { sameFigure } from './consistency/sameFigure.ts';
import { sameReading } from './consistency/sameReading.ts';
import { twoEnds } from './consistency/twoEnds.ts';
import { antennaPlace } from './fairness/antennaPlace.ts';
import { bestOf } from './fairness/bestOf.ts';
import { cap } from './fairness/cap.ts';
import { channel } from './fairness/channel.ts';
import { connectors } from './fairness/connectors.ts';
import { deafEnd } from './fairness/deafEnd.ts';
import { distanceMethod } from './fairness/distanceMethod.ts';
import { foliage } from './fairness/foliage.ts';
import { graders } from './fairness/graders.ts';
import { heights } from './fairness/heights.ts';
import { instrument } from './fairness/instrument.ts';
import { judgedKnowing } from './fairness/judgedKnowing.ts';
import { knownPhrase } from './fairness/knownPhrase.ts';
import { load } from './fairness/load.ts';
import { notStated } from './fairness/notStated.ts';
import { oneDirection } from './fairness/oneDirection.ts';
import { order } from './fairness/order.ts';
import { orientation } from './fairness/orientation.ts';
import { otherTransmitters } from './fairness/otherTransmitters.ts';
import { pathAndMode } from './fairness/pathAndMode.ts';
import { playoutBuffer } from './fairness/playoutBuffer.ts';
import { power } from './fairness/power.ts';
import { repeatability } from './fairness/repeatability.ts';
import { startNotZero } from './fairness/startNotZero.ts';
import { stepAgainstDifference } from './fairness/stepAgainstDifference.ts';
import { surprise } from './fairness/surprise.ts';
import { timeOfDay } from './fairness/timeOfDay.ts';
import { twoThings } from './fairness/twoThings.ts';
import { unitsTested } from './fairness/unitsTested.ts';
import { weather } from './fairness/weather.ts';
import { width } from './fairness/width.ts';

export const FAIRNESS_RULES: readonly AuditRule[] = [
  heights,
  antennaPlace,
  orientation,
  channel,
  width,
  power,
  instrument,
  cap,
  load,
  weather,
  foliage,
  timeOfDay,
  order,
  pathAndMode,
  distanceMethod,
  stepAgainstDifference,
  unitsTested,
  oneDirection,
  deafEnd,
  startNotZero,
  playoutBuffer,
  otherTransmitters,
  connectors,
  bestOf,
  knownPhrase,
  twoThings,
  surprise,
  repeatability,
  judgedKnowing,
  graders,
  notStated,
];

export const CONSISTENCY_RULES: readonly ConsistencyRule[] = [
  impossibleMean,
  sameFigure,
  logAgainstTable,
  announced,
  failedWithoutDistance,
  twoEnds,
  impossibleReading,
  sameReading,
  beyondPlan,
];

/** A finding with its rule and where it was found. */
export interface Audited {
  /** The same as long as the thing found is: what is acknowledged is kept by it. */
  readonly key: string;
  readonly audit: 'fairness' | 'consistency';
  readonly rule: string;
  readonly title: string;
  readonly path: string;
  readonly products: readonly string[];
  readonly what: string;
  readonly sizeDb: number | undefined;
  readonly size: string | undefined;
  readonly mend: string;
}

type Found = Omit<Audited, 'key'>;

/**
 * Findings of all rules over all cases, one that stands on several paths once. Those come first that could
 * change a verdict most: an effect of known size that reaches the smallest advantage found, then effects of
 * unknown size, then effects of known size that stay below it.
 */
export function auditFairness(cases: readonly AuditCase[]): Audited[] {
  const ranked = cases.flatMap((of) =>
    FAIRNESS_RULES.flatMap((rule) =>
      rule.find(of).map((f) => {
        const found: Found = { ...f, audit: 'fairness', rule: rule.id, title: rule.title, path: of.pathName };
        return { found, rank: rankOf(found, of) };
      }),
    ),
  );
  return withKeys(oncePerThing(ranked.sort((a, b) => b.rank - a.rank).map((r) => r.found)));
}

export const auditConsistency = (entered: Entered): Audited[] =>
  withKeys(
    CONSISTENCY_RULES.flatMap((rule) =>
      rule.find(entered).map((f) => ({
        ...f,
        audit: 'consistency' as const,
        rule: rule.id,
        title: rule.title,
        sizeDb: undefined,
        size: undefined,
      })),
    ),
  );

function oncePerThing(found: readonly Found[]): Found[] {
  const things = new Map<string, Found>();
  for (const f of found) {
    const thing = [f.rule, ...f.products, f.what].join('/');
    const before = things.get(thing);
    things.set(thing, before ? { ...before, path: `${before.path}, ${f.path}` } : f);
  }
  return [...things.values()];
}

/**
 * Rule and products name a finding; a second one of the same is told by its path, a third by what it says.
 */
function withKeys(found: readonly Found[]): Audited[] {
  const taken = new Set<string>();
  return found.map((f) => {
    const names = [
      [f.rule, ...f.products],
      [f.rule, ...f.products, f.path],
      [f.rule, ...f.products, f.path, f.what],
    ].map((parts) => parts.join('/').slice(0, 300));
    const key = names.find((name) => !taken.has(name)) ?? (names[2] as string);
    taken.add(key);
    return { ...f, key };
  });
}

function rankOf({ sizeDb, products }: Found, { ratios, products: all, exponent }: AuditCase): number {
  if (sizeDb === undefined) return 0;
  const names = all.filter((p) => products.includes(p.id)).map((p) => p.name);
  const advantages = ratios.flatMap((r) =>
    r.estimate && names.some((n) => n === r.numerator || n === r.denominator)
      ? [(10 * exponent * Math.abs(r.estimate.logRatio)) / Math.LN10]
      : [],
  );
  const least = advantages.length > 0 ? Math.min(...advantages) : 0;
  return sizeDb >= least ? 1000 + sizeDb - least : sizeDb - least;
}
