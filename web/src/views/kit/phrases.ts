import { countOf, plural } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const addAClaim = 'Add a claim';
export const addAProduct = 'Add a product';
export const addAUnit = 'Add a unit';
export const addTwoProductsOfOneKind = 'Add two products of one kind to compare them.';
export const against = 'Against';
export const againstTheRig = 'Against the rig';
export const allKinds = 'all kinds';
export const allSettings = (sETTINGSCount: number): string => `all ${sETTINGSCount} settings`;
export const alsoClaimed = 'Also claimed';
export const andCannotBothBeMeantThey = (entered: string, entered2: string): string =>
  `“${entered}” and “${entered2}” cannot both be meant: they differ by more than rounding.`;
export const andMore = (more: number): string => `and ${more} more`;
export const anotherRig = (name: string): string => `${name}: another rig`;
export const antenna = 'Antenna';
export const antennaGain = 'Antenna gain';
export const antennaPowerFirmwareBatteryAndThe = 'Antenna, power, firmware, battery and the rest';
export const antennaStands = 'Antenna stands';
export const any = 'any';
export const asItIsFirstKept = 'as it is first kept';
export const asItWasAfterChange = (revision: number): string => `As it was after change ${revision}`;
export const atTheFixedEnd = 'At the fixed end';
export const atTheFixedEndWithThe = (leastPlayoutTries: number, either: string): string =>
  'At the fixed end, with the sound or picture in front of you: press the first button as you ' +
  `switch the sender off, the second when it is gone. ${leastPlayoutTries} tries or more. ${either}`;
export const atTheMobileEnd = 'At the mobile end';
export const band = 'Band';
export const battery = 'Battery';
export const batteryVoltage = 'Battery voltage';
export const bodyLoss = 'Body loss';
export const bodyLossBack = 'Body loss, back';
export const bodyLossOut = 'Body loss, out';
export const bodyPosition = 'Body position';
export const boughtLentRepairedDropped = 'bought, lent, repaired, dropped';
export const bringBack = 'Bring back';
export const bringBackChange = (revision: number): string => `Bring back change ${revision}`;
export const cablesAndConnectors = 'Cables and connectors';
export const cancel = 'Cancel';
export const change = 'Change';
export const changesOfTheSetUpThe = 'Changes of the set-up, the newest first';
export const channel = 'Channel';
export const channelWidth = 'Channel width';
export const claims = 'Claims';
export const claimsOfDistance = 'Claims of distance';
export const condition = 'Condition';
export const copy = (name: string): string => `${name}, copy`;
export const copy2 = 'Copy';
export const copyAColumn = 'copy a column …';
export const copyARigFromAnotherProduct = 'Copy a rig from another product';
export const copyOneFrom = 'copy one from …';
export const countedDiffer = (n: number): string => countOf(n, 'differs', 'differ');
export const countedTries = (n: number): string => countOf(n, 'try', 'tries');
export const db = (either: string, gainDb: string): string => `${either}${gainDb} dB`;
export const delayOfWhatIsHeard = 'Delay of what is heard';
export const direction = 'Direction';
export const distance = 'Distance';
export const feederLoss = 'Feeder loss';
export const figure = 'Figure';
export const firmware = 'Firmware';
export const gain = 'Gain';
export const heightFixedEnd = 'Height, fixed end';
export const heightMobileEnd = 'Height, mobile end';
export const history = 'History';
export const historyWithTheNames = 'History, with the names';
export const hopsOfAChainWithA = 'Hops of a chain with a relay, with commas';
export const inputLeast = 'Input, least';
export const inputMost = 'Input, most';
export const itIsGone = 'It is gone';
export const kind = 'Kind';
export const kit = 'Kit';
export const kit2 = 'kit';
export const lessInTheCold = '; less in the cold.';
export const levelNeeded = 'Level needed';
export const load = 'Load';
export const measureThePlayoutDelay = 'Measure the playout delay …';
export const measureThePlayoutDelay2 = 'Measure the playout delay';
export const n15Or20Percent = '15× or +20 %';
export const n28PercentOr3Db = '2×, +8 % or 3 dB';
export const n300MbitS = '300 Mbit/s';
export const n50Ms = '50 ms';
export const nameText = 'Name';
export const needsCorrecting = 'needs correcting';
export const newProduct = 'New product';
export const noProductYet = 'No product yet';
export const noneEnteredAClaimIsWhat =
  'None entered. A claim is what the maker or folklore says, in its own unit.';
export const notKept = 'not kept';
export const notStated = 'Not stated';
export const notStated2 = 'not stated';
export const notchDiffersWithItsSizeHatched = 'Notch: differs, with its size; hatched: not stated.';
export const nothingIsKeptYet = 'Nothing is kept yet';
export const obstructed = 'obstructed';
export const ofFromTheFirstRigOf = (differing: number, rigs: number): string =>
  `${differing} of ${rigs} ${plural(differing, 'differs', 'differ')} from the first rig of ` +
  `${plural(differing, 'its', 'their')} kind.`;
export const ofText = 'Of';
export const ofTheRig = 'Of the rig';
export const open = 'open';
export const orientation = 'Orientation';
export const power = 'Power';
export const powerAsSet = 'Power as set';
export const product = 'Product';
export const products = 'Products';
export const ratio = 'Ratio';
export const remove = (name: string): string => `Remove ${name}`;
export const remove2 = 'Remove';
export const removeClaim = (i: number): string => `Remove claim ${i}`;
export const removeRig = (name: string | number): string => `Remove rig ${name}`;
export const rig = 'Rig';
export const rigSheet = 'Rig sheet';
export const rigSheet2 = (countOf: string): string => `Rig sheet: ${countOf}`;
export const rigs = 'Rigs';
export const rigs2 = 'rigs';
export const sensitivityOnTheDataSheetWithout =
  'Sensitivity, on the data sheet. Without it no range is predicted.';
export const setUpAlike = ' set up alike?';
export const settingsByRig = 'Settings by rig';
export const settingsOfTheSameAs = (name: string, name2: string): string =>
  `Settings of ${name}, ${name2}: the same as`;
export const simulatedGearOfItForSimulated = 'Simulated gear of it, for simulated walks (invented figures)';
export const sizeUnknown = 'size unknown';
export const source = 'Source';
export const squelch = 'Squelch';
export const takeIt = 'Take it';
export const theBatteryCarriesTheLoadFor = 'The battery carries the load for ';
export const theHistory = 'the history';
export const theNextChangeIs = 'The next change is.';
export const theReactionThatTheTrainerLearned = 'The reaction that the trainer learned is taken off.';
export const theSenderIsOff = 'The sender is off';
export const theUsualReactionOf06 = 'The usual reaction of 0.6 s is taken off; the trainer learns yours.';
export const theyAreSetUpAlikeIn = 'They are set up alike in everything that is stated.';
export const thisProduct = 'this product';
export const unit = (i: number): string => `Unit ${i}`;
export const units = 'Units';
export const unstated = 'unstated';
export const upTo = 'up to';
export const watchedTestSignal = (watched: string, testSignal: string): string =>
  `Watched: ${watched}. Test signal: ${testSignal}.`;
export const weakestLevelItReceivesAsIts = 'Weakest level it receives, as its maker says';
export const what = 'What';
export const whatIsUnderTestAndAre = 'What is under test, and are the ';
export const when = 'When';
export const who = 'Who';
export const whoChangedKitPathsAndPlan =
  'Who changed kit, paths and plan, when, and what. Logs of walks only grow.';
