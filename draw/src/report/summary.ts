import type { Setup } from '@urvek/contract';
import {
  besides,
  cellBasis,
  ratioBasis,
  formatLength,
  heldText,
  scaleText,
  type CellFinding,
  type LengthUnit,
  type RatioFinding,
} from '@urvek/core';
import { claimText, rangeTitle, type CameBack, type ClaimVerdict, type RangeView } from '@urvek/study';
import { endsText } from '../tape/rangeLanes.ts';
import { cellRests, say, walkRest, type Rest, type Sentence } from './sentence.ts';
import * as phrases from './phrases.ts';

const walks = (n: number): string => phrases.countedWalks(n);

/** How far one product is good for, in a sentence with its uncertainty. */
export const reachSentence = (cell: CellFinding, range: RangeView, unit: LengthUnit): Sentence =>
  say(reachText(cell, range, unit), cellRests(range, [cell.product]));

function reachText(
  cell: CellFinding,
  { criterion, path }: Pick<RangeView, 'criterion' | 'path'>,
  unit: LengthUnit,
): string {
  const show = (m: number): string => formatLength(m, unit);
  const { median } = cell.withScale95M;
  const interval = median && endsSentence(median, show);
  const n = cellBasis(cell);
  const unplaced = cell.unplaced > 0 ? phrases.itFailedInOfAtA(cell.unplaced, walks(cell.walks)) : '';
  if (cell.median && interval !== undefined)
    return phrases.halfOfItsWalksOnHold(
      cell.product,
      path.name,
      show(cell.median.estimateM),
      criterion,
      interval,
      n,
      unplaced,
    );
  if (cell.bounds && cell.failures === 0)
    return scaleText(cell.scale) === undefined
      ? phrases.heldToOnInOfWhere(
          cell.product,
          show(cell.bounds.allHeldToM),
          path.name,
          cell.walks,
          walks(cell.walks),
        )
      : phrases.onHowMuchFartherWasNot(cell.product, path.name, lowerFirst(heldText(cell)));
  if (interval !== undefined)
    return phrases.itsMedianForOnIs95(cell.product, criterion, path.name, interval, n, unplaced);
  return phrases.boundNoMedian(cell.product, cell.walks, path.name, cell.reason ?? phrases.tooFew) + unplaced;
}

/** Ends of an interval as a sentence goes on with them: "between" needs both. */
const endsSentence = (
  { low, high }: { low: number | undefined; high: number | undefined },
  show: (m: number) => string,
): string | undefined =>
  low !== undefined && high !== undefined
    ? phrases.betweenAnd(show(low), show(high))
    : endsText(low, high, show);

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** Level at which Holm's p tells two apart; nothing else does. */
const LEVEL = 0.05;

/** Whether the walks tell a pair apart. */
export const toldApart = ({ holmP }: RatioFinding): boolean => holmP !== undefined && holmP < LEVEL;

/** Whether they are told apart, and why not where nothing could. */
export const apartText = (ratio: RatioFinding): string =>
  toldApart(ratio)
    ? phrases.theWalksTellThemApart
    : phrases.theseWalksDoNotTellThem(ratio.reason === undefined ? '' : ` (${ratio.reason})`);

/** One product against another. */
export const ratioSentence = (ratio: RatioFinding, range: RangeView): Sentence =>
  say(ratioText(ratio), cellRests(range, [ratio.numerator, ratio.denominator]));

function ratioText(ratio: RatioFinding): string {
  const { numerator, denominator, estimate, withScale95, reason, holmP } = ratio;
  const interval = withScale95 && endsText(withScale95.low, withScale95.high, (v) => v.toFixed(2));
  const n = ratioBasis(ratio);
  if (!estimate)
    return phrases.againstNoRatio(
      numerator,
      denominator,
      reason ?? phrases.notEstimable,
      interval === undefined ? '' : `; 95 %: ${interval}`,
      n,
    );
  const p = holmP === undefined ? '' : phrases.pOverAllPairs(holmP < 0.001 ? '< 0.001' : holmP.toFixed(3));
  return phrases.reachesAsFarAs(
    numerator,
    estimate.ratio.toFixed(2),
    denominator,
    interval === undefined ? '' : ` (95 %: ${interval}; ${n}${p})`,
    apartText(ratio),
  );
}

export const claimSentence = (judged: ClaimVerdict, ranges: readonly RangeView[]): Sentence => {
  const { subject, claim, path, verdict, neverSettled } = judged;
  return say(
    `${subject}, “${claimText(claim)}”${path ? phrases.on(path.name) : ''}: ${verdict.outcome}. ` +
      `${verdict.reason}${neverSettled === undefined ? '' : phrases.thePlanCouldNeverHaveSettled(neverSettled)}`,
    claimRests(judged, ranges),
  );
};

/** The claim, and the walks of the product that it was judged on; a claim of latency rests on readings. */
export const claimRests = (
  { claim, product, path, subject }: ClaimVerdict,
  ranges: readonly RangeView[],
): Rest[] => [
  `claim:${claim.id}`,
  ...(claim.form === 'latency' ? [`latency:${product.id}` as const] : []),
  ...ranges
    .filter((r) => r.path.id === path?.id && r.kindId === product.kindId)
    .flatMap((r) => cellRests(r, [subject])),
];

/** What a walk says that has no metres: between which named points it was lost. */
export const withoutMetres = ({ walks: all, criterion }: RangeView): Sentence[] =>
  all.flatMap((walk) => {
    const { product, label, interval, between, absent, course } = walk;
    if (course !== undefined && !interval)
      return [say(phrases.walkNoDistanceIsKnown(product, label, course), [walkRest(walk)])];
    if (interval || !between || (between.held === undefined && between.failed === undefined)) return [];
    const held = between.held === undefined ? undefined : phrases.heldAt(between.held);
    const failed = between.failed === undefined ? undefined : phrases.failedAt(between.failed);
    return [
      say(
        phrases.walk2(
          product,
          label,
          criterion,
          [held, failed].filter((t) => t !== undefined).join(', '),
          absent ?? phrases.noDistanceIsKnown,
        ),
        [walkRest(walk)],
      ),
    ];
  });

/** Coverage that comes back farther on: walk by walk where they are few, else once a product and direction. */
export function comesBackSentences({ comesBack, path }: RangeView, unit: LengthUnit): Sentence[] {
  const show = (m: number): string => formatLength(m, unit);
  const rise = (higherM: number): string =>
    Math.abs(higherM) < 0.5
      ? ''
      : `, ${formatLength(Math.abs(higherM), unit === 'm' || unit === 'km' ? 'm' : 'ft')} ` +
        `${higherM > 0 ? 'higher' : 'lower'}`;
  const place = ({ failedAtM, backAtM, higherM }: CameBack): string =>
    phrases.failedAtAndWasUsableAgain(show(failedAtM), show(backAtM), rise(higherM));
  return comesBack.flatMap(({ product, direction, walks: of, times, first, most }) =>
    times === first.length
      ? first.map((c) =>
          say(`${product}, walk ${c.walk} on ${path.name}, ${direction}: ${place(c)}.`, [walkRest(c)]),
        )
      : [
          say(
            phrases.onOnOfAFartherPlace(
              product,
              path.name,
              direction,
              times,
              walks(of),
              most.walk,
              place(most),
            ),
            [...first, most].map(walkRest),
          ),
        ],
  );
}

/** Where most walks of a product end at a corner or an obstruction, the ground decides. */
export const wallSentences = (range: RangeView, unit: LengthUnit): Sentence[] =>
  range.walls.map(({ product, label, atM, walks: k, of, median95M }) => {
    const show = (m: number): string => formatLength(m, unit);
    const ends = median95M && endsText(median95M.low, median95M.high, show);
    return say(
      phrases.ofEndAtWhereTheWall(
        product,
        k,
        walks(of),
        show(atM),
        boundaryText(label),
        ends === undefined ? '' : phrases.withoutAModelTheMedianIs(ends, of),
      ),
      cellRests(range, [product]),
    );
  });

const boundaryText = (label: string): string => (/^(the|it) /.test(label) ? label : phrases.stands(label));

/** Pairs that were heard at the same stands. */
export const pairSentences = (range: RangeView): Sentence[] =>
  range.pairs.flatMap(({ subject, against, evidence }) =>
    besides(subject, against, evidence).map((text) => say(text, cellRests(range, [subject, against]))),
  );

/** As many pairs as a paragraph can still be read with. */
const PAIRS_TOLD = 6;

/** Every pair where they are few; else the pairs told apart, and how many are not. */
function shortPairs(range: RangeView): Sentence[] {
  const { productRatios: all } = range.summary;
  if (all.length <= PAIRS_TOLD)
    return [...all.map((ratio) => ratioSentence(ratio, range)), ...pairSentences(range)];
  const told = all.filter(toldApart);
  return [
    ...told.slice(0, PAIRS_TOLD).map((ratio) => ratioSentence(ratio, range)),
    say(
      phrases.ofPairsTheWalksTellApart(
        all.length,
        told.length,
        told.length > PAIRS_TOLD ? phrases.theFirstStandHere(PAIRS_TOLD) : '',
      ),
      cellRests(range),
    ),
  ];
}

/** The paragraph that stands for one path and kind. */
export function rangeSummary(setup: Setup, range: RangeView, unit: LengthUnit): Sentence {
  const sentences = [
    ...withoutMetres(range),
    ...range.summary.fitted.filter((c) => c.walks > 0).map((c) => reachSentence(c, range, unit)),
    ...shortPairs(range),
  ];
  return say(
    `${rangeTitle(setup, range)}. ${sentences.map((s) => s.text).join(' ')}`,
    sentences.flatMap((s) => s.rests),
  );
}
