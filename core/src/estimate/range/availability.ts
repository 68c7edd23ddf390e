import { wilson } from '../../numeric/binomial.ts';
import type { Trace } from '../../walk/trace.ts';
import * as phrases from './phrases.ts';

/** Share of time, or of stands, at which the link was clear between two travelled distances, over walks. */
export interface AvailabilityBin {
  readonly fromM: number;
  readonly toM: number;
  readonly walks: number;
  readonly clearShare: number;
  /** 95 %, with the walk, not the second, as the unit of evidence. */
  readonly low: number;
  readonly high: number;
}

/** Seconds that a stretch spends inside a bin, if it moved evenly; of a walk that looked at stands, stands. */
function weightIn(stretch: Trace['stretches'][number], fromM: number, toM: number, post: boolean): number {
  const { from, to, fromS, toS } = stretch;
  if (!from || !to) return 0;
  const [a, b] = [Math.min(from.travelledM, to.travelledM), Math.max(from.travelledM, to.travelledM)];
  // A post: a stand counts once, however long one stood there.
  if (b === a) return a >= fromM && a < toM ? (post ? 1 : toS - fromS) : 0;
  return (Math.max(0, Math.min(b, toM) - Math.max(a, fromM)) / (b - a)) * (toS - fromS);
}

/**
 * Availability on the way out in bins of `binM`. Each walk gives one share a bin; their mean has Wilson's
 * interval for so many of so many walks: cautious, since a share between 0 and 1 scatters less than a yes
 * or no.
 */
export function availability(traces: readonly Trace[], lengthM: number, binM: number): AvailabilityBin[] {
  if (!(binM > 0)) throw new RangeError(phrases.invalidBinm(binM));
  return Array.from(
    { length: Math.ceil(lengthM / binM - 1e-9) },
    (_, i) => [i * binM, Math.min(lengthM, (i + 1) * binM)] as const,
  ).flatMap(([fromM, toM]) => {
    const shares = traces.flatMap((trace) => {
      const out = trace.stretches.filter((s) => !s.returning && s.stated);
      const total = out.reduce((sum, s) => sum + weightIn(s, fromM, toM, trace.byStands), 0);
      return total > 0
        ? [
            out.reduce(
              (sum, s) => sum + (s.state === 'clear' ? weightIn(s, fromM, toM, trace.byStands) : 0),
              0,
            ) / total,
          ]
        : [];
    });
    if (shares.length === 0) return [];
    const sum = Math.min(
      shares.length,
      shares.reduce((a, b) => a + b, 0),
    );
    return [
      { fromM, toM, walks: shares.length, clearShare: sum / shares.length, ...wilson(sum, shares.length) },
    ];
  });
}
