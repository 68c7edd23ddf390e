import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aBeaconOfAnotherWalk = (of: 'picture' | 'sound'): string =>
  `The ${of} carries the beacon of another walk: begin the walk on the device that sends it, or join it there.`;
export const aDistanceFromTheFixedEnd = 'a distance from the fixed end …';
export const aFigure125To150Of =
  'A figure, “125 to 150” of a needle that moves, “over 25”, or “100 MB in 38 s”.';
export const aNewComparison = 'a new comparison';
export const aPassengerLogsOrNobodyReads =
  'A passenger logs, or nobody reads while the vehicle moves: one key, spoken prompts.';
export const aPathSinceRemoved = 'a path since removed';
export const aPictureOfTheAddressTo = (address: string): string =>
  `A picture of the address ${address}, to scan`;
export const aPictureThatFreezesIsBlack =
  'A picture that freezes, is black or of one colour, or is cut to a still one, as a receiver’s ' +
  '“no signal” is, for 150 ms and more is logged as found, with the time at which it began. The ' +
  'picture stays on this device.';
export const aPlannedWalkIsNotFinished = 'A planned walk is not finished';
export const aProductSinceRemoved = 'A product since removed';
export const aStreamOf = 'A stream of';
export const aStreamOfMbitS = (rateMbps: number, how: string): string =>
  `a stream of ${rateMbps} Mbit/s: ${how}`;
export const aToneOf1Khz = 'a tone of 1 kHz';
export const aWalk = 'A walk';
export const aWalkIsNotFinished = 'A walk is not finished';
export const aWalkOfAnotherComparisonIs = 'A walk of another comparison is not finished';
export const after = 'after ';
export const again = 'Again';
export const again2 = (wanted: string): string => `${wanted} again`;
export const allGood = 'all good';
export const allGood2 = 'All good';
export const andPairTheDeviceUnderDevices =
  ', and pair the device under Devices; a browser on this machine opens ';
export const andType = ' and type';
export const andTypeTheCodeOnThe = ' and type the code on the walker’s screen.';
export const anotherTabHoldsTheLog = 'Another tab holds the log';
export const answered = ' answered';
export const answered2 = 'Answered';
export const anythingElseSilenceIsLogged = 'anything else: silence is logged';
export const asTheBrowserChose = 'as the browser chose';
export const asTheyWere = 'As they were';
export const at = ', at ';
export const atM = 'At … m';
export const atMost = 'At most';
export const atTheBase = (countOf: string, length: number): string => `${countOf}, ${length} at the base`;
export const atTheStartPointWithThe =
  'At the start point, with the signal on: what is heard first is the usual level. Dropouts of 50 ' +
  'ms and more (silence: half a second) are logged as found, with the time at which they began.';
export const backAtTheFixedEndEnd = 'Back at the fixed end: end the walk.';
export const bandCellInstrumentBarsAStream = 'Band, cell, instrument, bars, a stream';
export const bandOrChannel = 'Band or channel';
export const bars = 'Bars';
export const baseOutOfReach = 'base out of reach; ';
export const baselineWhereItBegins = 'Baseline, where it begins';
export const baud = 'Baud';
export const beaconHeard = 'Beacon: a packet heard';
export const beaconRead = (codes: string): string => `Beacon: ${codes} read in two seconds`;
export const beep = 'beep';
export const beginAgainWhenItIsBack = (why: string): string =>
  `${why}. Begin again when it is back: the time between is logged as a gap.`;
export const beginTheWalk = 'Begin the walk';
export const beginWithRealGear = 'Begin with real gear';
export const beginsAt = 'Begins at';
export const begunByMistake = 'begun by mistake';
export const begunWithNothingSetUp = 'Begun with nothing set up';
export const belowDbItCountsAsSilent = (usualDb: string): string =>
  `Below ${usualDb} dB it counts as silent.`;
export const bothAtOnceDownMbitS = (mbps: string, mbps2: string): string =>
  `both at once: ${mbps} down, ${mbps2} Mbit/s up`;
export const bothAtOnceToo = 'both at once too';
export const byPress = 'by press';
export const cancel = 'Cancel';
export const cellOrAccessPoint = 'Cell or access point';
export const choose = 'choose';
export const close = 'Close';
export const closeThePort = 'Close the port';
export const codeOfThatWalk = 'Code of that walk';
export const codeOnTheWalkersScreen = 'Code on the walker’s screen';
export const comesThrough = '✓ comes through';
export const counted = 'Counted';
export const countedCodes = (n: number): string => countOf(n, 'code');
export const countedEvents = (n: number): string => countOf(n, 'event');
export const countedLines = (n: number): string => countOf(n, 'line');
export const db = (level: string): string => `${level} dB`;
export const dbm = (levelDbm: number): string => `${levelDbm} dBm`;
export const direction = 'Direction';
export const discardItBegunByMistake = 'Discard it: begun by mistake';
export const done = 'Done';
export const doorHandOver = 'Door, hand-over …';
export const doorTurn = 'door, turn';
export const down = 'Down';
export const drivingAPassengerLogsOrThe =
  'Driving: a passenger logs, or the walk is hands-free. Nobody reads while the vehicle moves.';
export const dropoutBegins = 'Dropout begins';
export const dropoutBeginsOrEnds = 'dropout begins, or ends';
export const dropoutEnds = 'Dropout ends';
export const each100M = 'each 100 m';
export const each25M = 'each 25 m';
export const each2Min = 'each 2 min';
export const eachMinute = 'each minute';
export const end = 'End …';
export const endItWhereItStopped = 'End it where it stopped';
export const ended = 'ended: ';
export const entriesAre = 'entries are';
export const entryIs = 'entry is';
export const eventsAreKeptOnThisDevice = (either: string, logCount: number): string =>
  `${either}: ${logCount} events are kept on this device.`;
export const everyCheckpointIsDoneTurnRound = 'Every checkpoint is done: turn round or end.';
export const failed = (rung: string): string => `${rung} failed`;
export const failedMendItNowOrWalk = (failed: number): string =>
  `${failed} failed: mend it now, or walk on and it is kept with the walk.`;
export const fallbackLadder = 'Fallback ladder';
export const fileIt = 'File it';
export const fileTheWalk = 'File the walk';
export const finishItFirst = 'Finish it first: ';
export const fixedEndBase = 'fixed end (base)';
export const fixedEndHearsMe = 'Fixed end hears me';
export const fixedEndMoved = 'Fixed end moved …';
export const foundBy = (how: string, kind: string, figure: string): string =>
  `${kind}, found ${how === 'listening' ? 'by listening' : 'by watching'}: ${figure}`;
export const freeSomeSpaceOrUseA = 'Free some space or use a normal window, then begin again.';
export const from = 'From';
export const fromFrameToFrameADot = (level: string, usual: string): string =>
  `From frame to frame a dot changes by ${level} of 255, usually by ${usual}.`;
export const fromTheFixedEnd = 'From the fixed end';
export const gb = (mb: number): string => `${mb} GB`;
export const gear = 'Gear';
export const gearOnASerialPort = 'Gear on a serial port';
export const gearOnASerialPort2 = 'gear on a serial port';
export const goOnWithIt = 'Go on with it';
export const goToIt = 'go to it';
export const groundWet = 'ground wet';
export const heardAtTheOtherEnd = 'Heard at the other end';
export const heardBesidesLosses = (counts: string, last: string): string =>
  `Besides losses: ${counts}. The last: ${last}. Each is in the log as a note.`;
export const heightNotStated = 'height not stated';
export const held = 'Held';
export const heldNotStated = 'held: not stated';
export const hereDistanceUnknown = 'Here, distance unknown';
export const hits = 'Hits';
export const holdForDropouts = 'hold for dropouts';
export const holdWhileItIsLost = 'Hold while it is lost';
export const how = 'How';
export const howItIsKnown = 'How it is known';
export const iGoOn = 'I go on';
export const iHearTheFixedEnd = 'I hear the fixed end';
export const iHearYou = (grade: number, words: string): string => `“I hear you ${grade}: ${words}”`;
export const instrument = 'Instrument';
export const iStandAt = (name: string): string => `I stand at ${name}`;
export const iStandHere = 'I stand here';
export const isNearerThanTheMarkBefore = (formatLength: string): string =>
  `${formatLength} is nearer than the mark before. Is this the way back?`;
export const itComesThroughAnew = 'it comes through, looked for anew';
export const itDoesNotComeBackEnd = 'It does not come back: end here';
export const itHasNotEndedWalkOn = 'it has not ended: walk on';
export const itIsFiled = 'It is filed';
export const itIsKeptOnThisDevice =
  'It is kept on this device. Say what it was a walk of; what you do not know can be said later.';
export const itLogsWhatIsReceivedAt =
  'It logs what is received at its end. Clocks are compared through the base; with no network, ' +
  'press here and there at one count, at the start and at the end.';
export const itsPortWasLost = (name: string): string => `${name}: its port was lost`;
export const itWas = 'It was';
export const itWatched = 'It watched';
export const itWatches = 'It watches';
export const itsNameIfYouKnowIt = 'Its name, if you know it';
export const itsTrace = 'its trace';
export const itsVariation = 'Its variation';
export const join = (origin: string): string => `${origin}/join`;
export const join2 = 'Join';
export const joinAWalk = 'Join a walk';
export const joinTheTwoLogs = 'Join the two logs';
export const joinedLogWhatComesInAt = 'Joined: log what comes in at this end. The walker logs where.';
export const keepItAndGrade = (meant: number, words: string): string =>
  `Keep it, and grade ${meant}: ${words}`;
export const keepTheNote = 'Keep the note';
export const kept = 'kept ';
export const kind = 'Kind';
export const lastEvents = 'Last events';
export const lastMark = 'Last mark';
export const lateBy = (ms: string, uMs: string): string => `${ms} ± ${uMs} ms late`;
export const leaf = 'Leaf';
export const learnTheLevelAnew = 'Learn the level anew';
export const learningHowMuchThePictureMoves = 'Learning how much the picture moves …';
export const leave = (name: string): string => `Leave ${name}`;
export const leaveNotReported = (missing: string): string => `Leave, not reported: ${missing}`;
export const leaveThemOut = 'Leave them out';
export const leftHand = 'left hand';
export const letItSettleS = (left: number): string => ` (let it settle: ${left} s)`;
export const letterKeys = 'letter keys';
export const level = 'Level';
export const levelAgainstTheLast = 'Level against the last';
export const linkMonitor = 'Link monitor';
export const listen = 'Listen';
export const listenByMicrophoneOrLine = 'Listen by microphone or line';
export const listenForDropoutsHere = 'listen for dropouts here';
export const listenToOrWatch = (watched: string): string => `Listen to or watch: ${watched}`;
export const littleSpaceIsLeftForUrvek =
  'Little space is left for Urvek on this device (under 20 MB). Free some before a long walk, or ' +
  'save the log as a file now and then.';
export const loadOnIt = 'Load on it';
export const loadOnTheLink = 'Load on the link';
export const location = (location: string): string => `location ${location}`;
export const log = 'Log';
export const logFromARecording = 'Log from a recording';
export const logOf = (hits: number, presses: number): string => `Log ${hits} of ${presses}`;
export const logOnTheyWaitInThis =
  ' Log on: they wait in this page, which must stay open, and are kept by themselves once there is ' +
  'room. Delete films or pictures on this device, or save the log as a file.';
export const logReadings = (readCount: number): string => `Log ${readCount} readings`;
export const logTheLevel = (either: string): string => `Log the level: ${either}`;
export const logTheReading = 'Log the reading';
export const logThem = 'Log them';
export const logWhatWasHeard = 'Log what was heard';
export const loggedTheLast = (countOf: string, last: string | undefined): string =>
  `${countOf} logged; the last: ${last}`;
export const loggingAtTheOtherEnd = 'Logging at the other end';
export const lookAtItsTrace = 'Look at its trace';
export const lookUpBeforeYouLookDown = 'Look up before you look down.';
export const loss = 'Loss';
export const lost = '✕ lost';
export const lost2 = (hop: string): string => `Lost: ${hop}`;
export const lostForGoodEnd = 'lost for good: end';
export const lostForGoodEndHere = 'Lost for good: end here';
export const lostLetGoWhenItIs = 'Lost: let go when it is back';
export const lostNotKnownWhich = 'Lost: not known which';
export const madeBeforeAnEarlierWalkOf = 'made before an earlier walk of this rig';
export const mark = (name: string): string => `Mark ${name}`;
export const markADistance = 'Mark a distance';
export const markADistance2 = 'Mark a distance …';
export const markADistance3 = 'mark a distance';
export const markIt = 'Mark it';
export const markItByTheseWords = 'Mark it by these words';
export const markNow = (dueName: string): string => `mark ${dueName} now`;
export const markNow2 = (name: string): string => `Mark ${name} now (`;
export const markTheNextPost = 'mark the next post';
export const markTheWheel = 'Mark the wheel';
export const mb = (mb: number): string => `${mb} MB`;
export const mbitS = (mbps: string): string => ` ${mbps} Mbit/s`;
export const mbitSDown = (mbps: string): string => `${mbps} Mbit/s down`;
export const mbitSUp = (mbps: string): string => `${mbps} Mbit/s up`;
export const measure = 'Measure';
export const measureTheLinkToTheBase = 'measure the link to the base';
export const mind = (what: string): string => `Mind ${what}`;
export const mind2 = 'Mind:';
export const mind3 = (minded: string): string => `mind ${minded}`;
export const mindAt = (what: string): string => `! Mind ${what}, at `;
export const mobileEndWalker = 'mobile end (walker)';
export const nextInThePlanRoundPlace = (round: number, place: number): string =>
  `Next in the plan: round ${round}, place ${place}.`;
export const noAnswer = 'no answer';
export const noAnswer2 = 'No answer';
export const noConnection = 'No connection';
export const noLocation = (message: string): string => `no location: ${message}`;
export const noMarkItAsItIs = 'No: mark it as it is';
export const noMicrophoneOrItWasRefused = 'No microphone, or it was refused: type the note.';
export const noReading = 'no reading';
export const none = 'none';
export const noSignalYet = '… no signal yet';
export const notAsTheOthers = 'Not as the others';
export const notAsTheOthersWhileIt = 'Not as the others, while it can still be mended';
export const notGraded = 'not graded';
export const notKeptYet = 'not kept yet';
export const notKeptYetThisDeviceHas = (countOf: string): string =>
  `${countOf} not kept yet: this device has no room, or does not answer.`;
export const notLoggedForThisPageAnd =
  'not logged, for this page and the base are one machine: no link lies between';
export const notMade = 'not made';
export const notNoted = 'not noted';
export const notOpened = (message: string): string => `Not opened: ${message}`;
export const notStated = 'not stated';
export const notUnderstood = (refused: string): string => `Not understood: ${refused}`;
export const notUsed = 'not used';
export const note = 'Note';
export const nothingIsLoggedUntilItIs =
  'Nothing is logged until it is heard: switch the signal on, or turn the input up.';
export const nothingIsSetUpAndNothing =
  'Nothing is set up and nothing is asked: the press begins, and what it was a walk of is said afterwards.';
export const nothingToWalkYet = 'Nothing to walk yet';
export const nothingWasFinished = 'nothing was finished';
export const ofAWalkThatAnotherDevice =
  'Of a walk that another device made and has sent. The two logs are joined at the moments that ' +
  'both pressed; without one, by their wall clocks, poorly.';
export const ofAreCountedAndNotLogged = (hits: number, presses: number): string =>
  `${hits} of ${presses} are counted and not logged. Log them before the walk ends?`;
export const ofGood = (good: number, checksCount: number): string => `${good} of ${checksCount} good`;
export const ofRight = (right: number, part: number): string => `${right} of ${part} right`;
export const ofText = ' of ';
export const on = (name: string, either: string, name2: string, either2: string, either3: string): string =>
  `${name}${either} on ${name2}, ${either2}${either3}`;
export const on2 = (name: string, name2: string): string => `${name} on ${name2}`;
export const onTheOtherDeviceWhichIs = 'On the other device, which is paired, open ';
export const onTheWayBack = 'on the way back';
export const onTheWayOut = 'on the way out';
export const onWalk = (product: string, name: string, label: string): string =>
  `${product} on ${name}, walk ${label}`;
export const onceARealOneIsFinished = 'Once a real one is finished they are rehearsals, and in no result.';
export const oneByOne = 'One by one';
export const oneThatIsNotEnteredYet = 'one that is not entered yet';
export const open = 'Open ';
export const openAPort = 'Open a port';
export const openNothingWasUnderstoodYet = 'Open. Nothing was understood yet.';
export const options = 'options';
export const or = ' or ';
export const orItIsWhatTheOther = 'Or it is what the other end logged';
export const otherDeviceLastAt = (either: string, format: string): string =>
  `${either}other device, last at ${format}: `;
export const otherDevices = 'Other devices';
export const otherTransmitters = 'Other transmitters';
export const outOfReachComingIn = 'out of reach, coming in';
export const passedOrNoticed = 'Passed or noticed?';
export const path = 'Path';
export const peopleAbout = 'People about';
export const pressesOneReceiver = 'presses, one receiver';
export const probe = (atOnce: string): string => `probe: ${atOnce}`;
export const probe2 = 'Probe';
export const probeStopped = 'probe stopped';
export const product = 'Product';
export const productAndPathAreAskedAfterwards = 'product and path are asked afterwards';
export const putTheProbeAway = 'Put the probe away';
export const readAloud = 'Read aloud: ';
export const readBack = 'Read back';
export const readWith = 'Read with';
export const reading = 'Reading';
export const reading2 = 'Reading …';
export const readings = 'Readings';
export const realOnFoot = 'real, on foot';
export const receiversAtOnePress = 'receivers, at one press';
export const reconNected = 'Recon\u00adnected …';
export const reconnected = 'reconnected';
export const reconnectedHow = 'Reconnected how?';
export const refusedAndSetAside = (asideCount: number): string => `, ${asideCount} refused and set aside: `;
export const rehearseWithSimulatedGear = 'Rehearse with simulated gear';
export const reported = ' (reported)';
export const rigCheck = 'Rig check';
export const rigFixedEndMobileEndChannel = (
  name: string,
  heightText: string,
  heightText2: string,
  channel: string,
  testSignal: string,
): string =>
  `Rig ${name}: fixed end ${heightText}, mobile end ${heightText2}, channel ${channel}. Test signal: ${testSignal}.`;
export const round = (round: number): string => `round ${round}`;
export const roundTrip = 'Round trip';
export const saveTheLogAsAFile = 'Save the log as a file';
export const saveThisWalkAsAFile = 'Save this walk as a file';
export const saysItIsAway = (far: string, within: string): string => `says it is ${far} ± ${within} away`;
export const secondDevice = 'Second device';
export const secondDevice2 = 'second device';
export const sent = 'Sent';
export const server = 'Server';
export const sharedMoment = (shared: number): string => `Shared moment ${shared}`;
export const sharedMomentPressAtTheCount = (shared: number): string =>
  `Shared moment ${shared}: press at the count`;
export const showTheBeaconFromHere = 'Show the beacon from here';
export const simulated = 'simulated';
export const simulated2 = (watched: string): string => `Simulated ${watched}`;
export const simulatedGear = 'Simulated gear';
export const simulatedGearPlaysTheTheLink = (watched: string): string =>
  `Simulated gear plays the ${watched}, the link and the wheel. What you log is real; what you hear is invented.`;
export const simulatedMbitSDownUp = (downMbps: string, upMbps: string): string =>
  `simulated: ${downMbps} Mbit/s down, ${upMbps} up`;
export const simulatedNoConnection = 'simulated: no connection';
export const simulatedPartner = 'Simulated partner:';
export const someSARunBetweenThis = (either: number): string =>
  `Some ${either} s a run, between this page and the base.`;
export const soundPictureOrAnswer = 'sound, picture or answer';
export const speakIt = 'Speak it';
export const speed = 'speed';
export const spokenPrompts = 'spoken prompts';
export const spokenS = (seconds: string): string => `spoken, ${seconds} s`;
export const standHereOrGoOn = 'stand here, or go on';
export const standStillCallIn = 'Stand still: call in ';
export const steadyNoise = 'steady noise, or the beacon';
export const stop = 'Stop';
export const stopAndCall = 'Stop and call';
export const stopAndKeepIt = 'Stop and keep it';
export const stopListening = 'Stop listening';
export const stopWatching = 'Stop watching';
export const stopped = (how: string, why: string): string => `${how} stopped: ${why}`;
export const temperature = 'Temperature';
export const theBeaconIsNotReadAnyMore = 'The beacon was read, and is not read now: noted.';
export const theBrowserClearedWhatThisDevice = 'The browser cleared what this device had kept.';
export const theBrowserMayClearUrveksStorage =
  'The browser may clear Urvek’s storage when space runs short. Send your walks to the base, or save them as files.';
export const theDataBudgetIsSpent = 'The data budget is spent.';
export const theDayWeatherPeopleOtherTransmitters = 'The day: weather, people, other transmitters';
export const theDistanceOfThisStandEntered = 'the distance of this stand, entered while standing there';
export const theFixedEndMoved = 'The fixed end moved';
export const theFixedEndMoved2 = 'the fixed end moved';
export const theLog = 'the log';
export const thePath = (name: string): string => `The path ${name}`;
export const thePathEndsHereTurnRound = 'The path ends here: turn round or end.';
export const thePictureHardlyMovesAFreeze =
  'The picture hardly moves: a freeze cannot be told. Point the sending camera at something that moves.';
export const thePlanIsEmptyEnterTwo = 'The plan is empty: enter two products, a path, and how often.';
export const thePlanIsWalkedThisWould = 'The plan is walked; this would be an extra walk.';
export const thePortWasLostWhatCame = (why: string): string =>
  `The port was lost (${why}). What came before is in the log; open it again.`;
export const theSimulatedGearIsStarting = 'The simulated gear is starting …';
export const theWalk = 'The walk';
export const theWalk2 = 'the walk';
export const theWalkSoFarOnThe = 'The walk so far, on the tape';
export const theWalkThatHasJustEnded = 'The walk that has just ended';
export const thisBrowserDoesNotSayWhether =
  'This browser does not say whether it keeps data. Save the log as a file after each walk.';
export const thisBrowserDoesNotTurnOff = (meddling: string): string =>
  `This browser does not turn off ${meddling}: short dropouts may be hidden, and quiet sound taken ` +
  'for one. Use a line input, or another browser.';
export const thisBrowserReadsNoBeaconInSound =
  'This browser does not hand sound on at 8 kHz: a beacon in it is not read.';
export const thisDeviceDidNotJoinThat = 'This device did not join that walk';
export const thisDeviceDoesNotKeepData =
  'This device does not keep data for Urvek (private window, or storage full). Nothing was logged. ';
export const thisDeviceIsAtThe = 'This device is at the';
export const thisIsNoFigure = 'this is no figure';
export const thisPathHasNoCheckpointsLay =
  'This path has no checkpoints: lay them out in Paths, or walk continuously.';
export const thisUrvekServesThisMachineOnly =
  'This Urvek serves this machine only. For another device stop it, start it with ';
export const thisWalkWasPutBackFrom =
  ' This walk was put back from this page and goes on; it is sent when there is a link. Walks that ' +
  'had not reached the base are gone from this device.';
export const thisWasNotKeptUrvekFailed =
  'This was not kept: Urvek failed on it. All before it is safe. Note it, and save the log as a file.';
export const thisWasNotKeptUrvekFailed2 =
  'This was not kept: Urvek failed on it. All before it is safe. Note it.';
export const toMindWhere = 'To mind, where';
export const travelledDistance = 'Travelled distance';
export const tried3Failed = 'Tried 3, failed';
export const tried3Failed2 = 'tried 3, failed';
export const tries = ' tries';
export const turnRound = 'Turn round';
export const turned = 'Turned';
export const turnRound2 = 'turn round';
export const twoEndsTwoLogsOneSays = 'Two ends, two logs: one says where, the other what is received.';
export const type = '. Type';
export const under = 'Under';
export const undo = 'Undo';
export const undoAndEnd = 'Undo and end';
export const undoneInTheWalk = 'undone in the walk';
export const unknownPath = 'Unknown path';
export const unknownProduct = 'Unknown product';
export const unknownRig = 'Unknown rig';
export const up = 'Up';
export const usuallyDbIfThatIsNot = (usualDb: string): string =>
  `Usually ${usualDb} dB. If that is not the signal, switch it on and learn the level anew.`;
export const waitingForAFix = 'waiting for a fix …';
export const walk = 'Walk';
export const walkNow = 'Walk now';
export const walkOfOnTheTape = (label: string, product: string): string =>
  `Walk ${label} of ${product} on the tape`;
export const walkOnThereOrCloseIt = 'Walk on there, or close it: then this one takes over. Nothing is lost.';
export const walked = ' (walked)';
export const walking = (name: string): string => `Walking: ${name}`;
export const walkingLookUpBeforeYouLook =
  'Walking: look up before you look down. Say when you will be back, by a second way to call.';
export const walksClock = 'Walk’s clock';
export const walksNotYetSorted = 'Walks not yet sorted';
export const walksWithRealGearASimulated = (real: number): string =>
  `Walks with real gear: ${real}. A simulated one beside them is a rehearsal, and in no result.`;
export const walksWithSimulatedGear = (simulated: number): string =>
  `Walks with simulated gear: ${simulated}.`;
export const wasCutShortNoReadingOf = (cutShort: string): string =>
  `${cutShort} was cut short: no reading of it`;
export const watch = 'Watch';
export const watchByCameraOrCaptureDevice = 'Watch by camera or capture device';
export const watchForDropoutsHere = 'watch for dropouts here';
export const weather = 'Weather';
export const whatComesIn = 'What comes in';
export const whatIsReceivedHere = 'what is received here';
export const whatIsReceivedHere2 = (name: string): string => `${name}: what is received here`;
export const whatIsSent = 'What is sent';
export const whatItIs = 'What it is';
export const whatWasFinishedIsLogged = 'what was finished is logged';
export const wheel = 'Wheel';
export const whichHopIsLost = 'Which hop is lost';
export const whichKeyDoesWhat = 'Which key does what';
export const whichPostIsIt = 'Which post is it?';
export const whyDoesTheWalkEnd = 'Why does the walk end?';
export const withdrawnTouchToLogIt = 'withdrawn: touch to log it';
export const worked = (rung: string): string => `${rung} worked`;
export const writeAWalkDown = 'Write a walk down';
export const yesIHaveTurnedRound = 'Yes: I have turned round';
