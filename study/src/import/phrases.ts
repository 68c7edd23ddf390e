/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const fieldsWhereTheHeaderHas = (cellsCount: number, columnsCount: number): string =>
  `${cellsCount} fields where the header has ${columnsCount}`;
export const hitsOfPresses = (hits: number, presses: number): string => `${hits} hits of ${presses} presses`;
export const isNoDirectionThereAre = (text: string, directions: string): string =>
  `${text} is no direction: there are ${directions}`;
export const isNoGradeOfWrite1 = (text: string, name: string, words: string): string =>
  `${text} is no grade of ${name}: write 1 to 5, or words such as ${words}`;
export const isNotADayWriteIt = (text: string): string =>
  `${text} is not a day: write it as 2026-05-12, or leave it empty`;
export const isNotADistanceWrite40 = (text: string): string =>
  `${text} is not a distance: write “40”, “about 40 yd”, “30-40”, “over 40”, or “?” if not known`;
export const isNotAWholeNumber = (text: string): string => `${text} is not a whole number`;
export const mIsAThousandTimesOff = (atM: number | undefined): string =>
  `${atM} m is a thousand times off its neighbours: another unit?`;
export const mLiesBeyondWhichIsM = (travelledM: string, name: string, lengthM: string): string =>
  `${travelledM} m lies beyond ${name}, which is ${lengthM} m long`;
export const moreThanRows = (mostRows: number): string => `more than ${mostRows} rows`;
export const neitherAGradeNorPressesAnd =
  'neither a grade nor presses and hits: a point without a result says nothing';
export const noIsCalledThereAre = (field: string, cell: string, list: string): string =>
  `no ${field} is called ${cell}; there are ${list}`;
export const pressesAndHitsGoTogether = 'presses and hits go together';
export const sayWhichColumnIsTheDistance = 'say which column is the distance, or the place';
export const theFileIsEmptyAHeader = 'the file is empty; a header is required';
