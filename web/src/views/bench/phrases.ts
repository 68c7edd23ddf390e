/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aComparison = 'a comparison';
export const aKeyForAProgram = 'A key for a program';
export const aPhoneLogsTheWalkOr =
  'A phone logs the walk, or listens at the other end, over the local network. Nothing is open ' +
  'there to a device that is not paired.';
export const aPictureOfThePairingAddress = (host: string): string =>
  `A picture of the pairing address at ${host}`;
export const aReceiverAMeterOrA =
  'A receiver, a meter or a script logs and reads over HTTP by a key of its own, which can be ' +
  'revoked. How is told in docs/gear.md and docs/openapi.json.';
export const aWalkIsNotFinished = 'A walk is not finished';
export const aWalkOfIsKeptOn = (format: string): string =>
  `A walk of ${format} is kept on this device only: `;
export const aWalkThatThisDeviceJoined = 'A walk that this device joined';
export const allOfThatWalkIsHere = 'All of that walk is here already.';
export const anEmptyComparison = 'An empty comparison';
export const andTypeTheCode = ' and type the code.';
export const backUpThenRemoveForGood = (title: string): string => `Back up, then remove ${title} for good`;
export const backUpThenRemoveForGood2 = 'Back up, then remove for good';
export const backingUp = 'Backing up …';
export const begunWithNothingSetUp = 'begun with nothing set up';
export const bench = 'Bench';
export const changeComparisonsToo = 'change comparisons too';
export const chooseWhatTheDeviceMayDo =
  'Choose what the device may do, and make a code. It works once, for five minutes.';
export const comparisons = 'Comparisons';
export const copyItNowItIsNot = 'Copy it now: it is not shown again.';
export const create = 'Create';
export const createItAndGoToThe = 'Create it, and go to the first walk';
export const devices = 'Devices';
export const discard = 'Discard';
export const endItWhereItStopped = 'End it where it stopped';
export const entriesTakenIn = (taken: number): string => `${taken} entries taken in.`;
export const fromAFile = 'From a file';
export const goOn = 'Go on';
export const howItIsWalkedIsReady =
  'How it is walked is ready. Everything else stays not stated until you say it.';
export const howLongAbout = 'How long, about?';
export const howLongIsThePath = 'How long is the path?';
export const howMany = 'How many?';
export const importAComparison = 'Import a comparison';
export const importAWalk = 'Import a walk';
export const importAWalkThatWasSaved = 'Import a walk that was saved as a file';
export const importAWholeComparisonAFile = 'Import a whole comparison, a file ending in .urvek.json';
export const installTheAuthorityOnThePhone = 'Install the authority on the phone, once: ';
export const isGone = (lost: string): string => `; ${lost} is gone`;
export const isSetAsideNothingOfIt = (title: string): string =>
  `“${title}” is set aside; nothing of it is lost.`;
export const itHasNow = (got: string): string => `: it has ${got} now`;
export const itMay = 'It may';
export const joinAWalk = 'Join a walk';
export const lastSeen = (format: string): string => `last seen ${format}`;
export const logWalksAndRead = 'log walks and read';
export const madeUpSimulatedWalks = 'made up: simulated walks';
export const makeACode = 'Make a code';
export const makeAKey = 'Make a key';
export const maySince = (may: string, format: string, either: string): string =>
  `may ${may}; since ${format}; ${either}`;
export const nameTheFirst = 'Name the first';
export const nameTheOther = 'Name the other';
export const nextEnterTheProducts = 'Next: enter the products';
export const nextLayOutAPath = 'Next: lay out a path';
export const nextReadTheReport = 'Next: read the report';
export const nextWalkOf = (walksMade: number, walksPlanned: number): string =>
  `Next: walk ${walksMade} of ${walksPlanned}`;
export const noComparisonYet = 'No comparison yet';
export const noYet = (one: string): string => `no ${one} yet`;
export const noneYet = 'None yet.';
export const notSeenSince = 'not seen since';
export const nothingWasChangedChooseAnotherFile = 'Nothing was changed; choose another file.';
export const nothingWasStoredChooseAnotherFile = 'Nothing was stored; choose another file.';
export const nothingYet = 'Nothing yet.';
export const ofText = (walksMade: number, walksPlanned: number): string => `${walksMade} of ${walksPlanned}`;
export const ofText2 = (title: string): string => `of “${title}”`;
export const pair = (a: string): string => `${a}pair `;
export const pairADevice = 'Pair a device';
export const pairedDevices = 'Paired devices';
export const pairedDevicesAndPrograms = 'Paired devices and programs';
export const pairingRevokingFilesTakenComparisons =
  'Pairing, revoking, files taken, comparisons set aside and removed. The newest first.';
export const question = 'Question';
export const reactionTrainer = 'Reaction trainer';
export const readingTheComparison = 'Reading the comparison …';
export const revoke = (name: string): string => `Revoke ${name}`;
export const revoke2 = 'Revoke';
export const revoked = 'revoked';
export const sayWhatItWasAWalk = 'say what it was a walk of';
export const scanThePictureWithThePhone = 'Scan the picture with the phone, or open ';
export const sentInTheHeaderXUrvek = 'Sent in the header X-Urvek-Key.';
export const setAside = 'Set aside';
export const setAside2 = (comparisonsCount: number): string => `Set aside: ${comparisonsCount}`;
export const stagesOf = (title: string): string => `Stages of ${title}`;
export const startFromAQuestion = 'Start from a question';
export const startFromAQuestionOnThe =
  'Start from a question on the right, or write down a walk that you have made.';
export const stopUrvekAndStartItAgain =
  '. Stop Urvek and start it again to be reached there. Devices keep what they log.';
export const takeBack = (title: string): string => `Take ${title} back`;
export const takeBack2 = 'Take back';
export const testSignals = 'Test signals';
export const theAddressesOfThisMachineHave = 'The addresses of this machine have changed since the start';
export const theComparisons = 'the comparisons';
export const theDemoInThreeMinutes = 'The demo in three minutes';
export const theDevices = 'the devices';
export const theFirst = 'The first';
export const theOther = 'The other';
export const thePairingPageOffersItToo =
  '. The pairing page offers it too, and says how on the usual systems. It can vouch for nothing ' +
  'but this machine’s own addresses.';
export const thePathGetsTenPostsEvenly =
  'The path gets ten posts, evenly spaced. Distances count as judged by eye until you say how they ' +
  'were measured, under Paths.';
export const theQuestion = 'The question';
export const thisMachineHasANewAuthority =
  'This machine has a new authority, because it is the first start on the network or its addresses ' +
  'changed: phones install it again.';
export const title = 'Title';
export const toLetPhonesOnTheLocal =
  'To let phones on the local network take part, stop it and start it with ';
export const twoRoutersInTheMill = 'Two routers in the mill';
export const underWayOnThisDevice = 'Under way on this device';
export const until = (format: string): string => `until ${format}`;
export const urvekAuthorityCrt = 'urvek-authority.crt';
export const urvekServesThisMachineOnly = 'Urvek serves this machine only';
export const walkNow = 'Walk now';
export const walks = ' walks';
export const walksNPlanned = (n: number): string => `walks, ${n} planned`;
export const walksOfEach = 'Walks of each';
export const wasRemovedAllThatWasHere = (title: string, backup: string): string =>
  `“${title}” was removed. All that was here before is in ${backup}.`;
export const whatItIsCalled = 'What it is called';
export const whatWaitsForMe = 'What waits for me?';
export const whatWasDone = 'What was done';
export const whatWasDoneTheNewestFirst = 'What was done, the newest first';
export const whichOneStillGives40Mbit = 'Which one still gives 40 Mbit/s upstairs?';
export const why = 'Why';
export const writeAWalkDown = 'Write a walk down';
