import { countOf } from '../quantity/plural.ts';
import { hangsOn, type Bracket } from '../estimate/pairs/constantRatio.ts';
import type { StandPairs } from '../estimate/pairs/standPairs.ts';
import type { Ends } from '../estimate/range/ends.ts';
import { ratioBasis } from '../estimate/range/basis.ts';
import type { RatioFinding } from '../estimate/range/ratioFinding.ts';
import type { Criterion } from '../grade/criterion.ts';
import { formatLength, twoMeasures } from '../quantity/length.ts';
import type { Verdict } from './claim.ts';

/** "2×", "8 % farther" than another product. */
export interface RatioClaim {
  readonly entered: string;
  readonly ratio: number;
  readonly product: string;
  readonly against: string;
}

/** What the walks say beside the model: stands heard by both, and a ratio that is the same on every walk. */
export interface RatioEvidence {
  readonly atStands: StandPairs | undefined;
  /** Of `product` to `against`; absent where walks were not made together. */
  readonly sameOnEveryWalk: Ends | undefined;
  /** Where each is known to end, by all its walks. */
  readonly product: Bracket;
  readonly against: Bracket;
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
  evidence?: RatioEvidence,
): Verdict {
  const caveats = [`Judged on the ratio of medians of "${criterion}".`];
  const noted = evidence?.atStands?.noted;
  if (!finding && noted && noted.first + noted.second > 0)
    return {
      outcome: 'undecided',
      reason: [`The claim of ${entered} is not settled.`, ...besides(product, against, evidence)].join(' '),
      next: 'Measure where each ends, on one path and one outing: a ratio needs a distance of both.',
      step: 'measure both ends',
      caveats,
    };
  if (!finding)
    return {
      outcome: 'not tested',
      reason: evidence
        ? `There is no ratio of ${product} to ${against} here.`
        : `${product} or ${against} has no walk with an outcome on a path of this condition.`,
      next: 'Walk both, in turn, on one path of this condition.',
      step: 'walk both',
      caveats,
    };
  const same = finding.numerator === product;
  const ends = finding.withScale95 && (same ? finding.withScale95 : inverted(finding.withScale95));
  const n = ratioBasis(same ? finding : { ...finding, walks: [finding.walks[1], finding.walks[0]] });
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
    ? `the ratio of medians lies between ${show(ends.low, 'no bound')} and ${show(ends.high, 'no bound')}`
    : `no ratio of medians (${finding.reason ?? 'no interval'})`;
  const hangs = evidence && ratio > 1 ? hangsOn(ratio, evidence.against, evidence.product) : undefined;
  return {
    outcome: 'undecided',
    reason: [
      `The claim of ${entered} is not settled: ${known} (${n}).`,
      ...besides(product, against, evidence),
    ]
      .concat(hangs ? [`It can hold only if ${against} ends before ${twoMeasures(hangs.endsBeforeM)}.`] : [])
      .join(' '),
    ...(hangs && hangs.pointsM.length > 0
      ? {
          step: `look at ${formatLength(hangs.pointsM[0] as number)}`,
          next: `Look at ${against} at ${hangs.pointsM.map(twoMeasures).join(', ')}: the first settles it.`,
        }
      : {
          step: 'more walks of both',
          next: 'More walks of both in a balanced order, with marks no wider apart than the root of the claimed ratio.',
        }),
    caveats,
  };
}

/** Evidence that needs no model, in sentences. */
export function besides(product: string, against: string, evidence: RatioEvidence | undefined): string[] {
  const { atStands: pairs, sameOnEveryWalk: same } = evidence ?? {};
  const atStands = pairs && pairs.stands > 0 ? pairs : undefined;
  const noted = pairs?.noted ?? { first: 0, second: 0 };
  const test =
    pairs?.p === undefined
      ? ''
      : `; ${product} was farther on ${pairs.firstFarther} of ${pairs.firstFarther + pairs.secondFarther} outings (sign test, p = ${pairs.p.toFixed(4)})`;
  const times = (n: number): string => `on ${countOf(n, 'outing')}`;
  const show = (end: number | undefined): string => (end === undefined ? 'no bound' : end.toFixed(2));
  return [
    ...(atStands
      ? [
          `At ${atStands.stands === 1 ? 'the one stand' : `the ${atStands.stands} stands`} where both were heard ${product} held at ${atStands.firstOnly} where ${against} failed, ${against} at ${atStands.secondOnly}${
            atStands.p === undefined
              ? atStands.outings === 1
                ? ' (one outing: stands of one outing are no test)'
                : ''
              : test
          }.`,
        ]
      : []),
    ...(noted.first + noted.second > 0
      ? [
          `It was noted that ${[
            noted.first > 0 ? `${product} held where ${against} had failed ${times(noted.first)}` : undefined,
            noted.second > 0
              ? `${against} held where ${product} had failed ${times(noted.second)}`
              : undefined,
          ]
            .filter((t) => t !== undefined)
            .join(', and ')}${atStands ? '' : test}: that orders them, and tells no ratio.`,
        ]
      : []),
    ...(same
      ? [`If the ratio is the same on every walk, it lies between ${show(same.low)} and ${show(same.high)}.`]
      : []),
  ];
}
