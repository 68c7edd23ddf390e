import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aBeaconThatWasHiddenIs = 'A beacon that was hidden or switched off is unread too.';
export const aPlace = 'a place';
export const aPlayoutDelayIsNotStated = '; a playout delay is not stated, and reckoned as none.';
export const aRehearsalTheReceiverWasOff = 'a rehearsal; the receiver was off';
export const aSpreadsheetSavedAsCsvOne =
  'A spreadsheet saved as CSV, one row a point: where, and how good. Products and paths are ' +
  'matched by name with Kit and Paths.';
export const aTraceIsWorkedOutFrom = 'A trace is worked out from the log of a walk: ';
export const add = (either: string | number): string => `Add ${either}`;
export const addAnEntry = 'Add an entry';
export const addIt = 'Add it';
export const after = 'After';
export const andAPlayoutDelayOf = ' and a playout delay of ';
export const andItsClockKeepsTimeWith = ', and its clock keeps time with the walk’s';
export const andItsClockRunsByMillionths = (either: string, size: string): string =>
  `, and its clock runs ${either} by ${size} millionths`;
export const andMore = (insideCount: number): string => `and ${insideCount} more. `;
export const andMore2 = (problemsCount: number): string => `and ${problemsCount} more.`;
export const anotherFile = 'Another file';
export const anotherOne = 'Another one';
export const answered = 'Answered';
export const at = 'At';
export const at2 = 'at ';
export const atNoKnownDistance = 'at no known distance';
export const atOneStand = 'at one stand';
export const backUpThenRemoveForGood = 'Back up, then remove for good';
export const backingUp = 'Backing up …';
export const bandOrChannel = 'Band or channel';
export const baseline = 'Baseline';
export const begunOtherwise = 'begun otherwise';
export const bentPathLeastAndGreatest = ' (bent path: least and greatest)';
export const besideAnotherWithoutADistance = 'Beside another, without a distance';
export const byItsClockOnTheMove = 'by its clock, on the move';
export const byTheBeaconItCame = (
  of: 'picture' | 'sound',
  ms: string,
  uMs: string,
  moments: string,
): string =>
  `By the beacon the ${of} came ${ms} ms late, the middle of ${moments}; ` +
  `standard uncertainty ${uMs} ms, by the clocks`;
export const callAtACheckpoint = 'call at a checkpoint';
export const cancel = 'Cancel';
export const cellOrAccessPoint = 'Cell or access point';
export const checkpoint = 'Checkpoint';
export const chooseAFile = 'Choose a file';
export const chooseOne = 'choose one';
export const chooseTheFile = 'Choose the file';
export const chooseTheWalkThatFollowsIt = 'choose the walk that follows it';
export const clearSolidFullHeight = 'clear: solid, full height';
export const closer = 'Closer ';
export const column = 'Column';
export const comingInFromOutOfReach = ', coming in from out of reach';
export const correct = (eventText: string): string => `Correct “${eventText}”`;
export const correct2 = 'Correct';
export const correctAtS = (eventText: string, walkS: string): string => `Correct: ${eventText} at ${walkS} s`;
export const correctIt = 'Correct it';
export const correction = 'Correction';
export const correctionLogged = 'Correction logged';
export const countedGaps = (n: number): string => countOf(n, 'gap');
export const countedLosses = (n: number): string => countOf(n, 'loss', 'losses');
export const countedMoments = (n: number): string => countOf(n, 'moment');
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const countItAgain = 'Count it again';
export const coverageComesBackBeyondTheFirst =
  'Coverage comes back beyond the first loss: a farther place works where a nearer one fails. ' +
  'First dropout and last usable differ.';
export const criterion = 'Criterion';
export const day = 'Day';
export const dayNotStated = 'day not stated';
export const degradedHatchedHalfHeight = 'degraded: hatched, half height';
export const delayOfSForTheWhole = (reaction: string): string => `delay of ${reaction} s for the whole walk`;
export const delayOfWhatIsHeard = 'Delay of what is heard';
export const deviceNumber = (deviceId: string, seq: number): string => `. Device ${deviceId}, number ${seq}.`;
export const devicesThatJoined = 'Devices that joined';
export const direction = 'Direction';
export const directionThatWasWatched = 'Direction that was watched';
export const distance = 'Distance';
export const distancesComeFrom = 'Distances come from';
export const distancesThatFallAre = 'Distances that fall are';
export const doorTurnFloor = 'door, turn, floor';
export const dropoutBegins = 'dropout begins';
export const dropoutEnds = 'dropout ends';
export const dropouts = 'Dropouts: ';
export const eachByIts = ', each by its ';
export const earlier = ' earlier';
export const endOfTheWalk = 'end of the walk';
export const ended = (endReason: string): string => `ended: ${endReason}`;
export const enteredAfterwards = 'entered afterwards';
export const entryAdded = 'Entry added';
export const eventsOfTheLog = 'Events of the log';
export const failed = 'Failed';
export const failedAt = (failed: string): string => `failed at ${failed}`;
export const failedInTheRigCheck = 'Failed in the rig check:';
export const figuresWithoutAUnitAreIn = 'Figures without a unit are in';
export const filedUnderAnotherRigOrPath = 'filed under another rig or path';
export const film = 'film';
export const firstAt = ', first at ';
export const fixedEnd = 'fixed end';
export const forgottenOnTheWalkSeenOn = 'forgotten on the walk; seen on the film';
export const fromSettingARigUpTo =
  'From setting a rig up to taking it down; walks of one share that day and that set-up. Unless it ' +
  'is said, a night between two walks parts them.';
export const fromTo = (least: string, most: string): string => `, from ${least} to ${most} ms`;
export const grade = 'Grade';
export const grade2 = (grade: number): string => `grade ${grade}`;
export const gradeOrWords = 'Grade or words';
export const gradesReadFromWordsStandBeside =
  'Grades read from words stand beside them: confirm them by importing, or write figures into the file.';
export const gradeText = (grade: number): string => `grade ${grade}`;
export const happened = ', happened ';
export const happenedAtOnTheWalksClock = 'Happened at, on the walk’s clock';
export const heard = 'Heard';
export const heldAt = (held: string): string => `held at ${held}`;
export const hits = 'Hits';
export const hopThatWasLostIfKnown = 'Hop that was lost, if known';
export const how = 'How';
export const howItWasWalked = 'How it was walked';
export const importText = (countOf: string): string => `Import ${countOf}`;
export const importWalksACsvWithA = 'Import walks: a CSV, with a header';
export const imported = (countOf: string): string => `${countOf} imported`;
export const inARowBetweenStandsNothing = ' in a row; between stands nothing is known.';
export const inAllTheLongest = ' in all, the longest ';
export const inTheFilmAtS = (eventText: string, walkS: string): string =>
  `In the film: ${eventText} at ${walkS} s`;
export const inTheRecording = 'In the recording';
export const inTheWalk = 'In the walk';
export const inTheWay = 'In the way';
export const inTheWayNothingIsImported = (countOf: string): string =>
  `${countOf} in the way; nothing is imported until all are right`;
export const inWhichNothingCouldBeLogged = ' in which nothing could be logged.';
export const instrument = 'Instrument';
export const interval = 'Interval';
export const itBelongsTo = (now: string): string => `It belongs to “${now}”.`;
export const itBelongsTo2 = 'It belongs to';
export const itComesWithTheNextExchange =
  'It comes with the next exchange between this device and the base. ';
export const itDidNotHappenWithdrawIt = 'it did not happen: withdraw it';
export const itHappenedAtAnotherTime = 'it happened at another time';
export const itHoldsTwoWalksSplitIt = 'it holds two walks: split it';
export const itIsAPartOfA = 'it is a part of a walk: join it with another';
export const itIsLeftOut = 'It is left out';
export const itStandsInTheLogAs = 'It stands in the log as entered afterwards, with your reason.';
export const itWas = (either: string): string => `it was: ${either}`;
export const itWasAnotherGrade = 'it was another grade';
export const itWasAnotherRigProductOr = 'it was another rig, product or path';
export const itWasAtAnotherDistanceOr = 'it was at another distance, or measured otherwise';
export const itWasBegunOtherwise = 'it was begun otherwise';
export const itWasOtherwise = 'it was otherwise';
export const itWasRunAtThe = 'It was run at the';
export const itWorked = 'it worked';
export const itsBeaconIsOfAnotherWalk = (tag: number, tagOf: number): string =>
  `Its beacon is of another walk: tag ${tag}, and this walk has ${tagOf}.`;
export const itsClockIsBehindTheWalks = 'Its clock is behind the walk’s by';
export const joined = (role: string): string => `${role}, joined`;
export const joinedWithAnother = 'joined with another';
export const keptBeside = (name: string, how: string): string => `Kept, beside ${name}: ${how}`;
export const lag = 'Lag';
export const lagCorrected = 'Lag corrected';
export const lagCorrectedToS = (reactionS: number | undefined): string => `lag corrected to ${reactionS} s`;
export const lagOfWhatWasPressed = 'Lag of what was pressed';
export const lateBy = ' Late by ';
export const lateMs = 'Late, ms';
export const lateWhen = 'When';
export const lateWhere = 'Travelled';
export const leaveItOut = 'Leave it out';
export const leaveThisWalkOut = 'Leave this walk out';
export const leftOut = 'left out';
export const leftOutOfEveryResult = 'Left out of every result:';
export const leftOutOfEveryResultThe = 'Left out of every result; the report names it';
export const legend = 'Legend';
export const lieOutsideTheWalkOrCannot = (outside: number): string =>
  `${outside} lie outside the walk, or cannot be, and are left out.`;
export const line = 'Line';
export const log = 'Log';
export const logFromARecording = 'Log from a recording';
export const logTheCorrection = 'Log the correction';
export const logged = (countOf: string): string => `${countOf} logged`;
export const lossesOfHalfASecondOr = 'Losses of half a second or more: ';
export const lostAnOpenGap = 'lost: an open gap';
export const mTwoStandardUncertainties = (part: string): string =>
  `(± ${part} m, two standard uncertainties)`;
export const madeAnewWhatWasThereIs = (said: string): string =>
  `Made anew; what was there is left out: ${said}`;
export const madeGrade = (grade: number | undefined): string => `made grade ${grade}`;
export const madeUpGearKnowsItsOwn = 'Made-up gear knows its own dropouts; your log is scored against them.';
export const makeItAnew = 'Make it anew';
export const makeOne = 'make one';
export const makingIt = 'Making it …';
export const markOfAPlace = 'mark of a place';
export const markWithTwoStandardUncertainties = '| mark, with two standard uncertainties';
export const measuredAgain = (either: string): string => `measured again: ${either}`;
export const measuredBesideTheWalk = 'measured beside the walk';
export const missed = ' missed; ';
export const mobileEnd = 'mobile end';
export const movedToS = (walkS: string | undefined): string => `moved to ${walkS} s`;
export const ms = (part: string): string => `${part} ms`;
export const nameOfThePlace = 'Name of the place';
export const nameText = 'Name';
export const next = 'Next ';
export const noBeaconInItsPicture = 'No beacon was read in its picture.';
export const noBeaconWasReadInIts = 'No beacon was read in its sound.';
export const noColumn = 'no column';
export const noConnection = 'no connection';
export const noFileYet = 'No file yet';
export const noTurnWasLoggedDistancesThat =
  'No turn was logged: distances that fall are taken as the way back.';
export const noWalkYet = 'No walk yet';
export const notGraded = 'not graded';
export const notKnownByTheirDaysChoose = 'not known by their days: choose';
export const notMadeTheBaseDoesNot = 'Not made: the base does not answer. The walk is as it was.';
export const notMadeTheWalkIsAs = (message: string): string => `Not made: ${message}. The walk is as it was.`;
export const notStated = 'not stated';
export const notStatedWhatItSharesWith = 'Not stated: what it shares with others is not known.';
export const note = 'Note';
export const nothingWasImported = 'Nothing was imported.';
export const number = (seq: number, kind: string): string => `number ${seq}, ${kind}: `;
export const ofText = 'Of';
export const ofText2 = ' of ';
export const ofText3 = (hits: number | undefined, presses: number | undefined): string =>
  `${hits} of ${presses}`;
export const ofTheRecording = ' of the recording';
export const ofTheWayOut = ' of the way out';
export const onTheAverage = ' on the average.';
export const onlyOfItsMessagesWereRead = (readCount: number): string =>
  `Only ${readCount} of its messages were read: three are needed to tell the clock.`;
export const or = ', or ';
export const orAMomentThatBothHave = 'or a moment that both have:';
export const outOfReachComingIn = 'out of reach, coming in';
export const outcomes = 'Outcomes';
export const outcomesIn = 'Outcomes, in ';
export const outing = 'Outing';
export const outingAndFiling = 'Outing and filing';
export const outputOfIperf3AsJsonOr = 'Output of iperf3 as JSON, or of ping as text';
export const overTime = 'Over time';
export const path = 'Path';
export const pathThatWasWalked = 'Path that was walked';
export const placeByItsName = 'Place, by its name';
export const placeItOnTheWalksClock = 'Place it on the walk’s clock first.';
export const placeItThere = 'Place it there';
export const placeUnknown = 'place unknown';
export const placed = 'Placed';
export const placedByAMomentThatBoth = 'Placed by a moment that both have: ';
export const placedByCodesOfItsBeacon = (read: number, missing: number): string =>
  `Placed by ${countOf(read, 'code')} of its beacon, ${missing} missing: `;
export const placedByPacketsOfItsBeacon = (read: number, missing: number): string =>
  `Placed by ${countOf(read, 'packet')} of its beacon, ${missing} missing: `;
export const pointAtAtS = (eventText: string, walkS: string): string => `Point at ${eventText} at ${walkS} s`;
export const points = 'Points';
export const pressedAt = ', pressed at ';
export const pressedForNothing = ' pressed for nothing.';
export const presses = 'Presses';
export const pressesAndAnswers = 'presses and answers';
export const previous = 'Previous ';
export const product = 'Product';
export const putItThere = 'Put it there';
export const putToTheOuting = (name: string): string => `Put to the outing “${name}”`;
export const reaction = 'Reaction';
export const read = 'Read';
export const readBack = 'read back';
export const readTheBeaconInItsPicture = 'Read the beacon in its picture';
export const readTheBeaconInItsSound = 'Read the beacon in its sound';
export const readingOfAnInstrument = 'reading of an instrument';
export const readingsFromAFile = 'Readings from a file';
export const readingsOfAdded = (insideCount: number, name: string): string =>
  `${insideCount} readings of ${name} added`;
export const reason = 'Reason';
export const recording = 'Recording';
export const refusedByTheBaseAndSet = 'Refused by the base and set aside on this device; the rest was sent.';
export const revealIt = 'Reveal it';
export const rigThatWasWalked = 'Rig that was walked';
export const rowIs = 'row is';
export const rowsAre = 'rows are';
export const rowsOutOfOrder = 'rows out of order';
export const rung = 'Rung';
export const rungOfTheLadder = 'rung of the ladder';
export const secondSetUp = 'second set-up';
export const secondsOfTheWalk = (s: string): string => `${s} s`;
export const sent = 'Sent';
export const server = 'Server';
export const showMoreOf = (min: number, shownCount: number): string => `Show ${min} more of ${shownCount}`;
export const simulatedGear = '; simulated gear';
export const splitInTwo = 'split in two';
export const splitItJoinItOrFile = 'Split it, join it, or file it under another rig';
export const spokenNoteAtS = (walkS: string): string => `Spoken note at ${walkS} s`;
export const spread = 'Spread';
export const standsOfTheWayOutAt = ' stands of the way out, at most ';
export const stepToAnEntry = 'Step to an entry for its place and its lag.';
export const stillUnderWay = 'still under way';
export const stoodThere = 'stood there';
export const takeWalksFromATable = 'take walks from a table';
export const theEntryStaysInTheLog = 'The entry stays in the log; the correction stands beside it.';
export const theFirstLineNamesTheColumns =
  'The first line names the columns, whatever they are called: product, path, walk, distance, and ' +
  'a grade, words, or presses and hits. “100 ft”, “about 40”, “30-40”, “over 200”, “?” and ' +
  '“silence” are understood; what is left empty stays not stated.';
export const theFixedEndMoved = 'the fixed end moved';
export const theLogIsAsItWas = 'The log is as it was.';
export const theLongestStretch = ', the longest stretch ';
export const theOtherOne = 'the other one';
export const theOtherPart = 'The other part';
export const theSecondOneBeginsAtOn = 'The second one begins at, on the walk’s clock';
export const theUsualOne = ' (the usual one)';
export const theWalk = 'the walk';
export const theWalkOnTheTape = 'The walk on the tape';
export const theWalkOverTime = 'The walk over time';
export const theWalkWasRemovedAllThat = (backup: string): string =>
  `The walk was removed. All that was here before is in ${backup}.`;
export const theWalks = 'the walks';
export const theWalks000IsAt = (either: string): string => `${either}the walk’s 0:00 is at `;
export const theWalksOwnDevice = 'The walk’s own device';
export const theWalksThatAreHere = 'The walks that are here';
export const theWayBack = 'the way back';
export const them = 'them';
export const thereIsNoOtherWalkOf = 'There is no other walk of this rig on this path.';
export const thisOne = 'this one';
export const thisWalkCountsAgain = 'This walk counts again';
export const thisWalkIsNotHereYet = 'This walk is not here yet';
export const thisWasNotKeptThisDevice =
  'This was not kept: this device refuses to store it. The log is as it was.';
export const timeLineArrowKeysStepThrough =
  'Time line: arrow keys step through what was logged, plus and minus zoom, 0 shows all';
export const toS = (fromS: string, s: string): string => `${fromS} to ${s} s`;
export const trace = 'Trace';
export const traceOnWalk = (product: string, path: string, label: string): string =>
  `Trace: ${product} on ${path}, walk ${label}`;
export const travelledDistance = 'Travelled distance';
export const travelledDistanceEmptyNotKnown = 'Travelled distance, empty: not known';
export const tries = 'Tries';
export const trueLosses = 'True losses';
export const truthOfTheSimulatedWalk = 'Truth of the simulated walk';
export const turnedRound = 'turned round';
export const underWay = 'under way';
export const usableAt = ' Usable at ';
export const usableOn = ' Usable on ';
export const valueEmptyNothingReceived = 'Value; empty: nothing received';
export const walk = (product: string, label: string): string => `${product}, walk ${label}`;
export const walk2 = 'Walk';
export const walkOfOnTheTape = (label: string, product: string): string =>
  `Walk ${label} of ${product} on the tape`;
export const walks = 'Walks';
export const walks2 = 'walks';
export const walksFromATable = 'Walks from a table';
export const watchedItsClockBy = (role: string, direction: string, by: string, either: string): string =>
  `${role} watched ${direction}; its clock by ${by}, ± ${either}.`;
export const wayBack = 'way back: ';
export const wentOnFromAStand = 'went on from a stand';
export const wereLogged = ' were logged, ';
export const what = 'What';
export const whatCameByItselfToo = 'what came by itself too';
export const whatHappened = 'What happened';
export const whatIperf3JWroteOrWhat =
  'What iperf3 -J wrote, or what ping printed: it stands in the log as entered afterwards, with your reason.';
export const whatIsWrong = 'What is wrong';
export const whatTheOtherDeviceSaysOf = 'What the other device says of the same direction, side by side';
export const whatTheSimulatedGearReallyPlayed = 'What the simulated gear really played';
export const whatTheWalkSays = 'What the walk says';
export const whatWasNoticedIsMovedBack = 'What was noticed is moved back by a reaction of ';
export const whatWasReceivedAtTheOther =
  'What was received at the other end, recorded: what was lost in it is found here, placed on this ' +
  'walk, and proposed for its log. It is not sent anywhere.';
export const whatWouldBeImported = 'What would be imported';

export const whenOnTheWalksClock = 'When, on the walk’s clock';
export const whereItStandsOnTheWalks = 'Where it stands on the walk’s clock';
export const whichOfThemWasFirst = 'Which of them was first';
export const whyAndWhoSaysSo = 'Why, and who says so';
export const whyItEnded = 'Why it ended';
export const whyItIsLeftOut = 'Why it is left out';
export const wider = 'Wider ';
export const withoutACodeToDecide = (stretches: number, open: number): string =>
  `${countOf(stretches, 'stretch', 'stretches')} without a code that was read, ${open} to decide.`;
export const writeAWalkDown = 'Write a walk down';
export const writeOneDown = 'write one down';
export const yourNameIfYouLike = 'Your name, if you like';
