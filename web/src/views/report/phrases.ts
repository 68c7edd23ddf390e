import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const asCsv = ' as CSV';
export const asTheFiguresSayIt = 'As the figures say it';
export const callSignsAndOtherWordsWith = 'Call signs and other words, with commas between';
export const cancel = 'Cancel';
export const contents = 'Contents';
export const coordinatesAndDeviceLocations = 'coordinates and device locations';
export const copyAsText = 'Copy as text';
export const countedClaims = (n: number): string => countOf(n, 'claim');
export const countedParagraphs = (n: number): string => countOf(n, 'paragraph');
export const countedQuestions = (n: number): string => countOf(n, 'question');
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const editTitleAndQuestion = 'Edit title and question';
export const filesTheWholeComparisonAndTables = 'Files: the whole comparison, and tables';
export const form = (f: string): string => `${f} form`;
export const formOfTheReport = 'Form of the report';
export const frame = 'Frame';
export const intervalsAsCsv = 'Intervals as CSV';
export const leftOut = (left: string): string => `: ${left} left out`;
export const leftOutOfTheReportAnd = 'Left out of the report and of all files';
export const namesOfPeopleAndPlacesPermissions = 'names of people and places, permissions';
export const noWalkIsFinished = 'No walk is finished.';
export const nothingIsLeftOutAllThat = 'Nothing is left out: all that was entered goes out.';
export const nothingToPublishYet = 'Nothing to publish yet';
export const ofFairness = (countOf: string): string => `${countOf} of fairness`;
export const open = 'Open';
export const partOfTheComparisonOnly = (only: string): string => `Part of the comparison only: ${only}.`;
export const picturesForAFilmAPost = 'Pictures for a film, a post or a page';
export const printOrSaveAsPdf = 'Print or save as PDF';
export const productsByPathsOnOneScale = 'Products by paths, on one scale.';
export const question = 'Question';
export const ready = (label: string): string => `${label}: ready`;
export const report = (title: string): string => `Report: ${title}`;
export const reword = 'Reword';
export const reword2 = (text: string): string => `Reword: ${text}`;
export const save = 'Save';
export const saveTheWording = 'Save the wording';
export const saved = 'Saved';
export const separationInAStraightLine = (countOf: string, intervalLegend: string): string =>
  `Separation in a straight line; ${countOf}. ${intervalLegend}`;
export const tablesAreCsvRfc4180With =
  'Tables are CSV (RFC 4180) with units in their headers; the whole comparison is JSON of a published schema.';
export const theFiguresHaveChangedSinceYou = (was: string, made: string): string =>
  `The figures have changed since you worded this. They said: “${was}” They say now: “${made}”`;
export const theFileWasNotMade = (label: string): string => `${label}: the file was not made (`;
export const thePageBelowIsAsIt = 'The page below is as it goes out.';
export const theReport = 'the report';
export const theSameWithWhatIsPrivate = 'The same with what is private';
export const theTextIsOnTheClipboard = 'The text is on the clipboard';
export const theWalksAreAsTheyWere = '). The walks are as they were. ';
export const title = 'Title';
export const titleAndQuestionSaved = 'Title and question saved';
export const tryAgain = 'Try again';
export const undecided = (countOf: string): string => `${countOf} undecided`;
export const whatIsLeftOut = 'What is left out';
export const whatItShows = 'What it shows';
export const whatThePicturesShow = 'what the pictures show';
export const whoPaidAndWhatStaysPrivate = 'Who paid, and what stays private';
export const whoPaidForThisWhoLent = 'Who paid for this, who lent the gear';
export const wholeComparisonAsAFile = 'Whole comparison as a file';
export const wordedBeforeTheFiguresChanged = (countOf: string): string =>
  `${countOf} worded before the figures changed`;
export const wordedByYouReword = 'Worded by you; reword';
export const wordingSaved = 'Wording saved';
export const wordsInQuestion = 'Words in question';
export const yourWordingTheFiguresSay = (made: string): string => `Your wording. The figures say: ${made}`;
