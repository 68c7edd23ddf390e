import { countOf, plural } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aHopNotKnownWhich = 'a hop, not known which';
export const aRatioOfWantedToUnwanted =
  'A ratio of wanted to unwanted says nothing about a distance: no range is made of it.';
export const acceptedBecause = 'Accepted, because';
export const againstNoRatio = (
  numerator: string,
  denominator: string,
  reason: string,
  either: string,
  n: string,
): string => `${numerator} against ${denominator}: no ratio (${reason}${either}; ${n}).`;
export const antennaBody = 'Antenna, body';
export const asItsReadingsOrTheWalker = 'as its readings or the walker say';
export const asItsReadingsSay = 'as its readings say';
export const asItsReadingsSayAndThe = 'as its readings say and the walker noticed';
export const asTheWalkerNoticed = 'as the walker noticed';
export const at = (nearM: string): string => `at ${nearM}`;
export const at2 = (label: string, formatLength: string): string => `${label} at ${formatLength}`;
export const at3 = 'At';
export const atLeast = 'at least ';
export const atLeastForWhatIsNear = ', at least, for what is near by is capped';
export const atLeastMbitSItsNearest = (rate: string, points: number, show: string): string =>
  `at least ${rate} Mbit/s: its nearest ${points} points, up to ${show}, read alike, and what is ` +
  'behind them was not measured';
export const atLeastMbitSUpTo = (rate: string, show: string): string =>
  `at least ${rate} Mbit/s: up to ${show} it reads what is behind it, as by cable`;
export const atOnePlace = 'At one place';
export const atOneWayOnlyTheDoes = (product: string, group: string, deaf: string): string =>
  `${product} at ${group}: one way only. The ${deaf} does not hear: a deaf receiver there, or a ` +
  'weak transmitter at the other end; a walk with the ends swapped tells which.';
export const bandPower = 'Band, power';
export const belowTheTapeAsAnExample = (product: string, label: string): string =>
  ` Below the tape, as an example, ${product}, walk ${label}: clear is solid, degraded is hatched, lost is a gap.`;
export const betweenAnd = (nearM: string, farM: string): string => `between ${nearM} and ${farM}`;
export const boundNoMedian = (product: string, walks: number, path: string, reason: string): string =>
  `${product}: ${countedWalks(walks)} on ${path} ${plural(walks, 'bounds', 'bound')} no median (${reason}).`;
export const bracketOneWalkBetweenTheLast = (criterion: string, criterionMeaning: string): string =>
  `${criterion}: ${criterionMeaning}. Bracket: one walk, between the last place that held and the ` +
  'first that failed. Open arrow: a bound. Bar and diamond: the median with its 95 % interval.';
export const byItsMeanDbMore = (dutyDb: string): string => `; by its mean, ${dutyDb} dB more`;
export const changedFromToInOfEach = (
  product: string,
  way: string,
  from: string,
  to: string,
  where: string,
  n: number,
  countOf: string,
  saidBy: string,
): string =>
  `${product}, ${way}: changed from ${from} to ${to} ${where} in ${n} of ${countOf}, ${saidBy}; ` +
  'each has a curve of its own.';
export const channel = 'Channel';
export const claim = 'Claim';
export const claims = 'Claims';
export const conditionNotStated = 'condition not stated';
export const costOfAMetre = 'Cost of a metre';
export const couldBeWorth = 'Could be worth';
export const countedLegs = (n: number): string => countOf(n, 'leg');
export const countedVisits = (n: number): string => countOf(n, 'visit');
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const dbAtThe = (db: string, end: string | number | undefined): string => `${db} dB at the ${end}`;
export const direction = 'Direction';
export const distancesCheckpointsAt = (name: string, byMethod: string, checkpoints: string): string =>
  `${name}: distances ${byMethod}; checkpoints at ${checkpoints}.`;
export const eachWalk = 'Each walk';
export const elseText = (lost: string, either: string, digits: string, unit: string): string =>
  `${lost}, else ${either}${digits} ${unit}`;
export const estimatesLognormalModelOnIntervalsOne = (intervalMethod: string): string =>
  'Estimates: lognormal model on intervals, one spread for the medians of all products of a kind ' +
  'on a path unless spreads plainly differ, each its own for what 9 of 10 walks hold to; intervals ' +
  `by ${intervalMethod}.`;
export const everythingNeeded = 'Everything needed';
export const failedAt = (failed: string): string => `failed at ${failed}`;
export const failedAtAndWasUsableAgain = (show: string, show2: string, rise: string): string =>
  `failed at ${show} and was usable again at ${show2} (along the path${rise})`;
export const fairnessAndConsistency = 'Fairness and consistency';
export const fellBy = (by: string, from: string): string => `fell by ${by}, ${from}`;
export const fixedEnd = 'fixed end';
export const foundByTheAudits = 'Found by the audits';
export const frequency = 'Frequency';
export const gradedBy = 'Graded by';
export const gradesAtStandsEachWayOn = (name: string): string => `Grades at stands, each way, on ${name}`;
export const groundWet = 'Ground wet';
export const halfOfItsWalksOnHold = (
  product: string,
  name: string,
  show: string,
  criterion: string,
  interval: string,
  n: string,
  unplaced: string,
): string =>
  `${product}: half of its walks on ${name} hold to ${show} or farther before ${criterion}, known ` +
  `to be ${interval} (95 %, ${n}).${unplaced}`;
export const heightsFixedAndMobileEnd = 'Heights, fixed and mobile end';
export const heldAt = (held: string): string => `held at ${held}`;
export const heldToOnInOfWhere = (
  product: string,
  show: string,
  name: string,
  walks: number,
  walks2: string,
): string =>
  `${product}: held to ${show} on ${name} in ${walks} of ${walks2}, where the walks ended; how ` +
  'much farther was not tested.';
export const howEveryFigureIsMadeWith =
  'How every figure is made, with sources and worked values: the page Methods of Urvek ' +
  '(docs/methods.md), paragraphs “Places”, “Bracket of a walk”, “Range of one product”, “Scale ' +
  'error”, “Ratio of two products”, “Claims”.';
export const howToRepeatIt = 'How to repeat it';
export const inCheckpoints = (
  name: string,
  either: string,
  formatLength: string,
  countOf: string,
  either2: string,
  checkpointsCount: number,
): string => `${name}, ${either}: ${formatLength} in ${countOf}${either2}; ${checkpointsCount} checkpoints.`;
export const inShort = 'In short';
export const interference = 'Interference';
export const interferenceCabledOrShielded = 'Interference, cabled or shielded';
export const invalidSentenceItRestsOnNothing = (text: string): string =>
  `invalid sentence, it rests on nothing: ${text}`;
export const it = (fall: string): string => `; it ${fall}`;
export const itFailedInOfAtA = (unplaced: number, walks: string): string =>
  ` It failed in ${unplaced} of ${walks} at a place that nobody knows.`;
export const itsMedianForOnIs95 = (
  product: string,
  criterion: string,
  name: string,
  interval: string,
  n: string,
  unplaced: string,
): string => `${product}: its median for ${criterion} on ${name} is ${interval} (95 %, ${n}).${unplaced}`;
export const judgedOn = 'Judged on';
export const justFailsAtWantedOverUnwanted = (said: string, either: string): string =>
  `Just fails at wanted over unwanted ${said}${either}.`;
export const kind = 'Kind';
export const latency = 'Latency';
export const latency95Percent = 'Latency (95 %)';
export const leaf = 'Leaf';
export const load = 'Load';
export const madeUpTheseWalksWerePlayed =
  'Made up: these walks were played by simulated gear. They show the method, not a product.';
export const margin = 'Margin';
export const mbitSAt = (rate: string, show: string, n: string): string => `${rate} Mbit/s at ${show} (${n})`;
export const median95PercentInterval = 'Median, 95 % interval';
export const method = 'Method';
export const mhz = (frequencyMHz: number): string => `${frequencyMHz} MHz`;
export const mobileEnd = 'mobile end';
export const ms = (part: string): string => `${part} ms`;
export const n9Of10HoldTo = '9 of 10 hold to';
export const n9Of10WalksHoldTo = '9 of 10 walks hold to';
export const needed = 'Needed';
export const needs = 'Needs';
export const noConnectionInOf = (none: number, readings: number): string =>
  `no connection in ${none} of ${readings}`;
export const noConnectionInOfNearestAt = (
  product: string,
  way: string,
  lost: number,
  countOf: string,
  show: string,
): string =>
  `${product}, ${way}: no connection in ${lost} of ${countOf}, nearest at ${show}; it counts as 0 Mbit/s.`;
export const noDirectionWasLookedAt = 'no direction was looked at.';
export const noDistanceIsKnown = 'no distance is known';
export const noPlace = 'no place';
export const noRatioItWantsWhatThe =
  'No ratio: it wants what the source puts out, how far or how well cabled it is to an end, and ' +
  'the wanted level there when the link just fails.';
export const noStandAtWhichBothWere = 'no stand at which both were read on one walk';
export const noWalkYet = 'No walk yet';
export const none = (refused: string | undefined): string => `none: ${refused}`;
export const notEstimable = 'not estimable';
export const notFinishedLeftOut = (n: number): string =>
  `${countOf(n, 'walk that was', 'walks that were')} not finished ${plural(n, 'is', 'are')} left out.`;
export const notRanked = (refused: string): string => `not ranked: ${refused}`;
export const notStated = 'not stated';
export const notStatedWhoPaidForThis =
  'Not stated: who paid for this, and who lent the gear, is not entered.';
export const nothingWasNotedOfWeatherPeople = 'Nothing was noted of weather, people and other transmitters.';
export const nothingWasReadNearBy = 'nothing was read near by';
export const ofEachProduct = (countOf: string): string => `${countOf} of each product`;
export const ofEndAtWhereTheWall = (
  product: string,
  k: number,
  walks: string,
  show: string,
  boundaryText: string,
  either: string,
): string =>
  `${product}: ${k} of ${walks} end at ${show}, where ${boundaryText}: the wall decides there, ` +
  `more than the product, and a smooth spread of distances does not describe it.${either}`;
export const ofPairsTheWalksTellApart = (allCount: number, toldCount: number, either: string): string =>
  `Of ${allCount} pairs the walks tell ${toldCount} apart${either}.`;
export const ofText = (walks: number, product: string): string => `${walks} of ${product}`;
export const ofText2 = 'Of';
export const ofTheDayIsNotStated = (undated: number): string => `; of ${undated} the day is not stated`;
export const on = (name: string): string => ` on ${name}`;
export const onHowMuchFartherWasNot = (product: string, name: string, lowerFirst: string): string =>
  `${product} on ${name}: ${lowerFirst}; how much farther was not tested.`;
export const onOnOfAFartherPlace = (
  product: string,
  name: string,
  direction: string,
  times: number,
  walks: string,
  walk: string,
  place: string,
): string =>
  `${product} on ${name}, ${direction}: on ${times} of ${walks} a farther place worked again; walk ${walk} ${place}.`;
export const open = (mend: string): string => `open. ${mend}`;
export const orderOfTheProductsAsThey = (rangeTitle: string, order: string): string =>
  `${rangeTitle}: order of the products as they were walked: ${order}.`;
export const otherTransmitters = 'Other transmitters';
export const overTheWayUpFellBy = (product: string, part: string, part2: string, cap: string): string =>
  `${product}: over the way up fell by ${part} %, down by ${part2} %${cap}.`;
export const pOverAllPairs = (either: string): string => `; p = ${either} over all pairs`;
export const path = (name: string): string => `path ${name}`;
export const peopleAbout = 'People about';
export const perMetre = 'Per metre';
export const perMetreGained = 'Per metre gained';
export const place = 'Place';
export const placesDaysAndUnitsOtherThan = 'Places, days and units other than these.';
export const product = 'Product';
export const productsAndRigs = 'Products and rigs';
export const productsReadAlikeAtTheNear = (way: string, rate: string): string =>
  `Products read alike at the near point, ${way} (${rate} Mbit/s): that may measure what is behind ` +
  'them, not the products.';
export const rangeIsStatedInSeparationThe =
  'Range is stated in separation, the straight line between the two ends, and speaks for its path.';
export const ranges = (rangeTitle: string): string => `ranges ${rangeTitle}`;
export const rangesOn = (name: string, criterion: string): string => `Ranges on ${name}, ${criterion}`;
export const reachesAsFarAs = (
  numerator: string,
  ratio: string,
  denominator: string,
  either: string,
  apartText: string,
): string => `${numerator} reaches ${ratio}× as far as ${denominator}${either}; ${apartText}.`;
export const readingsAtStandsMedianLeastTo = (product: string): string =>
  `${product}: readings at stands, median (least to most)`;
export const readWith = 'Read with';
export const readings = 'Readings';
export const readingsAtPlacesEachStandsIn = (places: number): string =>
  `Readings at ${places} places: each stands in readings.csv.`;
export const readingsTellOneSideOnly = (product: string, way: string, n: number): string =>
  `${product}, ${way}: ${countOf(n, 'reading tells', 'readings tell')} one side only, and ` +
  `${plural(n, 'is', 'are')} in no curve.`;
export const readingsWithoutAWalk = 'Readings without a walk';
export const resolution = 'Resolution';
export const resultOn = (rangeTitle: string): string => `Result on ${rangeTitle}`;
export const rig = 'Rig';
export const roseBy = (by: string, from: string): string => `rose by ${by}, ${from}`;
export const settingsMeanLeastToMost = 'Settings, mean (least to most)';
export const someWalksLookedAtStandsOnly =
  'Some walks looked at stands only: between stands nothing is known.';
export const source = 'Source';
export const stands = (label: string): string => `“${label}” stands`;
export const temperatureC = 'Temperature, °C';
export const test = 'Test';
export const testSignal = (name: string, testSignal: string): string =>
  `${name}, test signal: ${testSignal}.`;
export const theBench = 'the bench';
export const theClaimOf = (subject: string, claimText: string, reason: string): string =>
  `The claim of ${subject}, “${claimText}”: ${reason}`;
export const theDayIsNotStated = (n: string): string => `${n}, the day is not stated`;
export const theFirstStandHere = (pairsTold: number): string => `; the first ${pairsTold} stand here`;
export const thePath = (name: string): string => `The path ${name}`;
export const thePlanCouldNeverHaveSettled = (neverSettled: string): string =>
  ` The plan could never have settled it: ${neverSettled}.`;
export const thePlanCouldNeverHaveSettled2 = (neverSettled: string): string =>
  `The plan could never have settled it: ${neverSettled}.`;
export const theWalksTellThemApart = 'the walks tell them apart';
export const then = ', then ';
export const theseWalksDoNotTellThem = (either: string): string =>
  `these walks do not tell them apart${either}`;
export const to = (digits: string): string => `${digits} to `;
export const to2 = (digits: string, digits2: string): string => ` (${digits} to ${digits2})`;
export const to3 = (first: string, last: string): string => `${first} to ${last}`;
export const toMbitSFromTo = (rate: string, rate2: string, show: string, show2: string): string =>
  `${rate} to ${rate2} Mbit/s, from ${show} to ${show2}`;
export const tooFew = 'too few';
export const unitsWalked = 'Units walked';
export const use = 'Use';
export const verdict = 'Verdict';
export const walk = (label: string): string => `walk ${label}`;
export const walk2 = (
  product: string,
  label: string,
  criterion: string,
  filter: string,
  absent: string,
): string => `${product}, walk ${label} (${criterion}): ${filter}; ${absent}.`;
export const walkFailedInTheRigCheck = (product: string, label: string, text: string): string =>
  `${product}, walk ${label}: failed in the rig check: ${text}.`;
export const walkNoDistanceIsKnown = (product: string, label: string, course: string): string =>
  `${product}, walk ${label}: ${course}; no distance is known.`;
export const walkOfOnWasLeftOut = (
  label: string,
  product: string,
  name: string,
  leftOut: string | undefined,
): string => `Walk ${label} of ${product} on ${name} was left out: ${leftOut}`;
export const wasNotLookedAt = (find: string): string => `${find} was not looked at.`;
export const wasNotWalked = (name: string): string => `${name} was not walked.`;
export const wasNotWalkedOn = (name: string, without: string): string =>
  `${name} was not walked on ${without}.`;
export const weather = 'Weather';
export const what = 'What';
export const whatItBears = 'What it bears';
export const whatItSays = 'What it says';
export const whatWasHeardOnTheMove =
  'What was heard on the move is logged late: positions are corrected by the operator’s reaction ' +
  'time (0.6 ± 0.2 s unless it was measured) and the rig’s playout delay, where it is stated.';
export const whatWasNotTested = 'What was not tested';
export const whatWasTestedAndHowIt = 'What was tested, and how it was set up';
export const where = 'Where';
export const whereConditionsAndCaveats = 'Where, conditions and caveats';
export const whoPaid = 'Who paid';
export const why = 'Why';
export const withoutAModelTheMedianIs = (ends: string, part: number): string =>
  ` Without a model the median is ${ends} (at least 95 %, by order of ${part}).`;
