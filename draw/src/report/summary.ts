import type { Setup } from '@urvek/contract';
import { formatLength, type CellFinding, type LengthUnit, type RatioFinding } from '@urvek/core';
import { claimText, rangeTitle, type ClaimVerdict, type RangeView } from '@urvek/study';
import { endsText } from '../tape/rangeLanes.ts';

const walks = (n: number): string => `${n} ${n === 1 ? 'walk' : 'walks'}`;

/** How far one product is good for, in a sentence with its uncertainty. */
export function reachSentence(
  cell: CellFinding,
  { criterion, path }: Pick<RangeView, 'criterion' | 'path'>,
  unit: LengthUnit,
): string {
  const show = (m: number): string => formatLength(m, unit);
  const interval =
    cell.interval95M.median && endsText(cell.interval95M.median.low, cell.interval95M.median.high, show);
  if (cell.median && interval !== undefined)
    return `${cell.product}: half of its walks on ${path.name} hold to ${show(cell.median.estimateM)} or farther before ${criterion}, known to lie within ${interval} (95 %, ${walks(cell.walks)}).`;
  if (cell.bounds && cell.bounds.allFailedByM === undefined)
    return `${cell.product}: held to ${show(cell.bounds.allHeldToM)} on ${path.name} in ${cell.walks} of ${walks(cell.walks)}, where the path ended; how much farther was not tested.`;
  if (interval !== undefined)
    return `${cell.product}: its median for ${criterion} on ${path.name} lies within ${interval} (95 %, ${walks(cell.walks)}).`;
  return `${cell.product}: ${walks(cell.walks)} on ${path.name} bound no median (${cell.reason ?? 'too few'}).`;
}

/** One product against another. */
export function ratioSentence({
  numerator,
  denominator,
  estimate,
  interval95,
  reason,
  walks: [a, b],
  holmP,
}: RatioFinding): string {
  const interval = interval95 && endsText(interval95.low, interval95.high, (v) => v.toFixed(2));
  const n = `${a} and ${walks(b)}`;
  if (!estimate)
    return `${numerator} against ${denominator}: no ratio (${reason ?? 'not estimable'}${interval === undefined ? '' : `; 95 %: ${interval}`}; ${n}).`;
  const apart = (interval95?.low ?? 0) > 1 || (interval95?.high ?? Infinity) < 1;
  const p = holmP === undefined ? '' : `; p = ${holmP < 0.001 ? '< 0.001' : holmP.toFixed(3)} over all pairs`;
  return `${numerator} reaches ${estimate.ratio.toFixed(2)}× as far as ${denominator}${interval === undefined ? '' : ` (95 %: ${interval}; ${n}${p})`}; ${apart ? 'the walks tell them apart' : 'these walks do not tell them apart'}.`;
}

export const claimSentence = ({ product, claim, path, verdict, neverSettled }: ClaimVerdict): string =>
  `${product.name}, “${claimText(claim)}”${path ? ` on ${path.name}` : ''}: ${verdict.outcome}. ${verdict.reason}${neverSettled === undefined ? '' : ` The plan could never have settled it: ${neverSettled}.`}`;

/** The paragraph that stands for one path and kind. */
export const rangeSummary = (setup: Setup, range: RangeView, unit: LengthUnit): string =>
  `${rangeTitle(setup, range)}. ${[...range.summary.fitted.filter((c) => c.walks > 0).map((c) => reachSentence(c, range, unit)), ...range.summary.productRatios.map(ratioSentence)].join(' ')}`;
