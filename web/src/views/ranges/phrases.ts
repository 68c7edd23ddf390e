import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aCap = 'a cap';
export const aDistanceOfHalfTheAnswers = 'a distance of half the answers';
export const aMedian = 'a median';
export const aPairAtStands = 'a pair at stands';
export const aRangeARung = 'A range a rung';
export const aRatio = 'a ratio';
export const aScaleError = 'a scale error';
export const aTenth = 'a tenth';
export const aWalkIsPutToAnother =
  'A walk is put to another outing in its Trace; those of which nobody says stand one by one.';
export const acrossPaths = (name: string): string => `${name} across paths`;
export const acrossPathsDoesTheAdvantageHold = (name: string): string =>
  `${name} across paths: does the advantage hold everywhere?`;
export const againstNoRatio = (numerator: string, denominator: string): string =>
  `${numerator} against ${denominator}: no ratio (`;
export const allPaths = 'all paths';
export const allPaths2 = 'All paths';
export const and = (numerator: string, denominator: string): string => `${numerator} and ${denominator}`;
export const andMore = (all: string, allCount: number): string => `${all}; and ${allCount} more`;
export const answered = (product: string): string => `${product}, answered`;
export const areaCoveredAsTheSquare = 'Area covered, as the square';
export const areasToo = 'areas too';
export const asFarAs = ' as far as ';
export const at = (formatLength: string): string => ` at ${formatLength}`;
export const atExponent = (exponent: number): string => ` at exponent ${exponent}`;
export const barIts95PercentIntervalDashed =
  '; bar: its 95 % interval, dashed beyond the path’s end (heavy stroke); ';
export const bracketsJoinTheLastPlaceThat =
  'Brackets join the last place that held and the first that failed; what was noticed on the move ' +
  'is drawn as wide as its place is known (two standard uncertainties). A walk opens its trace, by ' +
  'a click or by Enter.';
export const byItsOwnSpread = 'by its own spread';
export const byTheCurve = (show: string, reason: string): string => `${show} by the curve (${reason})`;
export const correctedForTheNumberOfPairs = ', corrected for the number of pairs (Holm)';
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const curve = (product: string): string => `${product}, curve`;
export const curves = 'Curves';
export const db = (either: string, abs: string): string => `${either}${abs} dB`;
export const direction = 'Direction';
export const eachBound95PercentOneSided = (rows: string): string =>
  `${rows} (each bound 95 %, one-sided, for presses that are independent).`;
export const eachOfTheWalksToo = (walksCount: number): string => `Each of the ${walksCount} walks too`;
export const eachWalk = 'Each walk ';
export const enterAPathInPathsEvery = 'Enter a path in Paths; every one gets a column here.';
export const enterProductsInKitEveryOne = 'Enter products in Kit; every one gets a row here.';
export const estimatesOnly = 'Estimates only';
export const firstOfEachKind = 'first of each kind';
export const forDecibels2InFreeSpace = 'For decibels: 2 in free space, 4 far over ground.';
export const gradesAtStands = 'Grades at stands';
export const halfAnsweredAt = (countOf: string): string => ` (${countOf}): half answered at `;
export const heardAtTheSameStands = 'Heard at the same stands ';
export const heldAndFailedArrowA = ': held and failed; arrow: a ';
export const howFastTheLevelFallsExponent = 'How fast the level falls (exponent)';
export const intervalsAsCsv = 'Intervals as CSV';
export const kOfN = 'k of n';
export const km = (m2: string): string => `${m2} km²`;
export const lognormalModelIntervalCensoredOneSpread =
  'Lognormal model, interval-censored, one spread for the medians of all products unless theirs may differ';
export const lostGoingOutBackComingHome = 'Lost going out, back coming home';
export const median = 'median';
export const median95PercentInterval = 'Median, 95 % interval ';
export const median95PercentInterval2 = 'Median, 95 % interval';
export const model = (product: string): string => `${product}, model`;
export const modelAndWalksDisagreeForTrust = (apart: string): string =>
  `Model and walks disagree for ${apart}: trust the steps, and look at the single walks.`;
export const n95PercentToWalks = (show: string, show2: string, show3: string, walks: number): string =>
  `${show} (95 %: ${show2} to ${show3}, ${walks} walks)`;
export const n9Of10WalksHoldTo = '9 of 10 walks hold to ';
export const nineOfTenAt = '; nine of ten at ';
export const noCallAtTheSamePoints = ': no call at the same points';
export const noPathYet = 'No path yet';
export const noSignThatTheAdvantageDepends = (p: string): string =>
  `No sign that the advantage depends on the path (${p}); that is not proof that it does not.`;
export const noWalkHereHasThisOutcome = 'No walk here has this outcome in metres.';
export const none = 'none';
export const noneAnswersDoNotFallOff = (reason: string): string =>
  `none: answers do not fall off with distance (${reason})`;
export const notSeen = 'not seen';
export const notStated = 'not stated';
export const nothingToCompareYet = 'Nothing to compare yet';
export const ofAtAtLeast = (successes: number, trials: number, show: string, percent: string): string =>
  `${successes} of ${trials} at ${show}, at least ${percent}`;
export const ofText = 'Of';
export const on = (subject: string, name: string): string => `${subject} on ${name}`;
export const oneOuting = 'One outing';
export const oneScaleForAllDiamond = ', one scale for all. Diamond: ';
export const oneStandardDeviation = ', one standard deviation)';
export const oneStandardDeviationWalksOfOne = ' (one standard deviation), walks of one unit by ';
export const openPostsWalksToMakeNot = '; open posts: walks to make; ≈: not told apart.';
export const or = ' or ';
export const outing = 'Outing';
export const outings = (outingsCount: number): string => `${outingsCount} outings`;
export const over = (numerator: string, denominator: string): string => `${numerator} over ${denominator}`;
export const overSeparation = (quantity: string, name: string): string =>
  `${quantity} over separation, ${name}`;
export const placeUnknown = 'place unknown';
export const pressesAnsweredOverDistance = 'Presses answered over distance ';
export const product = 'Product';
export const ranges = 'Ranges';
export const rangesOn = (name: string, criterion: string): string => `Ranges on ${name}, ${criterion}`;
export const rangesOn2 = (title: string): string => `Ranges on ${title}`;
export const ratioOfDistances = 'ratio of distances, ×';
export const ratioOfDistancesByPath = (title: string): string => `Ratio of distances by path, ${title}`;
export const ratioTo = 'Ratio to';
export const ratios = 'Ratios';
export const reaches = ' reaches ';
export const readAtPlacesThePictureHas = (standsCount: number): string =>
  `Read at ${standsCount} places: the picture has them, and readings.csv on Report.`;
export const readings = 'readings';
export const readings2 = 'Readings';
export const readingsOverDistance = 'Readings over distance ';
export const readOnTheMove = (label: string): string => `${label}: read on the move`;
export const resets = (resets: string): string => `Resets: ${resets}.`;
export const rung = 'Rung';
export const sAfterTheLoss = (afterS: string): string => ` ${afterS} s after the loss`;
export const separation = 'Separation';
export const separation2 = (unit: string): string => `separation, ${unit}`;
export const shareOfPressesAnsweredOverSeparation = (name: string): string =>
  `Share of presses answered, over separation, ${name}`;
export const shareOfTimeClearOverTravelled = (name: string): string =>
  `Share of time clear over travelled distance, ${name}`;
export const shareOfTimeOrOfStands = 'Share of time, or of stands, clear, walking out';
export const shareOfWalksThatHoldOver = (name: string): string =>
  `Share of walks that hold, over separation, ${name}`;
export const shareOfWalksThatHoldTo = 'Share of walks that hold to a distance';
export const standByStandMedianLeastTo = 'Stand by stand: median (least to most), n';
export const stands = 'Stands';
export const standsEachWay = 'Stands, each way';
export const theAdvantageDependsOnThePath = (p: string): string =>
  `The advantage depends on the path (${p}): read it path by path; a figure for all paths means little.`;
export const theBracketOfAWalk = 'the bracket of a walk';
export const theCurves = 'the curves';
export const theEstimates = 'the estimates';
export const theMedian = 'the median';
export const theSamePointsInAnEarlier = 'The same points in an earlier comparison';
export const to = (to: string): string => `to ${to}`;
export const to2 = (areaText: string, areaText2: string): string => ` (${areaText} to ${areaText2})`;
export const to3 = 'to ';
export const toNoticedByTheWalker = (to: string): string => `to ${to}, noticed by the walker`;
export const travelled = (unit: string): string => `travelled, ${unit}`;
export const unit = 'Unit';
export const unitsDifferByAFactorOf = (product: string, n: number): string =>
  `${product}: ${n} units differ by a factor of `;
export const unitsEachByItself = 'Units, each by itself';
export const unitsOfOneProductDifferWhat = (differ: string): string =>
  `Units of one product differ: ${differ}. What is said of the product speaks for the units that were walked.`;
export const walk = (product: string, label: string, how: string, either: string, either2: string): string =>
  `${product}, walk ${label}, ${how}${either}${either2}`;
export const walk2 = (label: string): string => `walk ${label}`;
export const walks = 'Walks';
export const walksAlone = (product: string): string => `${product}, walks alone`;
export const walksDifferByAFactorOf = ' (walks differ by a factor of ';
export const weakPoints = (thinCount: number): string => `Weak points (${thinCount})`;
export const what9Of10WalksHold = (intervalMethod: string): string =>
  '; what 9 of 10 walks hold to by each product’s own spread, its ends by the noncentral t: below ' +
  `29 walks it is a statement of the model. Intervals: ${intervalMethod}. All of it speaks for ` +
  'this path. Walks of one outing share what that day was: ';
export const whatOutingsTell = 'what outings tell';
export const whetherTheAdvantageDependsOnThe =
  'Whether the advantage depends on the path cannot be tested: too few products, paths or walks with both ends.';
export const whichWalksShareADayAnd = (either: string): string =>
  `${either}: which walks share a day and a set-up`;
export const whoReachesHowFarWhere = 'Who reaches how far, where';
export const whoReachesHowFarWhere2 = 'Who reaches how far, where?';
export const worksTo = 'Works to';
