/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aCodeEverySNoiseBetween = (packetEveryS: number): string =>
  `A code every ${packetEveryS} s, noise between: a recording at the other end says by itself when it was.`;
export const aCodeThatChangesFiveTimes = 'A code that changes five times a second';
export const aCodeThatChangesFiveTimes2 =
  'A code that changes five times a second. Film it at two fifths of the picture’s height or more, ' +
  'or lead it into the transmitter.';
export const aRunningClock = 'A running clock';
export const andThePictureSaysHowFar = ', and the picture says how far that was';
export const andTheWalkThatWasSaved = ' and the walk that was saved as a file.';
export const beaconInPicture = 'Beacon in picture';
export const beaconInSound = 'Beacon in sound';
export const beaconSent = (sent: number): string => `Beacon: ${sent} sent.`;
export const clicks = 'Clicks';
export const close = 'Close';
export const forLinksThatTakeNoiseFor =
  'For links that take noise for silence and cut it. A weak pilot in it shows what is left out or played twice.';
export const itsTagIs = (either: string): string => `${either} Its tag is `;
export const noWalkWithRealGearIs =
  'No walk with real gear is under way on this device: the beacon tells the time since this page was opened.';
export const noise = 'Noise';
export const nothingPlays = 'Nothing plays.';
export const oneASecondEachTenthHigher =
  'One a second, each tenth higher: for delay by ear and for counting what is lost.';
export const picture = 'Picture';
export const plays = (sounds: string): string => `${sounds} plays.`;
export const recordingsAreReadBy = '. Recordings are read by ';
export const runningClock = 'Running clock';
export const sound = 'Sound';
export const steadyAtAboutTheLevelOf =
  'Steady, at about the level of speech: any gap is heard, and found to a few milliseconds.';
export const stop = '■ Stop';
export const testSignals = 'Test signals';
export const theBeaconBelongsToTheJoinedWalk =
  'The beacon belongs to the walk that this device joined, by the clock of the device that walks.';
export const theBeaconBelongsToTheWalk = (either: string): string =>
  `The beacon belongs to the walk under way on this device: its log says where each code was sent${either}.`;
export const theBeaconInThePicture = 'The beacon in the picture';
export const theClockOfTheJoinedWalk =
  'The clock of the walk that this device joined is not known here yet, so the beacon tells the time since this ' +
  'page was opened. It is asked for again each half minute; both devices must reach the base.';
export const theTimeInTenthsAndThe =
  'The time in tenths, and the number of the picture in figures and as bars.';
export const thisBrowserPlaysNoSoundTry = 'This browser plays no sound. Try another one.';
export const tone1Khz = 'Tone with pilot';
export const turnTheVolumeDownFirstTake =
  'Turn the volume down first, take off headphones, and turn it up until it is as loud as a voice.';
export const whatGoesIntoTheLinkSo = 'What goes into the link, so that what is lost can be found.';
export const withText = ', with ';
