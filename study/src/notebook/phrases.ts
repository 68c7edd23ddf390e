/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aCellStandsAtTooFar = (letters: string, row: string | undefined): string =>
  `a cell stands at ${letters}${row}: too far off`;
export const aFormulaWithoutItsResult = 'a formula without its result';
export const aNameOfSignsIsToo = (nameCount: number, longestName: number): string =>
  `a name of ${nameCount} signs is too long: at most ${longestName}`;
export const aSheetOfRowsAndColumns = (rowCount: number, columnCount: number): string =>
  `a sheet of ${rowCount} rows and ${columnCount} columns`;
export const canBeOrWriteOneOf = (trimmed: string, trimmed2: string, trimmed3: string): string =>
  `“${trimmed}” can be ${trimmed2} or ${trimmed3}: write one of them`;
export const enterItUnderGrade = (ask: string, likely: string): string =>
  `${ask}${likely}: enter it under “grade”`;
export const gradedTheRowsBefore = (name: string): string =>
  `${name} graded the rows before: what somebody else graded is another walk: give it its own sign under walk`;
export const hasNoUnitSayWhichOne = (at: string): string =>
  `“${at}” has no unit: say which one figures without a unit are in`;
export const hasSeveralWhichOne = (name: string, fits: string): string =>
  `${name} has several: ${fits}; which one?`;
export const hitsOfTries = (hits: number, tries: string | number): string => `${hits} hits of ${tries} tries`;
export const howManyOfWereAnswered = (tries: number): string => `how many of ${tries} were answered?`;
export const isNoDirectionThereAreTo = (text: string): string =>
  `“${text}” is no direction: there are to-mobile, to-fixed, both`;
export const isNoDistanceWrite150M = (trimmed: string): string =>
  `“${trimmed}” is no distance: write “150 m”, “about 40 yd”, “30-40”, “over 9”, a name or “?”`;
export const isNoFigureAndNotNo = (text: string): string => `“${text}” is no figure, and not “no connection”`;
export const isNoGrade1To5 = (grade: string): string => `“${grade}” is no grade: 1 to 5`;
export const isNoHeightInMetres = (text: string): string => `“${text}” is no height in metres`;
export const isNoProvenanceThereAre = (text: string, provenances: string): string =>
  `“${text}” is no provenance: there are ${provenances}`;
export const isNoReasonToEndThere = (why: string, endReasons: string): string =>
  `“${why}” is no reason to end: there are ${endReasons}`;
export const isNoRungThereAreWorked = (text: string, rungs: string): string =>
  `“${text}” is no rung: there are ${rungs}, “worked” or “failed” after it`;
export const isNotADayWriteIt = (text: string): string =>
  `“${text}” is not a day: write it as 2026-05-12, or leave it empty`;
export const isNotAWholeNumberFrom = (text: string, least: number, mostPresses: number): string =>
  `“${text}” is not a whole number from ${least} to ${mostPresses}`;
export const isNothingThatCanBeLogged = (text: string, rowEventNames: string): string =>
  `“${text}” is nothing that can be logged: there are ${rowEventNames}`;
export const isNoTimeOfDayWrite = (text: string): string =>
  `“${text}” is no time of day: write it as 14:05 or 14:05:30`;
export const isNoUnitOfLengthM = (text: string): string =>
  `“${text}” is no unit of length: m, km, ft, yd, mi`;
export const isNoWayToComeBy = (text: string, distanceMethods: string): string =>
  `“${text}” is no way to come by a distance: there are ${distanceMethods}`;
export const itWasBackHowGoodWas = 'it was back: how good was it?';
export const leftOut = (reason: string): string => `left out: ${reason}`;
export const mAfterMAnotherUnit = (atM: number, before: number): string =>
  `${atM} m after ${before} m: another unit?`;
export const mLiesBeyondWhichEndsAt = (travelledM: string, name: string, farthest: string): string =>
  `${travelledM} m lies beyond ${name}, which ends at ${farthest} m`;
export const moreCellsThanTheHeaderHas = 'more cells than the header has columns';
export const moreThanCells = (mostCells: number): string => `more than ${mostCells} cells`;
export const moreThanRows = (mostRows: number): string => `more than ${mostRows} rows`;
export const nearerThanTheRowBeforeTaken = 'nearer than the row before: taken as the way back';
export const noColumnSaysWhereOrWhat = 'no column says where or what: name one “at”, “point” or “event”';
export const noGradeIsKnownForEnter = (words: string): string =>
  `no grade is known for “${words}”: enter it under “grade”, or move it to “remark”`;
export const noSheetOfTheFileHolds = 'no sheet of the file holds anything';
export const readBackHeard = (sent: string, heard: string): string => `read back “${sent}”, heard “${heard}”`;
export const simulatedItIsNoWalkThat = 'simulated: it is no walk that somebody made';
export const theFileUnfoldsToMoreThan = (mostUnfolded: number): string =>
  `the file unfolds to more than ${mostUnfolded} MB`;
export const theFixedEndMovedWhereTo = 'the fixed end moved: where to, along the path?';
export const theSheetShowsThere = (error: string): string => `the sheet shows ${error} there`;
export const theTableIsEmptyAHeader = 'the table is empty; a header is required';
export const theXlsxFileCannotBeRead = 'the XLSX file cannot be read: save the table as CSV';
export const theXlsxFileIsTornIt = 'the XLSX file is torn: it cannot be unfolded';
export const thisIsNoTextInUtf = 'this is no text in UTF-8: save the table as CSV in UTF-8';
export const thisIsNoXlsxFileSave = 'this is no XLSX file: save the table as XLSX or CSV';
export const thisRowSaysNothingThatIs = 'this row says nothing that is known here';
export const triesInARowAtMost = (tries: number, mostTries: number): string =>
  `${tries} tries in a row: at most ${mostTries}`;
export const twoColumnsMeanRenameOne = (twice: string): string => `two columns mean “${twice}”: rename one`;
export const whichOneOf = (list: string): string => `which one of ${list}?`;
