import type { Ends, RatioFinding } from '../estimate/range/summarise.ts';
import type { Criterion } from '../grade/criterion.ts';
import type { Verdict } from './claim.ts';

/** "2×", "8 % farther" than another product. */
export interface RatioClaim {
  readonly entered: string;
  readonly ratio: number;
  readonly product: string;
  readonly against: string;
}

/** A ratio the other way round. */
const inverted = ({ low, high }: Ends): Ends => ({
  low: high === undefined ? undefined : 1 / high,
  high: low === undefined ? undefined : 1 / low,
});

/**
 * Judges a claim of a ratio by the interval of that ratio on one path: same criterion, grade scale and path
 * for both, or no verdict. Supported when the whole interval lies at or beyond it, refuted when it lies
 * below.
 */
export function judgeRatioClaim(
  { entered, ratio, product, against }: RatioClaim,
  finding: RatioFinding | undefined,
  criterion: Criterion,
): Verdict {
  const caveats = [`Judged on the ratio of medians of "${criterion}".`];
  if (!finding)
    return {
      outcome: 'not tested',
      reason: `${product} and ${against} were not both walked here.`,
      next: `Walk both, in turn, on one path of this condition.`,
      caveats,
    };
  const same = finding.numerator === product;
  const ends = finding.interval95 && (same ? finding.interval95 : inverted(finding.interval95));
  const n = `n = ${(same ? finding.walks : [finding.walks[1], finding.walks[0]]).join(' and ')}`;
  const show = (end: number | undefined, without: string): string =>
    end === undefined ? without : end.toFixed(2);
  if (ends?.low !== undefined && ends.low >= ratio)
    return {
      outcome: 'supported',
      reason: `${product} reaches at least ${show(ends.low, '')} times as far as ${against}, with 95 % confidence (${n}); the claim is ${entered}.`,
      next: undefined,
      caveats,
    };
  if (ends?.high !== undefined && ends.high < ratio)
    return {
      outcome: 'refuted',
      reason: `${product} reaches at most ${show(ends.high, '')} times as far as ${against}, with 95 % confidence (${n}); the claim is ${entered}.`,
      next: undefined,
      caveats,
    };
  const known = ends
    ? `the ratio lies between ${show(ends.low, 'no bound')} and ${show(ends.high, 'no bound')}`
    : (finding.reason ?? 'no interval');
  return {
    outcome: 'undecided',
    reason: `The claim of ${entered} is not settled: ${known} (${n}).`,
    next: 'More walks of both in a balanced order, with marks no wider apart than the root of the claimed ratio.',
    caveats,
  };
}
