/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aClaimOf = (form: string): string => `a claim of ${form}`;
export const aNeedIsAUseWith =
  'A need is a use with a distance, a condition and a criterion. Take one from the list below, or write your own.';
export const aTableInANotebookA =
  'A table in a notebook, a leaflet, another test: held against the logs, and mean, best, worst ' +
  'and spread against each other. They enter no estimate.';
export const aVerdict = 'a verdict';
export const acceptWithAReason = (what: string): string => `Accept with a reason: ${what}`;
export const acceptWithAReason2 = 'Accept with a reason';
export const acceptedBecause = 'Accepted, because:';
export const acceptedTheReasonIsPrinted = 'Accepted; the reason is printed';
export const addACost = 'Add a cost';
export const addACostOf = (name: string): string => `Add a cost of ${name}`;
export const addAMeasurement = 'Add a measurement';
export const addAStation = 'Add a station';
export const addFigures = 'Add figures';
export const againstAnEarlierComparison = 'Against an earlier comparison';
export const againstThen = (against: string): string => ` against ${against} then`;
export const asWalked = 'as walked';
export const at = 'At';
export const before71After64Before70 = 'before -71, after -64, before -70';
export const beforeAfterAndBeforeAgainOr =
  'Before, after, and before again; or a setting gone through, each step read more than once and in mixed order.';
export const bench = 'bench';
export const best = 'Best';
export const bestLessWorst = 'Best less worst';
export const byKind = 'by kind';
export const cancel = 'Cancel';
export const chooseOne = 'choose one';
export const claimedAndFound = 'Claimed, and found';
export const claimsAndNeeds = 'Claims and needs';
export const claimsAndNeeds2 = (count: string): string => `Claims and needs${count}`;
export const clockAndScreenMsInPairs = 'Clock and screen, ms, in pairs';
export const condition = 'Condition';
export const consistency = 'Consistency';
export const costOfAMetre = 'Cost of a metre';
export const couldBeWorth = '; could be worth: ';
export const countFramesBetweenAnActAnd =
  'Count frames between an act and its picture, or film a clock beside the screen that shows it.';
export const criterion = 'Criterion';
export const currency = 'Currency';
export const dashedWhatIsSaidDiamondBar =
  'Dashed: what is said. Diamond, bar: median and 95 %; of a need, what 9 of 10 walks hold to.';
export const direction = 'Direction';
export const distance = 'Distance';
export const earlier = 'Earlier';
export const earlierComparison = 'Earlier comparison';
export const enterWhatTheMakersSayIn = 'Enter what the makers say in Kit; a need is added in “Needs” above. ';
export const everythingNeeded = 'Everything needed';
export const fairness = 'Fairness';
export const figureIfOne = 'Figure, if one';
export const figuresFromElsewhere = 'Figures from elsewhere';
export const firstWhatCouldChangeAVerdict =
  'First what could change a verdict by its size, then what is of unknown size.';
export const fix = 'Fix:';
export const found = 'Found';
export const frameRate = 'Frame rate';
export const framesAtFps = (cinemaFps: number): string => `Frames at ${cinemaFps} fps`;
export const framesOneAReading = 'Frames, one a reading';
export const fromMemory = 'from memory';
export const hz = 'Hz';
export const itFailedAndWhereIsNot = 'it failed, and where is not said';
export const itsWalksRatiosAndCurves = 'Its walks, ratios and curves';
export const judgedOn = (name: string): string => `judged on ${name}`;
export const judgedOnTheDistanceToWhich =
  'Judged on the distance to which 9 of 10 walks hold; the margin is that distance over the need. ' +
  'Of several paths of its condition, the one that serves it worst counts. ';
export const kind = 'Kind';
export const latency = 'Latency';
export const latency95Percent = 'Latency, 95 %';
export const latencyFound = 'Latency found';
export const latencyMs = 'latency, ms';
export const latencyOverDistance = 'Latency over distance';
export const mOrWithItsUnit = 'm, or with its unit';
export const mean = 'Mean';
export const measurements = 'Measurements';
export const method = 'Method';
export const ms = (part: string): string => `${part} ms`;
export const n40MbitS = '40 Mbit/s';
export const n9Of10WalksHoldTo = '9 of 10 walks hold to';
export const needs = 'Needs';
export const nextStep = 'Next step';
export const noClaimAndNoNeed = 'No claim and no need';
export const noLatencyIsEntered = 'No latency is entered';
export const noNeedIsEntered = 'No need is entered';
export const noPathOfItsCondition = 'no path of its condition';
export const noPathOfThisCondition = 'no path of this condition';
export const noProductWasWalkedOnA = 'No product was walked on a path of the same name in both.';
export const notStated = 'not stated';
export const nothingFound = 'Nothing found';
export const nothingWasReadAtOnePlace = 'Nothing was read at one place';
export const obstructed = 'obstructed';
export const ofText = 'Of';
export const on = (product: string, either: string, path: string): string => `${product}${either} on ${path}`;
export const open = 'open';
export const open2 = (open: number): string => ` ${open} open`;
export const openAgain = 'Open again';
export const openItAgain = 'Open it again';
export const orA = ' or a ';
export const orLookAtAllOfThem = 'Or look at all of them.';
export const path = 'Path';
export const perMetre = 'Per metre';
export const perMetreGainedOverTheCheapest = 'Per metre gained over the cheapest';
export const place = 'Place';
export const price = 'Price';
export const product = 'Product';
export const productNotStated = 'product not stated';
export const productsAndPathsAreMatchedBy =
  'Products and paths are matched by name. Compared are only walks over the same points by the ' +
  'same criterion; anything else is from memory.';
export const provenance = 'Provenance';
export const readings = 'Readings';
export const reasonWhichIsPrinted = 'Reason, which is printed';
export const refresh = 'Refresh';
export const refused = 'refused: ';
export const removeCostOf = (i: number, name: string): string => `Remove cost ${i} of ${name}`;
export const removeFigures = (i: number): string => `Remove figures ${i}`;
export const removeMeasurement = (i: number): string => `Remove measurement ${i}`;
export const removeNeed = (i: number): string => `Remove need ${i}`;
export const removeStation = (i: number): string => `Remove station ${i}`;
export const resolution = 'Resolution';
export const saveTheReason = 'Save the reason';
export const separationM = 'separation, m';
export const settingAndReadingInTheirOrder = 'Setting and reading, in their order';
export const settingsMeanLeastToMost = 'Settings: mean (least to most)';
export const source = 'Source';
export const stations = 'Stations';
export const stationsFound = 'Stations found';
export const takeIt = 'Take it';
export const theAuditsCompareSetUpsDays =
  'The audits compare set-ups, days, orders and what was entered; they find nothing to question here.';
export const theBench = 'the bench';
export const theEarlierComparison = 'the earlier comparison';
export const thePlanCouldNeverHaveSettled = 'The plan could never have settled it:';
export const theProduct = 'the product';
export const theVerdictOnANeed = 'the verdict on a need';
export const theVerdicts = 'the verdicts';
export const theWiredBaselineIsTheSame =
  'The wired baseline is the same chain with a cable in place of the link. Counts are good to half ' +
  'a frame at each end.';
export const thisVerdict = 'this verdict';
export const tiltOfTheDish = 'tilt of the dish';
export const unstated = 'unstated';
export const use = 'Use';
export const usualInTheTrade = 'Usual in the trade';
export const verdict = 'Verdict';
export const verdict2 = 'verdict';
export const walks = 'Walks';
export const what = 'What';
export const whatIsSaidOrNeeded = 'What is said, or needed';
export const whatItSays = 'What it says';
export const whatMayISayEachLine = 'What may I say? Each line is a ';
export const whatWasTried = 'What was tried';
export const whatWouldDecideIt = 'What would decide it:';
export const wiredBaseline = 'Wired baseline';
export const worst = 'Worst';
export const writeANeed = 'Write a need';
export const writeASettingAndItsFigure = 'Write a setting and its figure, as in “before -71, after -64”';
export const writePairsClockScreenClockScreen = 'Write pairs: clock-screen, clock-screen';
export const writtenIn = 'Written in';
