import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const anAttenuatorOfDbWouldDo = (either: string, attenuatorDb: string): string =>
  `${either}. An attenuator of ${attenuatorDb} dB would do instead (exponent 2).`;
export const andAPathIn = ' and a path in ';
export const andTheClaims = (name: string): string => `${name} and the claims`;
export const asAFirstGuess = ': as a first guess ';
export const atTheFixedEnd = (atFixedEnd: string): string => `at the fixed end ${atFixedEnd}`;
export const atTheFixedEnd2 = 'At the fixed end';
export const backBy = 'Back by';
export const balance = 'Balance';
export const beThere = 'Be there';
export const blindLettersForNamesUntilThe = 'blind: letters for names until the walks are in';
export const callTimetableOn = (name: string): string => `Call timetable on ${name}`;
export const callsOnFromTheStartOf = (name: string): string => `Calls on ${name}, from the start of the walk`;
export const canItBeDone = 'Can it be done?';
export const checkpoint = 'Checkpoint';
export const checksOfThePlan = 'Checks of the plan';
export const chosenAtEachWalk = 'chosen at each walk';
export const clock = 'Clock';
export const countedThings = (n: number): string => countOf(n, 'thing');
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const criterion = (criterion: string): string => `criterion ${criterion}`;
export const dashedHAvailable = (hoursAtHand: number): string => `dashed: ${hoursAtHand} h available`;
export const day = 'Day';
export const dayTimesPeopleAndHowMuch = 'Day, times, people, and how much walks differ';
export const differByLessCountAsAlike = '1.3: ranges that differ by less count as alike.';
export const differencesMatterFrom = (ratio: number): string => `differences matter from ${ratio}×`;
export const doneBy = 'Done by';
export const eachRigOnceWithItsEnds = 'each rig once with its ends swapped';
export const eachWalkBeginsAtTheZero =
  'Each walk begins at the zero point with a baseline. One walk gives an interval; the estimate begins with two.';
export const edited = (ask: string): string => `${ask} edited`;
export const enough = 'enough.';
export const enterProductsAPathAndThe = 'Enter products, a path and the number of walks.';
export const enterProductsIn = 'Enter products in ';
export const estimate = 'estimate';
export const everyProductStandsInEveryPlace = 'Every product stands in every place equally often.';
export const failedBy = ', failed by ';
export const fairnessOfThePlan = 'Fairness of the plan';
export const fixedEndSends = 'Fixed end sends';
export const forTheOneWhoHandsOut =
  'For the one who hands out the products. Whoever judges by ear or eye does not look here.';
export const heardEachWay = 'Heard, each way';
export const homeAfter = (clockText: string): string => `Home after ${clockText}`;
export const how = 'How';
export const howManyWalks = 'How many walks';
export const howManyWalks2 = 'How many walks?';
export const howManyWalksHowFineThe = 'How many walks, how fine the marks?';
export const howTheWalksAreLogged = 'How the walks are logged';
export const iHandOutTheProductsShow = 'I hand out the products: show the key';
export const is = (name: string): string => `${name} is `;
export const isItFair = 'Is it fair?';
export const isThePathLongEnough = 'Is the path long enough?';
export const itCanNeverSettleIt = 'it can never settle it';
export const keySheet = 'key sheet';
export const keySheet2 = (title: string): string => `Key sheet: ${title}`;
export const kit = 'Kit';
export const leadsOfRounds = (walksEach: number): string => `Leads, of ${walksEach} rounds`;
export const legend = 'Legend';
export const letter = 'Letter';
export const logged = (mode: string): string => `logged ${mode}`;
export const lookUpBeforeYouLookDown =
  ' Look up before you look down. Nobody back by the time above: go and look, and call by the second channel.';
export const mind = (hazards: string): string => `; mind: ${hazards}`;
export const mindAt = (what: string): string => `; mind ${what} at `;
export const moveOn = 'Move on';
export const neverFailedGoFarther = ', never failed; go farther.';
export const nextPoint = 'next point ';
export const noClaimIsEntered = 'No claim is entered.';
export const nobodyAndNothingIsNeededTwice =
  'Nobody and nothing is needed twice at once, and the batteries last.';
export const notBalancedChooseAMultipleOf = (max: number): string =>
  `Not balanced: choose a multiple of ${max} walks, or one product leads more often.`;
export const notKnownHere = 'not known here';
export const notSet = 'not set';
export const notes = 'Notes';
export const nothingIsComparedWithAnotherOf = 'Nothing is compared with another of its kind.';
export const nothingIsPlanned = 'Nothing is planned';
export const nothingToPlanYet = 'Nothing to plan yet';
export const ofComparisonsEach = (
  answersCount: number,
  questionsCount: number,
  comparisons: number,
): string => `${answersCount} of ${questionsCount}, ${comparisons} comparisons each`;
export const ofDayWithoutARestMore = (days: number): string =>
  ` of day ${days}, without a rest: more than a day’s walks`;
export const ofEachOnEachPath = (countOf: string): string => `${countOf} of each on each path`;
export const on = (name: string, name2: string): string => `${name} on ${name2}`;
export const onHeldTo = (name: string, name2: string): string => `${name} on ${name2}: held to `;
export const onOfMade = (name: string, name2: string, made: number, countOf: string): string =>
  `${name} on ${name2}: ${made} of ${countOf} made`;
export const onOfWalksMade = (
  name: string,
  name2: string,
  made: number,
  wanted: number,
  short: string,
): string => `${name} on ${name2}: ${made} of ${wanted} walks made; ${short}`;
export const onPredictedMThePathIs = (
  name: string,
  name2: string,
  reachM: string,
  pathLengthM: string,
  either: string,
): string => `${name} on ${name2}: predicted ${reachM} m, the path is ${pathLengthM}× that${either}.`;
export const onPredictedToHoldToThe = (name: string, name2: string): string =>
  `${name} on ${name2}: predicted to hold to the end; this will be a bound.`;
export const order = 'Order';
export const orderOfWalks = 'Order of walks';
export const outAndBackAt14 = (settleMin: number, setUpMin: number): string =>
  `Out and back at 1.4 m/s, ${settleMin} minutes a walk to settle, ${setUpMin} to set up each rig.`;
export const path = 'Path';
export const pathEndsFirstShareOfThe = 'path ends first: share of the claim';
export const paths = 'Paths';
export const permission = (permission: string): string => `; permission: ${permission}`;
export const place = 'Place';
export const plan = 'Plan';
export const plan2 = 'plan';
export const planned = ' (planned)';
export const printTheRunSheet = 'Print the run sheet';
export const product = 'Product';
export const rig = 'Rig';
export const rigs = 'Rigs';
export const round = 'Round';
export const runSheet = 'Run sheet';
export const runSheet2 = (title: string): string => `Run sheet: ${title}`;
export const sClaimOf = (product: string, entered: string): string => ` ${product}’s claim of ${entered} (`;
export const secondChannel = (secondChannel: string): string => `second channel ${secondChannel}`;
export const secondChannel2 = 'Second channel';
export const settlesAClaim = 'settles a claim';
export const setUpOfARig = 'Set-up of a rig';
export const settings = 'Settings';
export const shareOfComparisonsThatTellThe =
  'Share of comparisons that tell the products apart, over walks and steps; the figures stand in the table';
export const shareOfComparisonsThatTellThem = 'Share of comparisons that tell them apart';
export const shortOf = (outrun: number): string => `, short of ${outrun}×`;
export const shortOfAWalkThatHolds = (outrun: number): string =>
  `short of ${outrun}×; a walk that holds to the end will give a bound`;
export const sideBySide = 'side by side';
export const simulateComparisons = 'Simulate comparisons';
export const simulatedSoFar = 'Simulated so far';
export const smallestDifferenceThatMatters = 'Smallest difference that matters';
export const standSBeforeTheFirstCall = (settleS: number, tries: number, timeoutS: number): string =>
  `Stand ${settleS} s before the first call; ${tries} tries of ${timeoutS} s each way. Nothing ` +
  'heard: write that down, and move on at the time above all the same.';
export const start = 'Start';
export const start2 = (startTime: string): string => `start ${startTime}`;
export const state = 'State';
export const stepOff = 'Step off';
export const stepsOfPercent = (round: number): string => `steps of ${round} %`;
export const stop = 'Stop';
export const sunset = 'Sunset';
export const theAudit = 'the audit';
export const theAuditFindsNothingToQuestion =
  'The audit finds nothing to question in what is planned and walked so far.';
export const theBoard = 'the board';
export const theBracketIsAsNarrowAs = 'the bracket is as narrow as wanted.';
export const theDay = 'The day';
export const theFirstWalkOfAPath = 'the first walk of a path once more at the end';
export const theOrderFollowsFromThem = '; the order follows from them.';
export const theProductsOfARoundAre = ' The products of a round are walked together.';
export const theProductsOfARoundSide = 'the products of a round side by side';
export const theirGeometricMean = ', their geometric mean.';
export const thisCell = 'This cell';
export const timeAvailable = 'Time available';
export const to = 'to ';
export const tooFewWalksItTakes = 'too few: walks it takes';
export const toSettleInCanItBe = (countOf: string): string => `${countOf} to settle in “Can it be done?”`;
export const toTell = 'To tell ';
export const toWalk = 'to walk';
export const twoWalksInThreeLieWithin = '0.2: two walks in three lie within a factor of 1.22 of the median.';
export const units = 'Units';
export const walk = (label: string): string => `walk ${label}`;
export const walked2 = 'walked';
export const walkIt = 'Walk it';
export const walkItNext = 'walk it next';
export const walkToWalkSpread = 'Walk-to-walk spread';
export const walked = 'Walked';
export const walkerSends = 'Walker sends';
export const walking = (atMobileEnd: string): string => `walking ${atMobileEnd}`;
export const walking2 = 'Walking';
export const walks = 'walks';
export const walksAndCriterion = 'Walks and criterion';
export const walksEach = 'Walks each';
export const walksOfEachProduct = 'walks of each product';
export const walksOfEachProductOnEach = 'Walks of each product on each path';
export const walksOfEachProductWithMarks = ' walks of each product, with marks no wider apart than ';
export const walksOfEachRigOnEach = 'Walks of each rig on each path';
export const walkToWalkSpread2 = (sigma: number): string => `walk-to-walk spread ${sigma}`;
export const whatNext = 'What next';
export const whatTakesPart = 'What takes part';
export const whenWalksSpreadByAFactor = ' when walks spread by a factor of ';
export const whoeverHandsOutTheProductsReads = 'Whoever hands out the products reads the ';
export const whoeverJudgesDoesNot = '; whoever judges does not.';
export const willThisDecideItAndWhen = 'Will this decide it, and when am I home?';
