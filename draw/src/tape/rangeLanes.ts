import {
  aboutText,
  outingText,
  formatLength,
  scaleText,
  type Bounds,
  type CellFinding,
  type LengthUnit,
  type OutcomeInterval,
} from '@urvek/core';
import type { RangeWalk } from '@urvek/study';
import type { Bracket, Lane } from './tape.ts';
import * as phrases from './phrases.ts';

/** A product's estimate and, under it, every walk's bracket. */
export function rangeLanes(cell: CellFinding, walks: readonly RangeWalk[], unit: LengthUnit): Lane[] {
  const own = walks.filter((w) => w.product === cell.product);
  const { median } = cell.withScale95M;
  const estimate: Lane = {
    id: `estimate-${cell.product}`,
    label: cell.product,
    note: phrases.countedWalks(cell.walks),
    title: `${cell.product}: ${estimateText(cell, unit)}`,
    estimate: { lowM: median?.low, valueM: cell.median?.estimateM, highM: median?.high },
    height: 36,
  };
  return [
    estimate,
    ...own.flatMap(({ walkId, label, interval }) =>
      interval
        ? [
            {
              id: `walk-${walkId}`,
              label: phrases.walk(label),
              title: `${cell.product}, walk ${label}: ${intervalText(interval, unit)}`,
              brackets: [drawn(interval)],
              height: 19,
            },
          ]
        : [],
    ),
  ];
}

/** A moment that was noticed is drawn as wide as its place is known. */
function drawn({ heldM, failedM, heldUM = 0, failedUM = 0, unplaced }: OutcomeInterval): Bracket {
  return failedM === heldM
    ? { heldM: Math.max(0, heldM - COVERAGE * heldUM), failedM: failedM + COVERAGE * failedUM }
    : { heldM, failedM, ...(unplaced ? { unplaced } : {}) };
}

/** Two standard uncertainties: about 95 %. */
const COVERAGE = 2;

/**
 * "held to 100 m, failed by 120 m", "at 118 m ± 3 m", "more than 420 m", "less than 20.0 m", "failed at an
 * unknown place beyond 30.0 m".
 */
export function intervalText(
  { heldM, failedM, failedUM, unplaced }: OutcomeInterval,
  unit: LengthUnit,
): string {
  const show = (m: number): string => formatLength(m, unit);
  if (unplaced)
    return phrases.failedPlaceUnknown(
      heldM > 0 ? phrases.beyond(show(heldM)) : '',
      failedM === undefined ? '' : phrases.noFartherThan(show(failedM)),
    );
  if (failedM === undefined) return phrases.moreThan(show(heldM));
  if (heldM === 0) return phrases.lessThan(show(failedM));
  if (heldM === failedM)
    return phrases.at(show(heldM), failedUM === undefined ? '' : ` ± ${show(COVERAGE * failedUM)}`);
  return phrases.heldToFailedBy(show(heldM), show(failedM));
}

/** The estimate with its interval, the error of its distances included, or what is known instead of one. */
export function estimateText(cell: CellFinding, unit: LengthUnit): string {
  const show = (m: number): string => formatLength(m, unit);
  const scaled = scaleText(cell.scale);
  const n = [
    `n = ${cell.walks}`,
    cell.medianBy === 'own spread' ? phrases.byItsOwnSpread : undefined,
    outingText(cell.outings),
    scaled,
  ]
    .filter((t) => t !== undefined)
    .join('; ');
  const { median: interval } = cell.withScale95M;
  const range = interval && endsText(interval.low, interval.high, show);
  if (cell.median)
    return range === undefined
      ? phrases.medianNoBoundWithinTenTimes(show(cell.median.estimateM), n)
      : phrases.median95Percent(show(cell.median.estimateM), range, n);
  const { bounds } = cell;
  if (!bounds) return phrases.noWalkWithAnOutcome;
  if (cell.failures === 0)
    return scaled === undefined
      ? phrases.moreThanInOfWalks(show(bounds.allHeldToM), cell.walks)
      : phrases.heldToTheEndAtLeast(
          aboutText(show(bounds.allHeldToM), cell.scale),
          show(cell.withScale95M.allHeldToM ?? 0),
          cell.walks,
        );
  if (bounds.common && cell.unplaced === 0)
    return phrases.agreesWithEveryWalk(
      commonText(bounds.common, unit),
      n,
      range === undefined ? '' : phrases.median95Percent2(range),
    );
  return `${cell.reason ?? phrases.notEstimable} (${n})${range === undefined ? '' : phrases.median95Percent2(range)}`;
}

function commonText({ heldM, failedM }: NonNullable<Bounds['common']>, unit: LengthUnit): string {
  const show = (m: number): string => formatLength(m, unit);
  if (failedM === undefined) return phrases.moreThan(show(heldM));
  return heldM === failedM ? show(heldM) : phrases.betweenAnd(show(heldM), show(failedM));
}

/** Why a product has no distance that nine of ten walks hold to. */
export const noTenthText = ({ reason }: CellFinding): string => reason ?? phrases.itsOwnWalksBoundNone;

export function endsText(
  low: number | undefined,
  high: number | undefined,
  show: (value: number) => string,
): string | undefined {
  if (low === undefined && high === undefined) return undefined;
  if (high === undefined) return phrases.moreThan(show(low as number));
  if (low === undefined) return phrases.lessThan(show(high));
  return phrases.to(show(low), show(high));
}
