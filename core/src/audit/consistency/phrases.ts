/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aFailureWithoutADistance = 'A failure without a distance';
export const aMeanOfMWhereLogged = (
  product: string,
  source: string,
  meanM: number,
  walks: number,
  ends: string,
): string =>
  `${product}, ${source}: a mean of ${meanM} m, where ${walks} logged walks put the median within ${ends}`;
export const aMeanThatCannotBe = 'A mean that cannot be';
export const aPlaceUnknown = 'a place unknown';
export const aReadingThatCannotBe = 'A reading that cannot be';
export const aReadingWasAnnouncedAndNot = 'A reading was announced and not entered';
export const anInstrumentThatNobodyNamed = 'An instrument that nobody named';
export const andMore = (named: string, namedCount: number): string => `${named} and ${namedCount} more`;
export const askTheSourceForTheSingle =
  'Ask the source for the single figures; until then the mean says nothing.';
export const askWhereUntilThenItIs = 'Ask where; until then it is a failure whose place is unknown.';
export const at = ', at ';
export const bestAndSpreadPutTheMean = (
  show: string,
  show2: string,
  either: string,
  low: string,
  show3: string,
  show4: string,
): string =>
  `best ${show} and spread ${show2}${either} put the mean between ${low} and ${show3}; ${show4} is stated`;
export const bestLessWorstIsNotThe = (show: string, show2: string, show3: string): string =>
  `best ${show} less worst ${show2} is not the spread of ${show3}`;
export const bothAreKeptSideBySide =
  'Both are kept, side by side in Trace, and the walk’s own device is what is judged on. Ask which ' +
  'of the two heard what, and withdraw what was not so.';
export const enterItInTraceIfIt =
  'Enter it in Trace if it was kept elsewhere; otherwise it was not measured.';
export const enterThePlanAsItIs =
  'Enter the plan as it is in Paths; say there if the server stands inside the network; else read ' +
  'again with another instrument.';
export const failureHas = 'failure has';
export const failuresHave = 'failures have';
export const fasterThanTheLineWasSold = 'Faster than the line was sold';
export const heldToFailedBy = (formatLength: string, formatLength2: string): string =>
  `held to ${formatLength}, failed by ${formatLength2}`;
export const ifItIsKnownCorrectThe =
  'If it is known, correct the distance of its mark in Trace, where it has one; else it counts as ' +
  'failed, place unknown, between the places that are known.';
export const invalidN = (n: number): string => `invalid n: ${n}`;
export const invalidSpread = (spread: number): string => `invalid spread: ${spread}`;
export const itFailedAndWhereIsNot = (product: string, source: string): string =>
  `${product}, ${source}: it failed, and where is not said`;
export const itIsLeftOutOfWhat = 'It is left out of what is worked out. Withdraw it in Trace.';
export const lessThan = (formatLength: string): string => `less than ${formatLength}`;
export const lookWhichOfThemWasRead = 'Look which of them was read, and correct the mark in Trace.';
export const lookWhichOfThemWasRead2 = 'Look which of them was read, and correct the other in Trace.';
export const meanIsBeyondBest = (show: string, show2: string): string =>
  `mean ${show} is beyond best ${show2}`;
export const moreThan = (formatLength: string): string => `more than ${formatLength}`;
export const noBound = 'no bound';
export const nothingWasEnteredAt = (empty: string): string => `nothing was entered at ${empty}`;
export const ofText = (walks: number): string => ` of ${walks}`;
export const oneFigureAtTwoPlaces = 'One figure at two places';
export const oneFigureForTwoThings = 'One figure for two things';
export const readMbitSThroughALine = (
  instrument: string,
  readMbps: string,
  either: string,
  planMbps: string,
): string =>
  `${instrument} read ${readMbps} Mbit/s ${either} through a line sold as ${planMbps}: it is in doubt on all it read`;
export const reportsOfTheTwoEndsContradict = 'Reports of the two ends contradict each other';
export const says = (by: string, either: string): string => `${by} says ${either}`;
export const standAt = (part: string, either: string, formatLength: string): string =>
  `${part} ${either} stand at ${formatLength}`;
export const standsAt = (name: string, either: string): string => `“${name}” stands at ${either}`;
export const standsInTheNotesAndNo = (text: string): string =>
  `“${text}” stands in the notes, and no reading of its own there`;
export const takeTheTableFromTheLog = 'Take the table from the log, or say why the two differ.';
export const theTableIsNotTheLog = 'The table is not the log';
export const to = (either: string, either2: string): string => `${either} to ${either2}`;
export const walk = (product: string, label: string): string => `${product}, walk ${label}`;
export const walk2 = (
  product: string,
  label: string,
  direction: string,
  said: string,
  said2: string,
): string => `${product}, walk ${label}, ${direction}: ${said}; ${said2}`;
export const walkNoPlace = (product: string, label: string, countOf: string): string =>
  `${product}, walk ${label}: ${countOf} no place`;
export const worstIsBeyondBest = (show: string, show2: string): string =>
  `worst ${show} is beyond best ${show2}`;
