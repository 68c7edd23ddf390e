import {
  balancedAfterRounds,
  bothEnds,
  boundsOf,
  daylight,
  doubleUse,
  flatBatteries,
  narrowEnough,
  nextPointM,
  parseClock,
  pathLengthM,
  runTimeH,
  timetable,
  twoPlaces,
  walkIntervals,
  type Daylight,
  type PlannedUse,
  type Slot,
  type TimedWalk,
  criterionFor,
  type WantedCriterion,
} from '@urvek/core';
import { type Product, type Setup } from '@urvek/contract';
import { claimedRatios } from './claimedRatios.ts';
import type { Finding, SetupPath } from '../results/findings.ts';
import { plannedPaths, plannedRigs, plannedWalks, type PlannedWalk } from './plannedWalks.ts';
import * as phrases from './phrases.ts';

/** Changing over, baseline and reconnecting, minutes a walk (common practice). */
export const SETTLE_MIN = 3;
/** When to be missed: this long after the last walk should be over. */
export const GRACE_MIN = 15;

/** The walks of a plan with their clock times; those of a round side by side share them. */
export function timedPlan(setup: Setup): TimedWalk<Slot<PlannedWalk>>[] {
  const { plan } = setup;
  return timetable(
    plannedWalks(setup),
    ({ item, round }) => ({
      lengthM: pathLengthM(item.path),
      rigId: item.rig.id,
      together: plan.sideBySide && item.variant === 'plain' ? `${item.path.id}/${round}` : undefined,
    }),
    { startMin: parseClock(plan.startTime), setUpMin: plan.setUpMin, settleMin: SETTLE_MIN },
  );
}

/** Daylight at the first planned path that has a coordinate, on the day of the plan. */
export function planDaylight(setup: Setup): (Daylight & { path: SetupPath }) | undefined {
  const path = plannedPaths(setup).find((p) => p.fixedEnd);
  return path?.fixedEnd && setup.plan.day ? { ...daylight(setup.plan.day, path.fixedEnd), path } : undefined;
}

/**
 * What cannot be done as planned. `localMinutes` turns an instant into minutes after midnight where the
 * plan is read.
 */
export function planTroubles(setup: Setup, localMinutes: (ms: number) => number): string[] {
  const { plan } = setup;
  const times = timedPlan(setup);
  const [first, last] = [times[0], times.at(-1)];
  if (!first || !last) return [];
  const uses = times.map((t) => useOf(t));
  const hours = (last.toMin - first.fromMin) / 60;
  const sun = planDaylight(setup);
  const [riseMin, setMin] = [sun?.sunriseMs, sun?.sunsetMs].map((ms) =>
    ms === undefined ? undefined : localMinutes(ms),
  );
  return [
    ...bothEnds(uses),
    ...doubleUse(uses),
    ...twoPlaces(plan.atFixedEnd, plan.atMobileEnd),
    ...flatBatteries(uses),
    ...(plan.hoursAtHand !== undefined && hours > plan.hoursAtHand
      ? [phrases.theWalksTakeHHMore(hours.toFixed(1), (hours - plan.hoursAtHand).toFixed(1))]
      : []),
    ...(riseMin !== undefined && first.fromMin < riseMin ? [phrases.theFirstWalkBeginsBeforeSunrise] : []),
    ...(setMin !== undefined && last.toMin > setMin
      ? [phrases.theLastWalkEndsMinutesAfter(Math.round(last.toMin - setMin))]
      : []),
  ];
}

function useOf({ item: { item }, fromMin, toMin }: TimedWalk<Slot<PlannedWalk>>): PlannedUse {
  const { product, rig, path } = item;
  const label = (id: string): string =>
    phrases.unit(product.name, product.units.find((u) => u.id === id)?.label ?? id);
  // A rig with one unit named at both ends stands for a product that is one piece: only two units can clash.
  const ids = product.units.length > 1 ? [rig.unitFixedId, rig.unitMobileId] : [rig.unitMobileId];
  return {
    what: phrases.on(product.name, path.name),
    fromMin,
    toMin,
    units: ids.map((id) => ({ id, label: label(id) })),
    rigId: rig.id,
    rigLabel: `${product.name}, ${rig.name}`,
    batteryH: runTimeH(rig),
  };
}

/** Where the next walk of a product should be looked at closely. */
export interface NextPoint {
  readonly product: Product;
  readonly path: SetupPath;
  readonly heldM: number;
  readonly failedM: number | undefined;
  /**
   * Geometric mean of hold and fail; absent when the bracket is as narrow as wanted, or nothing has failed.
   */
  readonly nextM: number | undefined;
}

/**
 * After each walk: between the farthest hold and the nearest fail lies the next point, until they are as
 * near as the ratio wants.
 */
export function nextPoints(
  setup: Setup,
  findings: readonly Finding[],
  criterion: WantedCriterion,
): NextPoint[] {
  return plannedPaths(setup).flatMap((path) =>
    [...new Set(plannedRigs(setup).map((r) => r.product))].flatMap((product): NextPoint[] => {
      const walks = walkIntervals(
        findings.filter((f) => f.header.productId === product.id && f.header.pathId === path.id),
        criterionFor(criterion, product.kindId),
      );
      const { common } = walks.length > 0 ? boundsOf(walks) : { common: undefined };
      if (!common) return [];
      const { heldM, failedM } = common;
      return [
        {
          product,
          path,
          heldM,
          failedM,
          nextM:
            failedM === undefined || !(heldM > 0 && failedM > heldM)
              ? undefined
              : nextPointM(
                  heldM,
                  failedM,
                  narrowEnough([setup.plan.ratio, ...claimedRatios(setup, product.id)]),
                ),
        },
      ];
    }),
  );
}

export interface KindBalance {
  readonly kindId: string;
  readonly products: readonly {
    readonly name: string;
    /** Rounds that it leads, on each path. */ readonly leads: number;
  }[];
  /** Rounds after which all lead equally often. */
  readonly balancedAfter: number;
}

/** Who leads how often among the products of a kind. */
export function planBalance(setup: Setup): KindBalance[] {
  const [path] = plannedPaths(setup);
  const rigs = plannedRigs(setup);
  const slots = plannedWalks(setup).filter((s) => s.item.path === path && s.item.variant === 'plain');
  return [...new Set(rigs.map((r) => r.product.kindId))].map((kindId) => {
    const own = slots.filter((s) => s.item.product.kindId === kindId);
    const firsts = [...new Set(own.map((s) => s.round))].map(
      (round) => own.filter((s) => s.round === round).sort((a, b) => a.place - b.place)[0]?.item.product,
    );
    const products = [...new Set(rigs.filter((r) => r.product.kindId === kindId).map((r) => r.product))];
    return {
      kindId,
      products: products.map((p) => ({ name: p.name, leads: firsts.filter((f) => f === p).length })),
      balancedAfter: balancedAfterRounds(rigs.filter((r) => r.product.kindId === kindId).length),
    };
  });
}
