import { countOf } from '../../quantity/plural.ts';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const about = (distance: string, either: string): string => `about ${distance}${either}`;
export const allItsWalksAreCensoredOn = (parse: string): string =>
  `${parse}: all its walks are censored on one side`;
export const allWalksCensoredOnOneSide = (guilty: string): string =>
  `${guilty}: all walks censored on one side`;
export const and = (walks: number, countOf: string): string => `${walks} and ${countOf}`;
export const by = (method: string): string => `by ${method}`;
export const byAnd = (groups: number, groups2: number, method: string): string =>
  `by ${groups} and ${groups2} ${method}`;
export const byAndOutings = (own: number, own2: number): string => `by ${own} and ${own2} outings`;
export const byEye = 'by eye';
export const byItsOwnSpread = 'by its own spread';
export const censoredOnOneSide = 'censored on one side';
export const countedOutings = (n: number): string => countOf(n, 'outing');
export const countedPairs = (n: number): string => countOf(n, 'pair');
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const distancesWhichMayAllBe = (either: string, factor: string): string =>
  `distances ${either}which may all be ${factor}`;
export const eachWasWalkedOnOutingsOf =
  'each was walked on outings of its own, one of them on one only: days and set-ups cannot be told from the products';
export const eachWithItsOwnSpreadWelch = 'each with its own spread, Welch';
export const everyProductIsCensoredOnOne = 'every product is censored on one side on every path';
export const everyWalkFailedAtItsFirst = 'every walk failed at its first point';
export const failedAtTheFirstPointIn = (walksCount: number): string =>
  `failed at the first point in ${walksCount} of ${walksCount} walks`;
export const failedInOfWalksEachTime = (length: number, walksCount: number): string =>
  `failed in ${length} of ${walksCount} walks, each time at a place that nobody knows`;
export const invalidBinm = (binM: number): string => `invalid binM: ${binM}`;
export const invalidInterval = (heldM: number, failedM: number): string =>
  `invalid interval: (${heldM}, ${failedM}]`;
export const invalidU = (u: number): string => `invalid u: ${u}`;
export const noFailureInAnyWalk = 'no failure in any walk';
export const noFailureInOfWalks = (walksCount: number): string =>
  `no failure in ${walksCount} of ${walksCount} walks`;
export const noPathTiesTheTwoProducts = 'no path ties the two products together from both sides';
export const noWalk = 'no walk';
export const noWalkHereAndNoneElsewhere = 'no walk here, and none elsewhere ties it to the rest';
export const noWalkHerePredictedFromThe = 'no walk here: predicted from the other products and paths';
export const ofWalksOnlyBoundFromOne = (out: number, walksCount: number): string =>
  `${out} of ${walksCount} walks only bound from one side and do not enter the estimate`;
export const offByAFactorOf = (exp: string): string => `off by a factor of ${exp}`;
export const oneBracketFitsEveryWalkThe =
  'one bracket fits every walk: the spread between walks cannot be told from none';
export const oneBracketFitsItsWalksOnly = 'one bracket fits its walks: only the bracket is known';
export const oneGroupOfEachWhatThey =
  'one group of each: what they differ by cannot be told from the products';
export const oneOutingWithBoth = 'one outing with both';
export const oneSpreadForBothThoughFew = 'one spread for both, though few walks leave open whether it is one';
export const oneWalkItsIntervalAndNothing = 'one walk: its interval and nothing else';
export const outingsForThese = (count: number): string => `${count} outings: for these`;
export const outingsWithBoth = (shared: number): string => `${shared} outings with both`;
export const overOutings = (count: number): string => `over ${count} outings`;
export const path = (path: string): string => `path ${path}`;
export const product = (product: string): string => `product ${product}`;
export const profileLikelihoodDropNLn1 =
  'profile likelihood, drop n ln(1 + t²/(n − p)), raised for coarse brackets';
export const sideBySide = (countOf: string): string => `${countOf} side by side`;
export const theBracketsAdjoinAtOnePlace =
  'the brackets adjoin at one place: the spread between walks cannot be told from none';
export const theFixedEndsPlaceAndThe = (factor: string): string =>
  `the fixed end’s place and the operator’s delay may put all distances ${factor}`;
export const theLikelihoodIsNothingWhereverThe = (theta: number): string =>
  `the likelihood is nothing wherever the target is ${theta}`;
export const theProfilesEndWasNotFound = (rounds: number, from: number, theta: number): string =>
  `the profile's end was not found in ${rounds} steps: ${from} to ${theta}`;
export const theWalksDifferByNoMore =
  'the walks differ by no more than their places are known to: the spread between walks cannot be told from none';
export const theWalksDoNotBoundThe =
  'the walks do not bound the spread from above: none has both a hold and a fail';
export const unit = ', unit ';
export const withBoth = (countOf: string): string => `${countOf} with both`;
