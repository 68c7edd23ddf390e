import { plural } from '../quantity/plural.ts';
import type { LikeStands, SpeedRatio } from '../estimate/figures/speedRatio.ts';
import type { Next, Verdict } from './claim.ts';

/** What two products' readings say of each other at like stands. */
export interface SpeedEvidence {
  readonly like: LikeStands;
  readonly ratio: SpeedRatio | undefined;
  readonly bound: 'at least' | 'at most' | undefined;
  readonly refused: string | undefined;
}

/** The lower end of what a ratio can be, and the upper: a bound has one of them. */
const endsOf = ({ ratio, bound }: SpeedEvidence): { low: number | undefined; high: number | undefined } => ({
  low: bound === 'at most' ? undefined : ratio?.interval95?.low,
  high: bound === 'at least' ? undefined : ratio?.interval95?.high,
});

/** "2.1 times (95 %: 1.8 to 2.5) at 4 like stands, of 3 and 3 walks". */
export function speedRatioText({ ratio, bound, like }: SpeedEvidence): string | undefined {
  if (!ratio) return undefined;
  const { interval95, stands, walks } = ratio;
  const ends =
    interval95 === undefined
      ? 'no interval: a side has one walk only'
      : `95 %: ${interval95.low.toFixed(2)} to ${interval95.high.toFixed(2)}`;
  const left = like.of - like.both.length;
  const without = left > 0 ? `; left out, for one of them had no connection: ${left}` : '';
  return `${bound ? `${bound} ` : ''}${ratio.ratio.toFixed(2)} times (${ends}) at ${stands.length} like ${plural(stands.length, 'stand')}, of ${walks.join(' and ')} walks${without}`;
}

/** Judges "15 × the speed" on speeds at like stands, never on distances. */
export function judgeSpeedClaim(
  claim: {
    readonly entered: string;
    readonly ratio: number;
    readonly upTo: boolean;
    readonly against: string;
  },
  evidence: SpeedEvidence | undefined,
): Verdict {
  const { entered, ratio, upTo, against } = claim;
  const caveats = ['Judged on the ratio of speeds at stands where both were read, walk by walk.'];
  const figures = evidence?.ratio;
  const said = (outcome: Verdict['outcome'], reason: string, more?: Next): Verdict => ({
    ...{ outcome, reason, caveats, next: undefined, ...more },
    found: figures && {
      figure: `${evidence.bound ? `${evidence.bound} ` : ''}×${figures.ratio.toFixed(2)}`,
      interval:
        figures.interval95 && `${figures.interval95.low.toFixed(2)} to ${figures.interval95.high.toFixed(2)}`,
      n: figures.walks.join(', '),
    },
  });
  if (!evidence)
    return said(
      'not tested',
      `No throughput of both it and ${against} was read on one path of this condition.`,
      {
        step: 'read both',
        next: 'Read both at the same stands, with one instrument, on two walks each or more.',
      },
    );
  const text = speedRatioText(evidence);
  if (text === undefined) return said('undecided', `No ratio: ${evidence.refused ?? 'no like stand'}.`);
  const { low, high } = endsOf(evidence);
  const found = `It is ${text}`;
  if (low !== undefined && low >= ratio) return said('supported', `${found}; the claim is ${entered}.`);
  if (high !== undefined && high < ratio)
    return said('refuted', `${found}; the claim is ${upTo ? 'up to ' : ''}${entered}.`);
  return said(
    'undecided',
    `${found}, which does not settle the ${entered} claimed.`,
    evidence.bound
      ? {
          step: 'read farther out',
          next: 'Compare them where neither reads what is behind it: farther out, or on a faster line.',
        }
      : { step: 'more walks of both', next: 'More walks of both, read at the same stands.' },
  );
}
