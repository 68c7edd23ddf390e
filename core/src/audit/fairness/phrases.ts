import { countOf } from '../../quantity/plural.ts';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aFactorOf = (exp: string): string => `a factor of ${exp}`;
export const agreeOnTheClips = (
  a: string,
  b: string,
  kappa: string,
  range: string | undefined,
  clips: number,
): string =>
  `on ${clips} clips of the grade trainer ${a} and ${b} agree with a weighted kappa of ${kappa}` +
  (range === undefined ? '' : ` (95 %: ${range})`);
export const aSurpriseWasNotMeasuredAgain = 'A surprise was not measured again';
export const andDifferByLessThanThe = (name: string, name2: string): string =>
  `${name} and ${name2} differ by less than the marks are apart`;
export const andPercent = (part: string): string => ` and ${part} %`;
export const andWereWalkedHoursApartBy = (name: string, name2: string, hours: string): string =>
  `${name} and ${name2} were walked ${hours} hours apart, by their median starts`;
export const antenna = (a: string, b: string): string => `Antenna ${a}; ${b}`;
export const antennasStandInDifferentPlaces = 'Antennas stand in different places';
export const atTheIsHeardAndDoes = (name: string, at: string, deaf: string): string =>
  `${name}: at ${at} the ${deaf} is heard and does not hear`;
export const beginAtTheFixedEndWith = 'Begin at the fixed end, with the baseline heard there.';
export const bestAgainstMean = 'Best against mean';
export const body = (name: string, texts: string, name2: string, texts2: string): string =>
  `Body: ${name} ${texts}; ${name2} ${texts2}`;
export const bracketsOfADifferenceOf = (width: string, percent: string): string =>
  `brackets of ${width}, a difference of ${percent}`;
export const cables = (a: string, b: string): string => `Cables: ${a}; ${b}`;
export const cablesAndConnectorsDiffer = 'Cables and connectors differ';
export const callsWithWereGradedAndNothing = (name: string): string =>
  `Calls with ${name} were graded and nothing was read back: the listener may have known what was said`;
export const carryBothInOnePlaceOr =
  'Carry both in one place, or measure the body by a walk with it in the way.';
export const changeOneSettingAtATime = 'Change one setting at a time, and walk between.';
export const channel = (a: string, b: string): string => `Channel: ${a}; ${b}`;
export const channelWidthMhzMhz = (name: string, a: number, name2: string, b: number): string =>
  `Channel width: ${name} ${a} MHz, ${name2} ${b} MHz`;
export const channelWidthsDiffer = 'Channel widths differ';
export const channelsDiffer = 'Channels differ';
export const correctTheBeginningOfTheWalk = 'Correct the beginning of the walk in Trace';
export const distances = (name: string, texts: string, name2: string, texts2: string): string =>
  `Distances: ${name} ${texts}; ${name2} ${texts2}`;
export const distancesByDifferentMethods = 'Distances by different methods';
export const endEachWalkWithItsReason = 'End each walk with its reason, or walk it again.';
export const enterItInKit = 'Enter it in Kit';
export const feederLossDbDb = (
  name: string,
  a: number | undefined,
  name2: string,
  b: number | undefined,
): string => `Feeder loss: ${name} ${a} dB, ${name2} ${b} dB`;
export const fromToChangedTogether = (name: string, name2: string, name3: string, changes: string): string =>
  `${name}: from “${name2}” to “${name3}” ${changes} changed together`;
export const graded = (person: string, products: string, walks: number): string =>
  `${person} graded ${products} (${countOf(walks, 'walk')})`;
export const gradedBySeveral = 'Graded by several people';
export const gradersOfAKind = (kind: string, said: string): string => `${kind}: ${said}`;
export const groundWet = ', ground wet';
export const heightsDiffer = 'Heights differ';
export const holdItAtMOrMore = (leastM: number): string =>
  `Hold it at ${leastM} m or more, unless it is used that low.`;
export const howItWasAtTheBeginning = 'how it was at the beginning';
export const instrumentsDiffer = 'Instruments differ';
export const itsRigsAreTakenTogetherThough = (name: string, uneven: string): string =>
  `${name}: its rigs are taken together, though only some of them state ${uneven}`;
export const judgedByEarOrEyeWith = (kindName: string): string =>
  `${kindName}: judged by ear or eye, with the names known`;
export const leaf = (a: string, b: string): string => `Leaf: ${a}; ${b}`;
export const leafDiffered = 'Leaf differed';
export const load = (a: string, b: string): string => `Load: ${a}; ${b}`;
export const loadsDiffer = 'Loads differ';
export const logBothInOneWay = 'Log both in one way.';
export const loggedInDifferentWays = (a: string, b: string): string => `Logged in different ways: ${a}; ${b}`;
export const mOfWalking = (apartS: string): string => `${apartS} m of walking`;
export const measureBothByOneMethodBest = 'Measure both by one method, best by the marked line.';
export const measureEachDelayAtTheFixed = 'Measure each delay at the fixed end, by switching the sender off.';
export const measureWhatIsBehindItBy =
  'Measure what is behind it by cable and enter it in Paths; where that is the cap, feed it from a ' +
  'server on its own cable that gives more, and read the near points again.';
export const notBegunAtTheFixedEnd = 'Not begun at the fixed end';
export const notJudgedBlind = 'Not judged blind';
export const notStated = 'Not stated';
export const notWalkedAlike = 'Not walked alike';
export const ofTheBestIsQuotedOf = (name: string, name2: string): string =>
  `Of ${name} the best is quoted, of ${name2} the mean`;
export const ofWalksBeganMOut = (name: string, lateCount: number, walksCount: number, part: string): string =>
  `${name}: ${lateCount} of ${walksCount} walks began ${part} m out`;
export const ofWalksOfWereBegunAnd = (left: number, walksCount: number, name: string): string =>
  `${left} of ${walksCount} walks of ${name} were begun and not finished; other products finished all`;
export const onePersonGradesAllWalks =
  'Let one person grade every walk of a comparison; or let all grade the clips of the grade trainer before their ' +
  'next walk, which then carries how they grade.';
export const onTheAir = (a: string, b: string): string => `On the air: ${a}; ${b}`;
export const oneDirectionOnly = 'One direction only';
export const oneProductAlwaysLed = 'One product always led';
export const oneUnitOfWasWalked = (names: string): string => `One unit of ${names} was walked`;
export const oneUnitWasTested = 'One unit was tested';
export const orientation = (name: string, texts: string, name2: string, texts2: string): string =>
  `Orientation: ${name} ${texts}; ${name2} ${texts2}`;
export const orientationOrBodyPositionDiffers = 'Orientation or body position differs';
export const otherTransmittersWereOn = 'Other transmitters were on';
export const planItBlindLettersForNames = 'Plan it blind: letters for names, handed out by somebody else.';
export const playoutDelaySS = (
  name: string,
  a: number | undefined,
  name2: string,
  b: number | undefined,
): string => `Playout delay: ${name} ${a} s, ${name2} ${b} s`;
export const playoutDelaysDiffer = 'Playout delays differ';
export const powerSetToMwToMw = (name: string, a: number, name2: string, b: number): string =>
  `Power: ${name} set to ${a} mW, ${name2} to ${b} mW`;
export const powersSetDiffer = 'Powers set differ';
export const putBothAntennasInOnePlace = 'Put both antennas in one place, or test each in both.';
export const putOneLoadOnBoth = 'Put one load on both.';
export const quoteTheMedianOfBothWith = 'Quote the median of both, with the number of walks.';
export const raiseToMAndWalkIt = (name: string, max: number): string =>
  `Raise ${name} to ${max} m and walk it again.`;
export const readBackFreshWordsAtThe = 'Read back fresh words at the points about the limit.';
export const readBothWithOneInstrumentOr = 'Read both with one instrument, or read one point with both.';
export const readWith = (a: string, b: string): string => `Read with ${a}; ${b}`;
export const readsMbitSAtItsNear = (name: string, levelMbps: string): string =>
  `${name} reads ${levelMbps} Mbit/s at its near point, as much as what is behind it gives by cable: at least that`;
export const readsMbitSAtNearestPoints = (name: string, levelMbps: string, points: number): string =>
  `${name} reads ${levelMbps} Mbit/s at ${points} nearest points, and what is behind it was not ` +
  'measured: at least that';
export const setBothToOnePowerOr = 'Set both to one power, or say that each ran at its own greatest.';
export const setBothToTheNarrowerWidth = 'Set both to the narrower width.';
export const setMarksNoWiderThanApart = (percent: string): string =>
  `Set marks no wider than ${percent} apart about the expected range, and walk again.`;
export const setOneChannelOrSurveyBoth = 'Set one channel, or survey both channels before and after.';
export const stateItOfEachRigIn = 'State it of each rig in Kit: rigs that differ are then compared apart.';
export const stepsWiderThanTheDifference = 'Steps wider than the difference';
export const switchThemOffOrWalkBoth = 'Switch them off, or walk both while they are on.';
export const takeTheOrderFromPlanEach = 'Take the order from Plan: each product leads equally often.';
export const takeTheTableInAgainWith = 'Take the table in again with a column for the day';
export const testTheOtherDirectionOneEnd = 'Test the other direction: one end can be deaf.';
export const theBand = 'the band';
export const theChannel = 'the channel';
export const theClaimIsSmallerThanThe = (entered: string): string =>
  `The claim “${entered}” is smaller than the marks are apart`;
export const theDay = 'the day';
export const theHeightOfTheFixedEnd = 'the height of the fixed end';
export const theHeightOfTheMobileEnd = 'the height of the mobile end';
export const theLinkWorksOneWayOnly = 'The link works one way only';
export const theListenerKnewThePhrase = 'The listener knew the phrase';
export const thePlayoutDelay = 'the playout delay';
export const thePower = 'the power';
export const theRepeatDiffersAsMuchAs = 'The repeat differs as much as the products';
export const throughputIsCapped = 'Throughput is capped';
export const turnBothAlikeATurnOn =
  'Turn both alike; a turn on the spot at one distance shows what it is worth.';
export const twoThingsChangedAtOnce = 'Two things changed at once';
export const upTo = (decibels: string): string => `up to ${decibels}`;
export const useOneFeederForBoth = 'Use one feeder for both.';
export const useTheSameCablesAndAdapters = 'Use the same cables and adapters, or none.';
export const walkASecondUnitBoughtApart = 'Walk a second unit, bought apart from the first.';
export const walkBothAgainInTurnOn = 'Walk both again in turn on one day.';
export const walkBothInOneSeasonAnd = 'Walk both in one season, and dry or wet alike.';
export const walkItOnceMoreBeforeIt = 'Walk it once more before it counts.';
export const walkItOnceWithTheEnds =
  'Walk it once with the ends swapped: what is deaf goes with its unit, what is weak stays with the other.';
export const walkMoreRoundsOfBothIn = 'Walk more rounds of both in turn.';
export const walkOnToo = (name: string, pathName: string): string => `Walk ${name} on ${pathName} too.`;
export const walkThemInTurnNotOne = 'Walk them in turn, not one after the other.';
export const walkedAgainAtTheEndWent = (
  name: string,
  exp: string,
  name2: string,
  name3: string,
  max: string,
): string =>
  `${name} walked again at the end went ${exp} times as far; ${name2} and ${name3} differ by a factor of ${max}`;
export const walkedAtDifferentTimes = 'Walked at different times';
export const walkTimesAsFarAsThe = (name: string, label: string, factor: string): string =>
  `${name}, walk ${label}: ${factor} times as far as the others, and no walk after it`;
export const wasTestedOnly = (name: string, ways: string | undefined): string =>
  `${name} was tested ${ways} only`;
export const wasWalkedFirstInAllRounds = (name: string, firstsCount: number): string =>
  `${name} was walked first in all ${firstsCount} rounds`;
export const wasWalkedOnOnlyOn = (
  name: string,
  pathName: string,
  name2: string,
  pathsWalked: string,
): string => `${name} was walked on ${pathName}, ${name2} only on ${pathsWalked}`;
export const weather = (a: string, b: string): string => `Weather: ${a}; ${b}`;
export const weatherDiffered = 'Weather differed';
export const whereItIsKnownItIs = (ways: string): string =>
  `${ways}, where it is known; it is reported as not stated otherwise.`;
export const whereTheAntennaStands = 'where the antenna stands';
export const whereTheWalksBegin = 'where the walks begin';
