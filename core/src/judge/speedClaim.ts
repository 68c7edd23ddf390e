import type { LikeStands, SpeedRatio } from '../estimate/figures/speedRatio.ts';
import type { Next, Verdict } from './claim.ts';
import * as phrases from './phrases.ts';

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
      ? phrases.noIntervalASideHasOne
      : phrases.n95PercentTo(interval95.low.toFixed(2), interval95.high.toFixed(2));
  const left = like.of - like.both.length;
  const without = left > 0 ? phrases.leftOutForOneOfThem(left) : '';
  return phrases.timesAtLikeOfWalks(
    bound ? `${bound} ` : '',
    ratio.ratio.toFixed(2),
    ends,
    stands.length,
    walks.join(' and '),
    without,
  );
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
  const caveats = [phrases.judgedOnTheRatioOfSpeeds];
  const figures = evidence?.ratio;
  const said = (outcome: Verdict['outcome'], reason: string, more?: Next): Verdict => ({
    ...{ outcome, reason, caveats, next: undefined, ...more },
    found: figures && {
      figure: `${evidence.bound ? `${evidence.bound} ` : ''}×${figures.ratio.toFixed(2)}`,
      interval:
        figures.interval95 &&
        phrases.to(figures.interval95.low.toFixed(2), figures.interval95.high.toFixed(2)),
      n: figures.walks.join(', '),
    },
  });
  if (!evidence)
    return said('not tested', phrases.noThroughputOfBothItAnd(against), {
      step: phrases.readBoth,
      next: phrases.readBothAtTheSameStands,
    });
  const text = speedRatioText(evidence);
  if (text === undefined) return said('undecided', phrases.noRatio(evidence.refused ?? phrases.noLikeStand));
  const { low, high } = endsOf(evidence);
  const found = phrases.itIs(text);
  if (low !== undefined && low >= ratio) return said('supported', phrases.theClaimIs(found, entered));
  if (high !== undefined && high < ratio)
    return said('refuted', phrases.theClaimIs2(found, upTo ? phrases.upTo : '', entered));
  return said(
    'undecided',
    phrases.whichDoesNotSettleTheClaimed(found, entered),
    evidence.bound
      ? {
          step: phrases.readFartherOut,
          next: phrases.compareThemWhereNeitherReadsWhat,
        }
      : { step: phrases.moreWalksOfBoth, next: phrases.moreWalksOfBothReadAt },
  );
}
