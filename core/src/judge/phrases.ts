import { countOf, plural } from '../quantity/plural.ts';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aBoundAndSuchWalksAre = (held: string, walksForP10: number): string =>
  `${held}: a bound, and ${walksForP10} such walks are wanted before 9 of 10 may be said to hold.`;
export const aFastCamera = 'a fast camera';
export const aFasterCamera = 'a faster camera';
export const aFasterCameraItsFramesAre = 'A faster camera: its frames are longer than the difference.';
export const aFasterLine = 'a faster line';
export const aPath = 'a path';
export const aboutMoreIfTheMedianStays = (more: number, marks: string): string =>
  `About ${more} more ${plural(more, 'walk')}, ${marks}, if the median stays where it is.`;
export const acrossAPlatformOrAGarden = 'Across a platform or a garden';
export const anPath = (condition: string): string => `an ${condition} path`;
export const and = ', and ';
export const atM = (countOf: string, min: string): string => `${countOf} at ${min} m`;
export const atWhereBothWereHeardHeld = (
  either: string,
  product: string,
  firstOnly: number,
  against: string,
  secondOnly: number,
  either2: string,
): string =>
  `At ${either} where both were heard ${product} held at ${firstOnly} where ${against} failed, ` +
  `${against} at ${secondOnly}${either2}.`;
export const beforeWith95PercentConfidenceThe = (
  what: string,
  formatLength: string,
  criterion: string,
  n: string,
  either: string,
  entered: string,
): string =>
  `${what} before ${formatLength} with 95 % confidence (${criterion}, ${n}); the claim is ${either}${entered}.`;
export const below29WalksATenthIs = ' Below 29 walks a tenth is a statement of the model.';
export const belowTheClaimedWhatIsBehind = (capital: string, entered: string): string =>
  `${capital}, below the ${entered} claimed; what is behind the product was not measured, and may be what was read.`;
export const beyondTheClaimed = (found: string, entered: string): string =>
  `${found}, beyond the ${entered} claimed.`;
export const cameraOnAVehicleMonitorBy = 'Camera on a vehicle, monitor by the road';
export const compareThemWhereNeitherReadsWhat =
  'Compare them where neither reads what is behind it: farther out, or on a faster line.';
export const countedOutings = (n: number): string => countOf(n, 'outing');
export const countedReadings = (n: number): string => countOf(n, 'reading');
export const countedVisits = (n: number): string => countOf(n, 'visit');
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const countFramesBetweenAnActAnd =
  'Count frames between an act and its picture, or film a clock beside its screen; ten readings.';
export const deskTwoRoomsAway = 'Desk two rooms away';
export const directorsMonitorOnSet = 'Director’s monitor on set';
export const evenTheBestTenthOfWalks = 'Even the best tenth of walks ends';
export const fewerThanTheVisitsThatBound = (capital: string, leastVisits: number, entered: string): string =>
  `${capital}: fewer than the ${leastVisits} visits that bound a median, so ${entered} is not settled.`;
export const fewerThanTheWalksThatWould = (walksForMedian: number): string =>
  `fewer than the ${walksForMedian} walks that would bound the median`;
export const focusPullerBehindOneWall = 'Focus puller behind one wall';
export const gateFromInsideAVehicle = 'Gate from inside a vehicle';
export const giveNoLowerBoundForThe = (n: string): string =>
  `${n} give no lower bound for the distance to which 9 of 10 hold.`;
export const guideAheadOfAGroup = 'Guide ahead of a group';
export const heldTo = (formatLength: string, held: string): string => `Held to ${formatLength} ${held}`;
export const heldTo2 = (formatLength: string): string => `held to ${formatLength}`;
export const heldToTheEndAtLeast = (aboutText: string, formatLength: string, held: string): string =>
  `Held to the end, ${aboutText}: at least ${formatLength}, ${held}`;
export const heldWhereHadFailed = (product: string, against: string, times: string): string =>
  `${product} held where ${against} had failed ${times}`;
export const ifTheRatioIsTheSame = (show: string, show2: string): string =>
  `If the ratio is the same on every walk, it lies between ${show} and ${show2}.`;
export const inOf = (walks: number, walksText: string): string => `in ${walks} of ${walksText}`;
export const interviewTwoStepsFromTheCamera = 'Interview, two steps from the camera';
export const invalidClaim = (stringify: string): string => `invalid claim: ${stringify}`;
export const invalidReachm = (reachM: number): string => `invalid reachM: ${reachM}`;
export const invalidShare = (share: number): string => `invalid share: ${share}`;
export const itCanHoldOnlyIfEnds = (against: string, twoMeasures: string): string =>
  `It can hold only if ${against} ends before ${twoMeasures}.`;
export const itIs = (text: string): string => `It is ${text}`;
export const itWasMeasuredAndSaysNothing = (refused: string): string =>
  `It was measured, and says nothing: ${refused}.`;
export const itWasNotedThatThatOrders = (filter: string, either: string): string =>
  `It was noted that ${filter}${either}: that orders them, and tells no ratio.`;
export const judgedOnTheMedianOf = (criterion: string): string => `Judged on the median of "${criterion}".`;
export const judgedOnTheMedianOverVisits =
  'Judged on the median over visits to the nearest stand, in the direction named on its curve.';
export const judgedOnTheMedianRoundTrip =
  'Judged on the median round trip over visits to the nearest stand: there and back, not one way.';
export const judgedOnTheRatioOfMedians = (criterion: string): string =>
  `Judged on the ratio of medians of "${criterion}".`;
export const judgedOnTheRatioOfSpeeds =
  'Judged on the ratio of speeds at stands where both were read, walk by walk.';
export const leftOutForOneOfThem = (left: number): string =>
  `; left out, for one of them had no connection: ${left}`;
export const longerPath = 'longer path';
export const lookAt = (formatLength: string): string => `look at ${formatLength}`;
export const lookAtAtTheFirstSettles = (against: string, pointsM: string): string =>
  `Look at ${against} at ${pointsM}: the first settles it.`;
export const mbitS = (show: string): string => `${show} Mbit/s`;
export const measureBothEnds = 'measure both ends';
export const measureByCable = 'measure by cable';
export const measureByFramesOfAFast =
  'Measure by frames of a fast camera, whose own chain is not in between.';
export const measureTheDistance = 'measure the distance';
export const measureTheDistanceTheWalksWould = (byMethod: string): string =>
  `Measure the distance: the walks would decide it if it were not known ${byMethod} only. Read the ` +
  'places again by tape, laser or map, and correct the marks in Trace.';
export const measureTheFixedEnd = 'measure the fixed end';
export const measureWhatIsBehindItBy =
  'Measure what is behind it by cable, and test again where that is faster than the claim.';
export const measureWhatIsBehindItBy2 =
  'Measure what is behind it by cable, and enter it in Paths as “Line by cable”.';
export const measureWhereEachEndsOnOne =
  'Measure where each ends, on one path and one outing: a ratio needs a distance of both.';
export const measureWhereTheFixedEndStands =
  'Measure where the fixed end stands and enter in Paths how well that is known, and learn the ' +
  'operator’s delay with the trainer on Bench, before the next walks: but for these the walks ' +
  'would decide it.';
export const measuredBeyondTheClaimed = (what: string, entered: string): string =>
  `Measured ${what}, beyond the ${entered} claimed.`;
export const measuredTheClaimIs = (what: string, entered: string): string =>
  `Measured ${what}; the claim is ${entered}.`;
export const measuredWhichHoldsTheClaimed = (what: string, entered: string): string =>
  `Measured ${what}, which holds the ${entered} claimed.`;
export const median = (formatLength: string, ends: string): string => `median ${formatLength} (${ends})`;
export const more = (more: number): string => `${more} more ${plural(more, 'walk')}`;
export const moreReadings = 'more readings';
export const moreReadingsOfTheSameKind = 'More readings of the same kind.';
export const moreVisit = 'more visit';
export const moreVisits = 'more visits';
export const moreVisitsToTheNearPoint = 'More visits to the near point.';
export const moreVisitsToTheNearestStand = 'More visits to the nearest stand.';
export const moreWalksOfBoth = 'more walks of both';
export const moreWalksOfBothInA =
  'More walks of both in a balanced order, with marks no wider apart than the root of the claimed ratio.';
export const moreWalksOfBothReadAt = 'More walks of both, read at the same stands.';
export const ms = (part: string): string => `${part} ms`;
export const n1MoreWalk = '1 more walk';
export const n95PercentTo = (low: string, high: string): string => `95 %: ${low} to ${high}`;
export const n9Of10WalksHoldIt = (formatLength: string, ends: string): string =>
  `9 of 10 walks hold it to ${formatLength} (95 %: ${ends})`;
export const n9Of10WalksHoldTo = (formatLength: string, criterion: string, n: string): string =>
  `9 of 10 walks hold to at least ${formatLength} (${criterion}, ${n}).`;
export const n9Of10WalksHoldTo2 = (formatLength: string, criterion: string, n: string): string =>
  `9 of 10 walks hold to no more than ${formatLength} (${criterion}, ${n}).`;
export const n9Of10WalksHoldTo3 = (interval: string, criterion: string, n: string): string =>
  `9 of 10 walks hold to somewhere within ${interval}, which holds the need (${criterion}, ${n}).`;
export const nextRoom = 'Next room';
export const noBound = 'no bound';
export const noDistance = (capital: string, n: string, reason: string): string =>
  `${capital}: no distance (${n}; ${reason}).`;
export const noInterval = 'no interval';
export const noIntervalASideHasOne = 'no interval: a side has one walk only';
export const noLatencyOfThisProductWas = 'No latency of this product was measured.';
export const noLikeStand = 'no like stand';
export const noLongerAt = (formatLength: string): string => `, no longer at ${formatLength}`;
export const noMedian = (n: string, walks: number, reason: string): string =>
  `${n} ${plural(walks, 'bounds', 'bound')} no median: ${reason}.`;
export const noMoreIsKnown = (capital: string, held: string, failed: string, n: string): string =>
  `${capital}: ${held}${failed}; no more is known (${n}).`;
export const noPathHereIsWalksElsewhere = (condition: string): string =>
  `No path here is ${condition}: walks elsewhere say nothing on this claim.`;
export const noRatio = (refused: string): string => `No ratio: ${refused}.`;
export const noRatioOfMedians = (reason: string): string => `no ratio of medians (${reason})`;
export const noThroughputOfBothItAnd = (against: string): string =>
  `No throughput of both it and ${against} was read on one path of this condition.`;
export const noThroughputOfThisProductWas =
  'No throughput of this product was read on a path of this condition.';
export const noWalkOfThisProductHas = 'No walk of this product has an outcome.';
export const noWalkOfThisProductOn = (condition: string): string =>
  `No walk of this product on the ${condition} path has an outcome.`;
export const noWalkTells = 'no walk tells';
export const notHeldAtItsNearest = 'not held at its nearest';
export const notWalked = 'Not walked.';
export const notWalkedOnAnPath = (condition: string): string => `Not walked on an ${condition} path.`;
export const nothingOfItWasReadHere = 'Nothing of it was read here.';
export const ofHeldToIt = (held: number, countOf: string): string => `${held} of ${countOf} held to it`;
export const ofWalksHeldToIt95 = (
  reason: string,
  held: number,
  part: number,
  part2: string,
  part3: string,
  either: string,
): string => `${reason} ${held} of ${part} walks held to it (95 %: ${part2} to ${part3} %).${either}`;
export const on = (countOf: string): string => `on ${countOf}`;
export const oneMoreWalkThenLookAgain = (marks: string): string =>
  `One more walk, ${marks}; then look again.`;
export const oneOutingStandsOfOneOuting = ' (one outing: stands of one outing are no test)';
export const oneUnitWasTestedTheResult =
  'One unit was tested: the result speaks for that unit, the claim for the model.';
export const orHasNoWalkWithAn = (product: string, against: string): string =>
  `${product} or ${against} has no walk with an outcome on a path of this condition.`;
export const presenterOnAStageReceiverAt = 'Presenter on a stage, receiver at the desk';
export const reachesAtLeastTimesAsFar = (
  product: string,
  show: string,
  against: string,
  n: string,
  entered: string,
): string =>
  `${product} reaches at least ${show} times as far as ${against}, with 95 % confidence (${n}); ` +
  `the claim is ${entered}.`;
export const reachesAtMostTimesAsFar = (
  product: string,
  show: string,
  against: string,
  n: string,
  entered: string,
): string =>
  `${product} reaches at most ${show} times as far as ${against}, with 95 % confidence (${n}); the ` +
  `claim is ${entered}.`;
export const readBoth = 'read both';
export const readBothAtTheSameStands =
  'Read both at the same stands, with one instrument, on two walks each or more.';
export const readFartherOut = 'read farther out';
export const readItAtTheNearPoint = 'Read it at the near point, after ten seconds to settle, on six visits.';
export const resolutionOfTheMethod = (ms: string): string => `Resolution of the method: ${ms}.`;
export const shortOf = (entered: string): string => `short of ${entered}`;
export const shutterOrLampFromTheFront = 'Shutter or lamp from the front of a stage';
export const sixVisits = 'six visits';
export const tenReadings = 'ten readings';
export const testAgainWhereWhatIsBehind = 'Test again where what is behind it is faster than the claim.';
export const theClaimIs = (found: string, entered: string): string => `${found}; the claim is ${entered}.`;
export const theClaimIs2 = (found: string, either: string, entered: string): string =>
  `${found}; the claim is ${either}${entered}.`;
export const theClaimLiesTooCloseTo = (more: number): string =>
  `The claim lies too close to the median for a practicable number of walks (about ${more} more).`;
export const theClaimOfIsNotSettled = (entered: string): string => `The claim of ${entered} is not settled.`;
export const theClaimOfIsNotSettled2 = (entered: string, known: string, n: string): string =>
  `The claim of ${entered} is not settled: ${known} (${n}).`;
export const theClaimOfLiesBetweenThe = (
  entered: string,
  either: string,
  either2: string,
  either3: string,
  n: string,
): string =>
  `The claim of ${entered} lies between the median's lower bound, ${either}, and ${either2}, ${either3} (${n}).`;
export const theClaimStatesNoConditionIt =
  'The claim states no condition: it is judged on every path walked.';
export const theMedianLies = 'The median lies';
export const theMedianLiesBeyondWith95 = (
  criterion: string,
  formatLength: string,
  n: string,
  entered: string,
): string =>
  `The median ${criterion} lies beyond ${formatLength} with 95 % confidence (${n}); the claim is ${entered}.`;
export const theMedianOfLiesBetweenAnd = (n: string, show: string, show2: string): string =>
  `the median of ${n} lies between ${show} and ${show2} Mbit/s (95 %)`;
export const theMedianRoundTripOfLies = (n: string, low: string, high: string): string =>
  `The median round trip of ${n} lies between ${low} and ${high} ms (95 %)`;
export const theMediansUpperBound = "the median's upper bound";
export const theMiddleOfIsMbitS = (n: string, show: string): string => `the middle of ${n} is ${show} Mbit/s`;
export const theMiddleRoundTripOfIs = (n: string, median: string, entered: string): string =>
  `The middle round trip of ${n} is ${median} ms; six visits bound a median, so ${entered} is not settled.`;
export const theNearPointReadsMbitS = (show: string, entered: string): string =>
  `The near point reads ${show} Mbit/s, as much as what is behind it gives by cable: the product ` +
  `gives at least that, and the claim of ${entered} is not settled.`;
export const theNearPointsAllReadAbout = (show: string, entered: string): string =>
  `The near points all read about ${show} Mbit/s, and what is behind them may be why: the product ` +
  `gives at least that, and the claim of ${entered} is not settled.`;
export const theOneStand = 'the one stand';
export const theRatioOfMediansLiesBetween = (show: string, show2: string): string =>
  `the ratio of medians lies between ${show} and ${show2}`;
export const theRigThatItBelongsTo = 'The rig that it belongs to';
export const theStands = (stands: number): string => `the ${stands} stands`;
export const theUpperBoundOfTheBest = 'the upper bound of the best tenth of walks';
export const thereIsNoRatioOfTo = (product: string, against: string): string =>
  `There is no ratio of ${product} to ${against} here.`;
export const thisMethod = 'this method';
export const thisPathEndsAtAndCould = (formatLength: string, entered: string, nextPath: string): string =>
  `This path ends at ${formatLength} and could never settle ${entered}: ${nextPath}`;
export const throughAWorksWithSlateAnd = 'Through a works with slate and steel';
export const timesAtLikeOfWalks = (
  either: string,
  ratio: string,
  ends: string,
  stands: number,
  walks: string,
  without: string,
): string =>
  `${either}${ratio} times (${ends}) at ${stands} like ${plural(stands, 'stand')}, of ${walks} walks${without}`;
export const to = (either: string, either2: string): string => `${either} to ${either2}`;
export const toTheNearPoint = (countOf: string): string => `${countOf} to the near point.`;
export const tooCloseToTell = 'too close to tell';
export const tooFewForAnInterval = 'too few for an interval';
export const twoEndsOfASite = 'Two ends of a site';
export const upTo = 'up to ';
export const walkAndTalkRoundACorner = 'Walk and talk round a corner';
export const walkBoth = 'walk both';
export const walkBothInTurnOnOne = 'Walk both, in turn, on one path of this condition.';
export const walkIt = 'walk it';
export const walkItOnOfAtLeast = (either: string, formatLength: string): string =>
  `Walk it on ${either} of at least ${formatLength}.`;
export const wasFartherOnOfOutingsSign = (
  product: string,
  firstFarther: number,
  firstFarther2: number,
  p: string,
): string => `; ${product} was farther on ${firstFarther} of ${firstFarther2} outings (sign test, p = ${p})`;
export const whatIsBehindTheProductGives = (capital: string, show: string, entered: string): string =>
  `${capital}; what is behind the product gives ${show} Mbit/s by cable, less than the ${entered} claimed.`;
export const whichDoesNotSettleTheClaimed = (found: string, entered: string): string =>
  `${found}, which does not settle the ${entered} claimed.`;
export const whichHoldsTheClaimed = (found: string, entered: string): string =>
  `${found}, which holds the ${entered} claimed.`;
export const withMarksAtM = (points: string): string => `with marks at ${points} m`;
export const yardOrWorkshop = 'Yard or workshop';
