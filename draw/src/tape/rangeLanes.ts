import {
  countOf,
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

/** A product's estimate and, under it, every walk's bracket. */
export function rangeLanes(cell: CellFinding, walks: readonly RangeWalk[], unit: LengthUnit): Lane[] {
  const own = walks.filter((w) => w.product === cell.product);
  const { median } = cell.withScale95M;
  const estimate: Lane = {
    id: `estimate-${cell.product}`,
    label: cell.product,
    note: countOf(cell.walks, 'walk'),
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
              label: `   walk ${label}`,
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
    return `failed, place unknown${heldM > 0 ? `, beyond ${show(heldM)}` : ''}${failedM === undefined ? '' : `, no farther than ${show(failedM)}`}`;
  if (failedM === undefined) return `more than ${show(heldM)}`;
  if (heldM === 0) return `less than ${show(failedM)}`;
  if (heldM === failedM)
    return `at ${show(heldM)}${failedUM === undefined ? '' : ` ± ${show(COVERAGE * failedUM)}`}`;
  return `held to ${show(heldM)}, failed by ${show(failedM)}`;
}

/** The estimate with its interval, the error of its distances included, or what is known instead of one. */
export function estimateText(cell: CellFinding, unit: LengthUnit): string {
  const show = (m: number): string => formatLength(m, unit);
  const scaled = scaleText(cell.scale);
  const n = [
    `n = ${cell.walks}`,
    cell.medianBy === 'own spread' ? 'by its own spread' : undefined,
    outingText(cell.outings),
    scaled,
  ]
    .filter((t) => t !== undefined)
    .join('; ');
  const { median: interval } = cell.withScale95M;
  const range = interval && endsText(interval.low, interval.high, show);
  if (cell.median)
    return range === undefined
      ? `median ${show(cell.median.estimateM)} (no bound within ten times what was observed; ${n})`
      : `median ${show(cell.median.estimateM)} (95 %: ${range}; ${n})`;
  const { bounds } = cell;
  if (!bounds) return 'no walk with an outcome';
  if (cell.failures === 0)
    return scaled === undefined
      ? `more than ${show(bounds.allHeldToM)} in ${cell.walks} of ${cell.walks} walks`
      : `held to the end, ${aboutText(show(bounds.allHeldToM), cell.scale)}: at least ${show(cell.withScale95M.allHeldToM ?? 0)} (n = ${cell.walks})`;
  if (bounds.common && cell.unplaced === 0)
    return `${commonText(bounds.common, unit)} agrees with every walk (${n})${range === undefined ? '' : `; median 95 %: ${range}`}`;
  return `${cell.reason ?? 'not estimable'} (${n})${range === undefined ? '' : `; median 95 %: ${range}`}`;
}

function commonText({ heldM, failedM }: NonNullable<Bounds['common']>, unit: LengthUnit): string {
  const show = (m: number): string => formatLength(m, unit);
  if (failedM === undefined) return `more than ${show(heldM)}`;
  return heldM === failedM ? show(heldM) : `between ${show(heldM)} and ${show(failedM)}`;
}

/** Why a product has no distance that nine of ten walks hold to. */
export const noTenthText = ({ reason }: CellFinding): string => reason ?? 'its own walks bound none';

export function endsText(
  low: number | undefined,
  high: number | undefined,
  show: (value: number) => string,
): string | undefined {
  if (low === undefined && high === undefined) return undefined;
  if (high === undefined) return `more than ${show(low as number)}`;
  if (low === undefined) return `less than ${show(high)}`;
  return `${show(low)} to ${show(high)}`;
}
