/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aListIsMissing = (where: string): string => `${where}: a list is missing`;
export const cameTwice = (twice: number): string => `${twice} came twice`;
export const countAsPathsAreTheyOne = (names: string, namesCount: number): string =>
  `${names} count as ${namesCount} paths: are they one?`;
export const countAsProductsAreTheyOne = (names: string, namesCount: number): string =>
  `${names} count as ${namesCount} products: are they one?`;
export const fieldsWhereTheHeaderHas = (cellsCount: number, namesCount: number): string =>
  `${cellsCount} fields where the header has ${namesCount}`;
export const held0AndFailed0A =
  'held 0 and failed 0: a failure at the zero point is the rig’s, not the range’s';
export const intervalsAtTheBeginningWereLeft = (omitted: number): string =>
  `${omitted} intervals at the beginning were left out, as it was told`;
export const isNoneOf = (text: string, choices: string): string => `${text} is none of ${choices}`;
export const isNotAbove0 = (distanceM: number): string => `${distanceM} is not above 0`;
export const isNotAFiniteNumber = (text: string): string => `${text} is not a finite number`;
export const isNotAPosition = (where: string, position: string): string =>
  `${where}: ${position} is not a position`;
export const isNotAWholeNumber = (value: number): string => `${value} is not a whole number`;
export const itEndedWith = (error: string): string => `it ended with: ${error}`;
export const itHoldsMoreThanPlaces = (mostPlaces: number): string =>
  `it holds more than ${mostPlaces} places`;
export const itIsNestedTooDeep = 'it is nested too deep';
export const itsElementsAreNestedTooDeep = 'its elements are nested too deep';
export const itsTracksDoNotSayWhen =
  'its tracks do not say when they were where: there is no time at their points';
export const moreThanLines = (mostLines: number): string => `more than ${mostLines} lines`;
export const noIntervalWasMeasuredIsThis = 'no interval was measured: is this what iperf3 -J writes?';
export const noJson = (message: string): string => `no JSON: ${message}`;
export const noReplyAndNoLossIs = 'no reply and no loss: is this what ping prints?';
export const notAGpxFileThereIs = 'not a GPX file: there is no gpx element';
export const notAnObject = (where: string): string => `${where}: not an object`;
export const notGeojsonItsTypeIs = (where: string, type: string): string =>
  `${where}: not GeoJSON: its type is ${type}`;
export const notJson = (message: string): string => `not JSON: ${message}`;
export const notWellFormedXmlLine = (line: number, msg: string): string =>
  `not well-formed XML: line ${line}: ${msg}`;
export const notYesOrNo = (text: string): string => `${text}: not yes or no`;
export const theColumnIsMissing = 'the column is missing';
export const theColumnStandsTwice = 'the column stands twice';
export const theFileDeclaresADocumentType =
  'the file declares a document type or entities, which no GPX file needs';
export const theFileIsEmptyAHeader = 'the file is empty; a header is required';
export const theFileIsLargerThanMb = (routeFileLimitBytes: number): string =>
  `the file is larger than ${routeFileLimitBytes} MB`;
export const thereAre = (text: string, known: string): string => `${text}; there are ${known}`;
export const unknownColumnKnownAre = (known: string): string => `unknown column; known are ${known}`;
export const walkOfOnStandsTimesAnd = (walk: string, product: string, path: string, times: number): string =>
  `walk ${walk} of ${product} on ${path} stands ${times} times, and counts ${times} times: is it one walk?`;
