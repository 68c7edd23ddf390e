import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aTableOfObservationsAsCsv = 'A table of observations, as CSV or XLSX';
export const addItAsGrade3 = 'Add it, as grade 3';
export const andMore = (problemsCount: number): string => `and ${problemsCount} more`;
export const andMoreWriteOn = (tableCount: number): string => `and ${tableCount} more: write on`;
export const anotherSaying = 'Another saying';
export const asItIsRead = 'as it is read';
export const asThePathSaysElseBy = 'as the path says, else by eye';
export const asTheTableHasIt = 'as the table has it';
export const asked = (ask: string): string => `asked: ${ask}`;
export const askedAbout = 'asked about';
export const askedEachTime = 'asked each time';
export const askedMostOften = (grade: number): string => `asked; most often ${grade}`;
export const byItsWords = 'by its words';
export const clearAt50MASlight = 'Clear at 50 m, a slight crackle at about 100 m, gone at 150 yards.';
export const comparison = 'Comparison';
export const countedRows = (n: number): string => countOf(n, 'row');
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const crack = 'crack';
export const distancesBy = 'Distances by';
export const eventOfRow = (nth: number): string => `Event of row ${nth}`;
export const figuresWithoutAUnitAre = 'Figures without a unit are';
export const fromACsvOrXlsx = 'From a CSV or XLSX';
export const fromANotebook = 'From a notebook';
export const fromNotesAsText = 'From notes as text';
export const grade = (grade: number): string => `grade ${grade}`;
export const gradeFrom = (grade: number, from: string): string => `grade ${grade}, from “${from}”`;
export const gradeHere = (g: number): string => `grade ${g}, here`;
export const gradeOfRow = (nth: number): string => `Grade of row ${nth}`;
export const hereItMeans = 'Here it means';
export const inTheWay = (either: string): string => `${either} in the way`;
export const leaveHereAndTakeTheOther = (wrong: number, rows: number): string =>
  `Leave ${wrong} here, and take the other ${rows}`;
export const likeABathroom = 'like a bathroom';
export const lookASayingUpOfThe = 'Look a saying up, of the whole table';
export const means = (saying: string): string => `“${saying}” means`;
export const moreColumns = 'More columns';
export const n3rem = (shown: string): string => `3rem ${shown}`;
export const newAllElseOfThemNot = (made: string): string => `; new: ${made}, all else of them not stated`;
export const newProductsAre = 'New products are';
export const noSayingOfTheTableHas = 'No saying of the table has that in it.';
export const none = 'none';
export const notKnown = 'not known';
export const notStated = 'not stated';
export const notebookArrowKeysMoveEnterOr =
  'Notebook: arrow keys move, Enter or a letter writes, Control and D fills down, Control and Z undoes';
export const notesAsTheyWereWritten = 'Notes, as they were written';
export const nothingInItTellsOfA =
  'Nothing in it tells of a place, a quality, a reading or something that happened.';
export const nothingOfTheQualityKeptAs = 'nothing of the quality: kept as a remark';
export const ofYourOwn = (ownCount: number): string => ` (${ownCount} of your own)`;
export const oneRowAnObservationInThe =
  'One row an observation, in the order of walking: where, and how it was. Leave empty what nobody ' +
  'knows; product, walk and path are as in the row above.';
export const oneThingIs = 'One thing is';
export const placeOfRow = (nth: number): string => `Place of row ${nth}`;
export const proposeRows = 'Propose rows';
export const proposedRows = 'Proposed rows';
export const putIntoTheGrid = (countOf: string): string => `Put ${countOf} into the grid`;
export const readAs = 'Read as';
export const readingTheRows = 'Reading the rows … ';
export const remove = (either: string): string => `Remove ${either}`;
export const row = 'row';
export const row2 = (from: number): string => `row ${from}`;
export const row3 = (line: number): string => ` row ${line}`;
export const row4 = (line: number, what: string): string => `row ${line}: ${what}`;
export const rowBefore = 'Row before';
export const rowsAreNow = (rows: number, countOf: string, either: string): string =>
  `${rows} rows are ${countOf} now${either}`;
export const rowsTo = (from: number, to: number): string => `rows ${from} to ${to}`;
export const saveAsCsv = 'Save as CSV';
export const saveAsXlsx = 'Save as XLSX';
export const saying = 'Saying';
export const show = 'show …';
export const take = (countOf: string): string => `Take ${countOf}`;
export const takingThem = 'Taking them …';
export const theBaseDoesNotAnswerWhat =
  'The base does not answer. What is written here stays on this device: take it again when it does.';
export const theNotebookIsAsItWas = 'The notebook is as it was.';
export const theWholeTable = 'The whole table';
export const thingsAre = (problemsCount: number): string => `${problemsCount} things are`;
export const usually = 'Usually';
export const waitInTheNotebook = (left: number): string => `; ${left} wait in the notebook`;
export const whatIsChangedHereGoesWith =
  'What is changed here goes with the comparison once rows are taken, for notes on its walks too.';
export const whatIsInTheWay = 'What is in the way';
export const whatWasUsedOfTheNotes = 'What was used of the notes';
export const whatWordsAreTakenToMean = 'What words are taken to mean';
export const wordsOfThisNotebookAndYour = 'Words of this notebook, and your own';
export const writeAWalkDown = 'Write a walk down';
export const writtenHere = 'Written here';
