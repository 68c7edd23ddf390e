import type { Setup } from '@urvek/contract';
import { scaleText } from '@urvek/core';
import { unitsOf, type RangeView } from '@urvek/study';
import { cellRests, say, walkRests, type Sentence } from './report/sentence.ts';
import * as phrases from './phrases.ts';

/** What a reader must know before trusting the figures: said at once, next to them. */
export function thinnessOf(setup: Setup, range: RangeView): Sentence[] {
  const { summary, walks, side } = range;
  const cells = summary.fitted.filter((c) => c.walks > 0);
  const units = unitsOf(setup, range);
  const directions = new Set(walks.flatMap((w) => w.directions));
  const begun = walks.filter((w) => !w.finished);
  const of = (text: string, ...products: string[]): Sentence => say(text, cellRests(range, products));
  const ofAll = (text: string): Sentence => say(text, cellRests(range));
  return [
    ...cells
      .filter((c) => c.walks === 1)
      .map((c) => of(phrases.oneWalkDecidesNothingItsInterval(c.product), c.product)),
    ...cells
      .filter((c) => c.walks > 1 && c.walks < 5)
      .map((c) => of(phrases.walksGiveAWideInterval(c.product, c.walks), c.product)),
    ...cells
      .filter((c) => c.failures === 0)
      .map((c) => of(phrases.noWalkFailedSoWhatIs(c.product), c.product)),
    ...(summary.reason === undefined || cells.length === 0
      ? []
      : [ofAll(`${summary.reason.charAt(0).toUpperCase()}${summary.reason.slice(1)}.`)]),
    ...summary.productRatios
      .filter((r) => !r.estimate)
      .map((r) =>
        of(
          phrases.againstNoRatio(r.numerator, r.denominator, r.reason ?? phrases.notEstimable),
          r.numerator,
          r.denominator,
        ),
      ),
    ...coarseSteps(range),
    ...cells
      .filter((c) => c.unplaced > 0)
      .map((c) =>
        of(phrases.failedAtAPlaceThatNobody(c.product, phrases.countedWalks(c.unplaced)), c.product),
      ),
    ...cells.flatMap((c) => {
      const scaled = scaleText(c.scale);
      return scaled === undefined ? [] : [of(`${c.product}: ${scaled}.`, c.product)];
    }),
    ...(units.size > 0 && [...units.values()].every((n) => n === 1)
      ? [ofAll(phrases.oneUnitOfTheResultsSpeak([...units.keys()].join(phrases.ofText), units.size))]
      : []),
    ...(directions.size === 1 && side !== 'both ways'
      ? [say(phrases.lookedAtOnly([...directions][0]), walkRests(walks))]
      : []),
    ...(begun.length > 0
      ? [say(phrases.begunAndNotFinishedWhatIs(phrases.countedWalks(begun.length)), walkRests(begun))]
      : []),
  ];
}

/** A difference smaller than the steps between marks was not seen, but interpolated. */
function coarseSteps(range: RangeView): Sentence[] {
  const { summary, walks } = range;
  const steps = walks.flatMap(({ interval: r }) =>
    r?.failedM !== undefined && r.heldM > 0 && r.failedM > r.heldM ? [Math.log(r.failedM / r.heldM)] : [],
  );
  if (steps.length === 0) return [];
  const step = steps.reduce((a, b) => a + b, 0) / steps.length;
  return summary.productRatios
    .filter((r) => r.estimate && Math.abs(r.estimate.logRatio) < step)
    .map((r) =>
      say(
        phrases.againstTheBracketsArePercentWide(
          r.numerator,
          r.denominator,
          (100 * Math.expm1(step)).toFixed(0),
        ),
        cellRests(range, [r.numerator, r.denominator]),
      ),
    );
}
