import type { Path } from '../geometry/path.ts';
import { endsLastStretch, LEAST_GOOD_GRADE, type OutwardCriterion } from '../grade/criterion.ts';
import {
  SIMULATED_SITE,
  startWalk,
  type SimulatedGear,
  type SimulatedSite,
  type Tick,
} from './simulatedGear.ts';

/** True separation of an outward event in a simulated walk; undefined when the path ended first. */
export function trueEventM(ticks: readonly Tick[], criterion: OutwardCriterion): number | undefined {
  const out = ticks.filter((t) => !t.returning);
  const least = LEAST_GOOD_GRADE[criterion];
  if (endsLastStretch(criterion)) {
    const last = out.findLastIndex((t) => t.grade >= least);
    return last === out.length - 1 ? undefined : out[last + 1]?.separationM;
  }
  return out.find((t) => t.grade < least)?.separationM;
}

/**
 * Median and p10 of the first dropout over many walks of one simulated rig on one path: what an estimate
 * should find. Undefined where more than that share of walks never failed.
 */
export function trueFirstDropout(
  simulatedGear: SimulatedGear,
  path: Path,
  walks: number,
  seed: string,
  site: SimulatedSite = SIMULATED_SITE,
): { medianM: number | undefined; p10M: number | undefined } {
  const events = Array.from({ length: walks }, (_, i) =>
    firstDropoutM(simulatedGear, path, `${seed}/${i}`, site),
  ).sort((a, b) => a - b);
  const quantile = (p: number): number | undefined => {
    const value = events[Math.floor(p * events.length)] as number;
    return value < Infinity ? value : undefined;
  };
  return { medianM: quantile(0.5), p10M: quantile(0.1) };
}

function firstDropoutM(simulatedGear: SimulatedGear, path: Path, seed: string, site: SimulatedSite): number {
  const walk = startWalk(simulatedGear, path, seed, site);
  for (;;) {
    const tick = walk.step();
    if (tick.grade === 1) return tick.separationM;
    if (tick.standing) return Infinity;
  }
}
