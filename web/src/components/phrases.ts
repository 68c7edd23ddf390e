/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aThousandTimesOffTheLast = 'A thousand times off the last marks: was it another unit?';
export const all = 'all';
export const asWalked = 'as walked';
export const back = 'Back';
export const before = 'Before';
export const beside = 'Beside';
export const besideAnother = 'Beside another';
export const blindProductsAreLettersUntilAll =
  'Blind: products are letters until all planned walks are in; the key is sealed.';
export const cancel = 'Cancel';
export const changedByBoth = 'Changed by both';
export const changedElsewhereToo = 'Changed elsewhere too';
export const close = 'Close';
export const closeThisMessage = 'Close this message';
export const criterion = 'Criterion';
export const criterion2 = 'Criterion ';
export const direction = 'Direction';
export const discardChanges = 'Discard changes';
export const done = 'Done';
export const eachWalkOnItsPathWhat =
  'Each walk on its path. What was pressed late is set back by the reaction; what was wrong is ' +
  'corrected with a reason, never overwritten.';
export const earlier = 'Earlier';
export const figuresOf = (label: string): string => `Figures of ${label}`;
export const gradedBy = 'Graded by';
export const howIsWorkedOut = (what: string): string => `How ${what} is worked out`;
export const howItIsWorkedOut = 'how it is worked out';
export const howOftenHolds = (what: string): string => `How often ${what} holds`;
export const howOftenItHolds = 'how often it holds';
export const inText = (suffix: string): string => ` in ${suffix}`;
export const inTheFieldThisIsIn =
  'In the field this is in your hand: one key for a dropout, one for a post. It needs no network. ' +
  'Try it with simulated gear, or go on.';
export const itTookLongerThanSTo = (longestMs: number): string =>
  `it took longer than ${longestMs} s to read`;
export const itWasCancelled = 'it was cancelled';
export const keepBothThenSave = 'Keep both, then save';
export const keepWhatIsSaidOfBoth = 'Keep what is said of both';
export const kind = 'Kind';
export const later = 'Later';
export const leaveTheDemoTour = 'Leave the demo tour';
export const lens = 'Lens';
export const loading = (what: string): string => `Loading ${what} …`;
export const measuredBy = 'Measured by';
export const methods = 'Methods';
export const n4090YdAbout40 = '40, 90 yd, about 40';
export const next = 'next: ';
export const next2 = 'Next';
export const noPointOfThisPathIs = (point: string): string =>
  `No point of this path is called “${point}”, or it has no distance: there is nothing to add to.`;
export const notBegun = 'not begun';
export const notFiled = (unfiled: number): string => `${unfiled} not filed`;
export const notSavedYet = 'Not saved yet.';
export const notStated = 'not stated';
export const ofBothOnOneOutingWithout =
  'Of both on one outing, without a distance: it tells which was the farther, and no ratio.';
export const ofText = (at: number, tOURCount: number, stageName: string): string =>
  `${at} of ${tOURCount}, ${stageName}.`;
export const partlyDone = 'partly done';
export const path = 'Path';
export const product = 'Product';
export const reading = (name: string): string => `Reading ${name} …`;
export const refusedSetAside = (asideCount: number): string => `${asideCount} refused, set aside`;
export const save = (what: string): string => `Save ${what}`;
export const saveAsCsv = 'Save as CSV';
export const saveAsPng = 'Save as PNG';
export const saveAsSvg = 'Save as SVG';
export const saved = (what: string): string => `${what} saved`;
export const skipToTheWork = 'Skip to the work';
export const stages = 'Stages';
export const takeTheirsWithoutYourChanges = 'Take theirs, without your changes';
export const takeTheseThenSave = 'Take these, then save';
export const theComparison = 'the comparison';
export const theDemoStepByStep = 'The demo, step by step';
export const theFiguresAndFilesOfThem = 'The figures, and files of them';
export const theFileIsLargerThanMb = (limitBytes: number): string =>
  `the file is larger than ${limitBytes} MB`;
export const thePageToPublishEveryFigure =
  'The page to publish. Every figure leads back to its walks. That was all: press Urvek, at the ' +
  'top, and put a question of your own.';
export const thePlans = (criterion: string): string => `the plan’s: ${criterion}`;
export const theTwoChangesAreOfDifferent = 'The two changes are of different things: both are kept.';
export const theUsualOneOfEachKind = 'the usual one of each kind of product';
export const theView = 'the view';
export const theirsSaved = 'Theirs, saved';
export const thisDeviceReadsItsOwnWalks = (withheld: number): string =>
  `This device reads its own walks only. Others: ${withheld}; here they count for the plan, not ` +
  'for results. Those stand on the machine that runs Urvek.';
export const thisOne = 'this one';
export const thisSetUpWasChangedElsewhere =
  'This set-up was changed elsewhere while you edited it. Nothing of either is lost.';
export const toLookAtAgain = 'to look at again';
export const toOf = (page: number, min: number, itemsCount: number, what: string): string =>
  `${page} to ${min} of ${itemsCount} ${what}`;
export const toSend = (waiting: number): string => `${waiting} to send`;
export const undo = 'Undo';
export const unit = 'Unit';
export const urvek = 'Urvek';
export const urvek2 = (title: string): string => `${title}, Urvek`;
export const walksAtTheBaseNotSeen =
  'The walks at the base did not come yet: what stands here is of this device’s own walks. They are asked for again.';
export const wasNotImported = (name: string, why: string, kept: string): string =>
  `${name} was not imported: ${why}. ${kept}`;
export const whatIsUnderTestWithWhat =
  'What is under test, with what its makers claim on one tape. The rig sheet shows where two ' +
  'set-ups differ, and by how many dB.';
export const whatLiesBetweenTheEndsTo =
  'What lies between the ends, to scale: legs, obstructions, checkpoints whose distance is known.';
export const whatMayBeSaidOfEach =
  'What may be said of each claim, why, and the next step that would decide it. What could be ' +
  'unfair is counted beside it.';
export const whoIsWalkedWhenInAn =
  'Who is walked when, in an order that favours nobody; whether it will settle each claim; when you are home.';
export const whoReachesHowFarABar =
  'Who reaches how far. A bar with a diamond is an estimate with its interval; the ratio stands beside it.';
export const words = 'Words';
export const workingOut = (what: string): string => `Working out ${what} …`;
export const writeADistanceAsIn40 =
  'Write a distance, as in “40”, “0.12 km”, “about 40 yd”, “30-40” or “10 ft beyond the gate”.';
export const writeWhereYouAreOverAnd = 'Write where you are: “over” and “under” belong into a note.';
export const yours = 'Yours';
