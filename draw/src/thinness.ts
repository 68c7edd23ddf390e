import type { Setup } from '@urvek/contract';
import { scaleText } from '@urvek/core';
import { unitsOf, type RangeView } from '@urvek/study';

const count = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

/** What a reader must know before trusting the figures: said at once, next to them. */
export function thinnessOf(setup: Setup, range: RangeView): string[] {
  const { summary, walks, side } = range;
  const cells = summary.fitted.filter((c) => c.walks > 0);
  const units = unitsOf(setup, range);
  const directions = new Set(walks.flatMap((w) => w.directions));
  const begun = walks.filter((w) => !w.finished).length;
  return [
    ...cells
      .filter((c) => c.walks === 1)
      .map((c) => `${c.product}: one walk decides nothing; its interval is all there is.`),
    ...cells
      .filter((c) => c.walks > 1 && c.walks < 5)
      .map((c) => `${c.product}: ${c.walks} walks give a wide interval.`),
    ...cells
      .filter((c) => c.failures === 0)
      .map((c) => `${c.product}: no walk failed, so what is known is a bound ("more than"), not a range.`),
    ...(summary.reason === undefined
      ? []
      : [`${summary.reason.charAt(0).toUpperCase()}${summary.reason.slice(1)}.`]),
    ...summary.productRatios
      .filter((r) => !r.estimate)
      .map((r) => `${r.numerator} against ${r.denominator}: no ratio (${r.reason ?? 'not estimable'}).`),
    ...coarseSteps(range),
    ...cells
      .filter((c) => c.unplaced > 0)
      .map((c) => `${c.product}: ${count(c.unplaced, 'walk')} failed at a place that nobody knows.`),
    ...cells.flatMap((c) => {
      const scaled = scaleText(c.scale);
      return scaled === undefined ? [] : [`${c.product}: ${scaled}.`];
    }),
    ...(units.size > 0 && [...units.values()].every((n) => n === 1)
      ? [
          `One unit of ${[...units.keys()].join(', of ')}: the results speak for ${units.size === 1 ? 'that unit' : 'those units'}.`,
        ]
      : []),
    ...(directions.size === 1 && side !== 'both ways' ? [`Looked at ${[...directions][0]} only.`] : []),
    ...(begun > 0
      ? [`${count(begun, 'walk')} begun and not finished: what is left may be the better ones.`]
      : []),
  ];
}

/** A difference smaller than the steps between marks was not seen, but interpolated. */
function coarseSteps({ summary, walks }: RangeView): string[] {
  const steps = walks.flatMap(({ interval: r }) =>
    r?.failedM !== undefined && r.heldM > 0 && r.failedM > r.heldM ? [Math.log(r.failedM / r.heldM)] : [],
  );
  if (steps.length === 0) return [];
  const step = steps.reduce((a, b) => a + b, 0) / steps.length;
  return summary.productRatios
    .filter((r) => r.estimate && Math.abs(r.estimate.logRatio) < step)
    .map(
      (r) =>
        `${r.numerator} against ${r.denominator}: the brackets are ${(100 * Math.expm1(step)).toFixed(0)} % wide on the average, wider than the difference.`,
    );
}
