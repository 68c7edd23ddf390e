import { distanceOverWalks } from '../estimate/hits/overWalks.ts';
import { summariseRanges } from '../estimate/range/summarise.ts';
import { capOf } from '../estimate/figures/cap.ts';
import { holdAndFail, meetsNeed } from '../estimate/figures/figureCriterion.ts';
import { judgeClaim } from '../judge/claim.ts';
import { judgeThroughputClaim } from '../judge/throughputClaim.ts';
import { walksToTell } from '../numeric/walksToTell.ts';
import { seeded, type Random } from '../random/seeded.ts';
import type { WalkInterval } from '../walk/walkInterval.ts';
import type { Told } from './published.ts';

// What is published of presses, readings and numbers of walks, held against a known truth.

interface Count {
  made: number;
  true: number;
}
const none = (): Count => ({ made: 0, true: 0 });
const count = (to: Count, isTrue: boolean): void => {
  to.made++;
  if (isTrue) to.true++;
};

const D50_M = 100;
const WALKS_DIFFER = 0.2;
/** Slope of the logit on ln distance. */
const SLOPE = 8;
const PRESSES = 10;
const STANDS_M = [40, 55, 70, 85, 100, 115, 130, 150, 175, 200];

/** Distances at which half, and nine in ten, of presses are answered; each walk has its own. */
export function trialDistancesIn(
  walksEach: number,
  sets: number,
  seed: string,
): { readonly d50: Told; readonly d90: Told } {
  const random = seeded('presses', seed, walksEach);
  const [d50, d90] = [none(), none()];
  // Nine in ten are answered where the logit is ln 9.
  const truth90M = D50_M * Math.exp(-Math.log(9) / SLOPE);
  for (let i = 0; i < sets; i++) {
    const walks = Array.from({ length: walksEach }, (_, k) => ({ walk: `${k}`, rows: pressed(random) }));
    for (const [counted, p, truthM] of [
      [d50, 0.5, D50_M],
      [d90, 0.9, truth90M],
    ] as const) {
      const found = distanceOverWalks(walks, p);
      if (!('reason' in found)) count(counted, found.low <= truthM && truthM <= found.high);
    }
  }
  return { d50, d90 };
}

function pressed(random: Random): { distanceM: number; trials: number; successes: number }[] {
  const own = Math.log(D50_M) + WALKS_DIFFER * random.normal();
  return STANDS_M.map((distanceM) => {
    const p = 1 / (1 + Math.exp(SLOPE * (Math.log(distanceM) - own)));
    let successes = 0;
    for (let i = 0; i < PRESSES; i++) if (random.uniform() < p) successes++;
    return { distanceM, trials: PRESSES, successes };
  });
}

/** A claim of throughput that is just true, its line measured: it should be neither supported nor refuted. */
export function throughputVerdictsIn(
  visits: number,
  sets: number,
  seed: string,
): { readonly supported: Told; readonly refuted: Told } {
  const random = seeded('throughput', seed, visits);
  const [supported, refuted] = [none(), none()];
  for (let i = 0; i < sets; i++) {
    const read = Array.from({ length: visits }, () => ({
      distanceM: 5,
      mbps: 300 * Math.exp(0.1 * random.normal()),
    }));
    const claim = { entered: '300 Mbit/s', mbps: 300, upTo: false };
    const { outcome } = judgeThroughputClaim(claim, read, undefined, 900);
    count(supported, outcome !== 'supported');
    count(refuted, outcome !== 'refuted');
  }
  return { supported, refuted };
}

/** Stands of a walk with readings, m, and where half of the walks cross the figure. */
const READ_M = [20, 40, 60, 80, 100, 120, 150, 180];
const CROSSES_M = 95;
const NEED_MBPS = 40;

/**
 * How often the interval of the distance to which a figure reaches holds the truth: readings fall past it, each walk at
 * a place of its own, and scatter at every stand.
 */
export function figureReachIn(walksEach: number, sets: number, seed: string): Told {
  const random = seeded('figure', seed, walksEach);
  const reach = none();
  for (let i = 0; i < sets; i++) {
    const rows = Array.from({ length: walksEach }, (_, k): WalkInterval => {
      const crossesM = CROSSES_M * Math.exp(WALKS_DIFFER * random.normal());
      const marks = READ_M.map((atM) => {
        const read = Array.from({ length: 3 }, () => ({
          value: NEED_MBPS * (crossesM / atM) ** 2 * Math.exp(0.05 * random.normal()),
        }));
        return { atM, met: meetsNeed(read, { quantity: 'throughput', figure: NEED_MBPS }) === true };
      });
      const { held, failed } = holdAndFail(marks);
      return { product: 'A', path: 'P', walk: `${k}`, heldM: held?.atM ?? 0, failedM: failed?.atM };
    });
    const ends = summariseRanges(rows).fitted[0]?.interval95M.median;
    if (ends) count(reach, (ends.low ?? 0) <= CROSSES_M && CROSSES_M <= (ends.high ?? Infinity));
  }
  return reach;
}

/** How often five near stands are taken for a cap, where readings scatter and the link falls by a share a stand. */
export function capSharesIn(scatter: number, fall: number, sets: number, seed: string): Told {
  const random = seeded('cap', seed, `${scatter} ${fall}`);
  const caps = none();
  for (let i = 0; i < sets; i++) {
    const rows = [2, 4, 6, 8, 10].map((distanceM, k) => ({
      distanceM,
      mbps: 300 * (1 - fall) ** k * Math.exp(scatter * random.normal()),
    }));
    count(caps, capOf(rows) !== undefined);
  }
  return caps;
}

/** How often a claim that lies so far from the median is decided with as many walks as are said to be wanted. */
export function decidedWithMoreWalks(gap: number, sigma: number, sets: number, seed: string): Told {
  const random = seeded('more walks', seed, `${gap} ${sigma}`);
  const walks = walksToTell(gap, sigma) ?? 0;
  const decided = none();
  for (let i = 0; i < sets; i++) {
    const rows = Array.from({ length: walks }, (_, k) => {
      const m = 100 * Math.exp(sigma * random.normal());
      return { product: 'A', path: 'P', walk: `${k}`, heldM: m, failedM: m };
    });
    const [cell] = summariseRanges(rows).fitted;
    const { outcome } = judgeClaim(
      { entered: '', distanceM: 100 * Math.exp(-gap), upTo: false, condition: 'open' },
      { criterion: 'last usable', cell, unitsTested: 1, pathReachM: undefined },
    );
    count(decided, outcome === 'supported');
  }
  return decided;
}
