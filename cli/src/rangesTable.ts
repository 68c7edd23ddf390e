import type { RangeSummary } from '@urvek/core';
import { endsText, estimateText } from '@urvek/draw';

/** The summary for a person: one line a product and path, one a ratio. */
export function rangesTable(summary: RangeSummary): string {
  const { n, censoring } = summary;
  const cells = summary.fitted.map((c) => [
    c.product,
    c.path,
    c.walks === 0 && c.median === undefined ? (c.reason ?? '') : estimateText(c, 'm'),
  ]);
  const widths = [0, 1].map((i) => Math.max(...cells.map((row) => (row[i] as string).length)));
  const ratios = summary.productRatios.map((r) => {
    const range = r.withScale95 && endsText(r.withScale95.low, r.withScale95.high, (v) => v.toFixed(3));
    const known = range === undefined ? '' : ` (95 %: ${range})`;
    const told = r.estimate ? `${r.estimate.ratio.toFixed(3)}${known}` : `no ratio: ${r.reason}`;
    return `${r.numerator} / ${r.denominator}: ${told}`;
  });
  return [
    `${n} walks: ${censoring.interval} intervals, ${censoring.exact} exact, ${censoring.right} that ` +
      `the path ended, ${censoring.left} that failed at the first point`,
    ...(summary.reason === undefined ? [] : [summary.reason]),
    '',
    ...cells.map(
      (row) =>
        `${(row[0] as string).padEnd(widths[0] as number)}  ` +
        `${(row[1] as string).padEnd(widths[1] as number)}  ${row[2]}`,
    ),
    ...(ratios.length > 0 ? ['', ...ratios] : []),
    ...(summary.sigma === undefined
      ? []
      : [
          '',
          `walks differ by a factor of ${Math.exp(summary.sigma).toFixed(3)} (one standard deviation of ln ` +
            `distance: ${summary.sigma.toFixed(4)})`,
        ]),
    '',
  ].join('\n');
}
