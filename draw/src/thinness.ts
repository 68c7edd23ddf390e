import type { RangeSummary } from '@urvek/core';

/** What a reader must know before trusting the figures: said at once, next to them. */
export function thinnessOf(summary: RangeSummary): string[] {
  const cells = summary.fitted.filter((c) => c.walks > 0);
  return [
    ...cells.filter((c) => c.walks === 1).map((c) => `${c.product}: one walk decides nothing; its interval is all there is.`),
    ...cells.filter((c) => c.walks > 1 && c.walks < 5).map((c) => `${c.product}: ${c.walks} walks give a wide interval.`),
    ...cells.filter((c) => c.bounds?.allFailedByM === undefined && c.reason?.startsWith('no failure')).map((c) => `${c.product}: no walk failed, so what is known is a bound ("more than"), not a range.`),
    ...(summary.reason === undefined ? [] : [`${summary.reason}.`]),
    ...summary.productRatios.filter((r) => !r.estimate).map((r) => `${r.numerator} against ${r.denominator}: no ratio (${r.reason ?? 'not estimable'}).`),
  ];
}
