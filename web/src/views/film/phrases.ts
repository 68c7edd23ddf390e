import { countOf, plural } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aBrowserKeepsNoFilesChoose =
  '. A browser keeps no files: choose it again. The log works without it.';
export const aChangeUnderOfTheUsual = (v: number): string => `a change under ${v} of the usual`;
export const aFallOfDb = (v: number): string => `a fall of ${v} dB`;
export const aFilmOrASoundRecording =
  'A film or a sound recording of your own walk, played on this device; it is not sent anywhere. ' +
  'What is logged stands on the recording’s clock: pausing stops it, and nothing is a gap.';
export const aFilmOrSoundFileOr = 'A film or sound file, or several in a row';
export const aGpxFileOfTheWalk = 'A GPX file of the walk, with times';
export const aPauseIsSilentToo = ' A pause is silent too.';
export const aPictureCouldNotBeMade = 'a picture could not be made';
export const aRecordingIsLoggedAsA =
  'A recording is logged as a walk of a rig on a path: enter both first, however little is known of them.';
export const aRecordingIsLoggedOnFrom = 'A recording is logged on from the device that began it. ';
export const aSecondFilmOrSoundFile = 'A second film or sound file of the same walk';
export const aSecondRecordingAtOnce = 'A second recording at once';
export const atOnceUnderOfTheFrameBefore = (v: number): string => `at once under ${v} of the frame before`;
export const aToneOf1Khz = 'a tone of 1 kHz';
export const aTrackOfTheWalk = 'A track of the walk';
export const aWebmWithTransparencyWhereThis =
  'A WebM with transparency where this browser makes one, else a zip of PNG pictures, numbered by frame.';
export const accuracy95Percent = 'Accuracy, 95 %';
export const andATrackCanPlaceThe = ', and a track can place the walk.';
export const anotherTrack = 'Another track';
export const asTheReceiverShowsIt5 = 'As the receiver shows it; 5 to 10 m in the open is common.';
export const askedFor = (asked: string): string => `Asked for: ${asked}.`;
export const atS = (eventText: string, walkS: string): string => `${eventText}, at ${walkS} s. `;
export const baselineWhereItBegins = 'Baseline, where it begins';
export const begins = 'Begins';
export const belowDbOfFullScale = (v: number): string => `below ${v} dB of full scale`;
export const bothShowTheSameMomentNow = 'Both show the same moment now';
export const cancel = 'Cancel';
export const captionsSrt = 'Captions, SRT';
export const captionsWebvtt = 'Captions, WebVTT';
export const chapters = 'Chapters';
export const chooseItAgainAndItIs = ': choose it again, and it is joined as it was.';
export const chooseOne = 'choose one';
export const chooseTheRecording = 'Choose the recording';
export const chooseTheSecondOne = 'Choose the second one';
export const chooseTheTrack = 'Choose the track';
export const cutsCsv = 'Cuts, CSV';
export const dayIfKnown = 'Day, if known';
export const distanceNotKnown = 'distance not known';
export const distanceStateGradeAndDropoutsAre =
  'Distance, state, grade and dropouts are the log’s, with their uncertainty; what is simulated, ' +
  'or placed by eye or another method than a wheel or a laser, says so.';
export const dropouts = (distance: string, state: string, dropouts: number): string =>
  `${distance} · ${state} · dropouts ${dropouts}`;
export const ends = 'Ends';
export const enterThatInPaths = 'enter that in Paths';
export const findWhatWasLost = 'Find what was lost';
export const forMs = (part: string): string => `for ${part} ms`;
export const forS = (s: string): string => `for ${s} s`;
export const forSAndMore = (v: number): string => `for ${v} s and more`;
export const forTheFilmCaptionsChaptersCuts = 'For the film: captions, chapters, cuts, overlay';
export const frame = (frame: number): string => `, frame ${frame}`;
export const frameBack = 'Frame back';
export const frameOn = 'Frame on';
export const fromToS = (fromS: string, toS: string): string => `${fromS} to ${toS} s:`;
export const goOn = 'Go on';
export const goToAClapOrA = 'Go to a clap or a clock in both.';
export const goToAMomentAtWhich = 'Go to a moment at which the film shows a clock.';
export const goToTheMomentAtWhich = 'Go to the moment at which it begins first: the log counts from there.';
export const grade4IsProposedFirst = (percent: number, clean: number): string =>
  `Grade 4, first artefacts, is proposed, and 3 where ${percent} % of a stretch and more is spoilt: ` +
  'confirm it, or change it. ' +
  `After it the grade is what it was before, or ${clean} where nobody graded.`;
export const gradeFromS = (fromS: string): string => `Grade from ${fromS} s`;
export const here = 'Here';
export const hold = 'Hold';
export const inTheLogAlready = (n: number): string =>
  ` ${countOf(n, 'stretch', 'stretches')} in the log already.`;
export const itIsEmptyCopyItOnceMore = 'it is empty; copy it once more';
export const itsEndComesAfterIts = 'Its end comes after its beginning';
export const itWasJoinedTo = 'It was joined to ';
export const itsFramesCannotBeToldApart =
  'its frames cannot be told apart here: it is stepped by hundredths of a second';
export const itsTrace = 'Its trace';
export const joinedItBeginsSTheOther = (abs: string, either: string): string =>
  `Joined: it begins ${abs} s ${either} the other.`;
export const logFromARecording = 'Log from a recording';
export const logGrade = (grade: number): string => `Log grade ${grade}`;
export const logGradeFromS = (fromS: string): string => `Log the grade from ${fromS} s`;
export const look = 'Look';
export const lookAtS = (fromS: string): string => `Look at ${fromS} s`;
export const lookThroughTheRecording = 'Look through the recording';
export const lookedThrough = 'Looked through';
export const lookingAtItsFrames = 'Looking at its frames …';
export const loopHere = 'Loop here';
export const loopOff = 'Loop off';
export const lostStretches = 'Lost stretches';
export const lostToDecide = (stretches: number, open: number): string =>
  `${countOf(stretches, 'lost stretch', 'lost stretches')}, ${open} to decide.`;
export const makeTheOverlay = 'Make the overlay';
export const mb = (bytes: string): string => `${bytes} MB`;
export const move = 'Move';
export const movedByHand = (figure: string): string => `${figure}, moved by hand`;
export const moveItThere = 'Move it there';
export const moveS = (fromS: string): string => `Move ${fromS} s`;
export const mp4MovMkvWebmWavMp3 =
  'MP4, MOV, MKV, WebM, WAV, MP3 or M4A, as far as this browser plays them. Several files are ' +
  'taken one after the other, by their names.';
export const n5SBack = '5 s back';
export const n5SOn = '5 s on';
export const noPlaceOfTheTrackIs = 'No place of the track is within the walk: is the clock right?';
export const noProductOrNoPathYet = 'No product or no path yet';
export const noSoundThatCanBeRead = 'No sound that can be read here';
export const noiseUpByDb = (v: number): string => `noise up by ${v} dB`;
export const noiseUpForSAndMore = (v: number): string => `noise up for ${v} s and more`;
export const notGraded = 'not graded';
export const notJoinedFindTheMomentAgain = 'Not joined: find the moment again';
export const notKnownSilenceIsLookedFor = 'not known: silence is looked for, and noise that rises';
export const nothingHasChanged = (trouble: string): string => `${trouble}. Nothing has changed.`;
export const nothingWasLostAsFarAs = 'Nothing was lost, as far as this can tell.';
export const ofText = (clock: string, clock2: string): string => `${clock} of ${clock2}`;
export const ofText2 = (name: string, trouble: string): string => ` Of ${name}: ${trouble}.`;
export const outsideTheWalkLeftOut = (n: number): string => ` ${n} outside the walk: left out.`;
export const percentWasDoneBeforeItGoes = (percent: number): string =>
  `${percent} % was done before; it goes on from there.`;
export const placesOfTheDeviceOrOfATrack = (n: number): string =>
  `${countOf(n, 'place')} of the device or of a track ${plural(n, 'stands', 'stand')} in the log.`;
export const onFromTheRecording = (name: string, name2: string): string =>
  `${name} on ${name2}, from the recording`;
export const overlay = 'Overlay';
export const path = 'Path';
export const pause = 'Pause';
export const picturesASecond = 'Pictures a second';
export const picturesAreTooManyForOne = (count: number): string =>
  `${count} pictures are too many for one zip: take fewer a second`;
export const placeTheWalkByIt = 'Place the walk by it';
export const placesToByThisDevicesTime = (
  trackCount: number,
  dayText: string,
  clockText: string,
  clockText2: string,
): string => `${trackCount} places, ${dayText}, ${clockText} to ${clockText2} by this device’s time zone.`;
export const play = 'Play';
export const readingTheSoundPercent = (round: number): string => `Reading the sound: ${round} %`;
export const recording = (name: string): string => `Recording ${name}`;
export const refuse = 'Refuse';
export const refuseAll = 'Refuse all';
export const refuseS = (fromS: string): string => `Refuse ${fromS} s`;
export const rigThatWasWalked = 'Rig that was walked';
export const secondRecording = (name: string): string => `Second recording ${name}`;
export const sizeOfTheFilm = 'Size of the film';
export const spacePlaysAndPausesTheArrows =
  'Space plays and pauses, the arrows go frame by frame, Page up and down 5 s. What is logged ' +
  'while it stands has no reaction in it; what is logged in play has.';
export const speed = 'Speed';
export const stop = 'Stop';
export const stretchesWithFaults = 'Stretches with faults';
export const stretchesWithFaultsToGrade = (stretches: number, open: number): string =>
  `${countOf(stretches, 'stretch', 'stretches')} with faults that are no loss, ${open} to grade.`;
export const take = 'Take';
export const takeAllIntoTheLog = (openCount: number): string => `Take all ${openCount} into the log`;
export const takeS = (fromS: string): string => `Take ${fromS} s`;
export const takeThemOutAgain = 'Take them out again';
export const takesCorrectionsFromEverywhere = ' takes corrections from everywhere.';
export const thatIsOutsideTheWalk = 'That is outside the walk';
export const theClockAtThisMomentOf = 'The clock, at this moment of the film';
export const theLog = 'the log';
export const theLogIsAsItWas = 'The log is as it was; choose another file.';
export const theOverlayWasNotMadeNothing = (message: string): string =>
  `The overlay was not made: ${message}. Nothing else has changed.`;
export const thePictureHardlyMovesAFreeze = (name: string): string =>
  `${name}: the picture hardly moves, a freeze cannot be told`;
export const thePictureToo = 'the picture too';
export const theRecording = 'The recording';
export const theTrackWasTakenOutAgain = 'the track was taken out again';
export const theWalk = 'the walk';
export const theWalkBeginsHere = 'The walk begins here';
export const theWalkOnIt = 'The walk on it';
export const thisBrowserCannotPlayItIf =
  'this browser cannot play it. If another program plays it, save it there as MP4, WebM, MP3 or WAV; ' +
  'if none does, it was broken off: copy it once more';
export const thisBrowserGivesNoCanvasOf = 'this browser gives no canvas of that size';
export const thisDeviceDidNotLogThis = 'This device did not log this walk';
export const thisIsAnotherFileThanThe = (other: string): string =>
  `This is another file than the log was made from: ${other}. `;
export const thisLogWasMadeFrom = 'This log was made from ';
export const thisPathDoesNotKnowWhere = 'This path does not know where on the earth its fixed end is: ';
export const thisWasNotKeptUrvekFailed = 'This was not kept: Urvek failed on it. All before it is safe.';
export const toTheEnd = 'to the end';
export const underOfTheUsualOnAverage = (v: number): string => `under ${v} of the usual on average`;
export const useItAllTheSame = 'Use it all the same';
export const wasNotOpened = (name: string, message: string): string => `${name} was not opened: ${message}`;
export const wasNotOpenedItDoesNot = (name: string): string =>
  `${name} was not opened: it does not say how long it is`;
export const whatWasSent = 'What was sent';
export const where = 'Where';
export const placesWithinTheWalk = (n: number): string => `${countOf(n, 'place')} within the walk.`;
export const whereItStands = (label: string): string => `${label} where it stands`;
export const writeSecondsAsIn = 'Write seconds, as in 12.34';
export const written = (done: number): string => `${done} written …`;
