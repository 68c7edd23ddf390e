/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aDifferenceOfLevelsIsIn = 'A difference of levels is in dB; dBm is a level.';
export const byHowMuchAndDoesThe = 'By how much, and does the interval exclude none?';
export const byHowMuchSayTheFigure = 'By how much? Say the figure and how well it is known.';
export const byWhichCriterionFirstArtefactFirst =
  'By which criterion: first artefact, first dropout, last usable?';
export const byWhichMeasureByHowMuch = 'By which measure, by how much, and does the interval exclude none?';
export const giveTheRatioWithItsInterval =
  'Give the ratio with its interval; a bound of an interval is not the ratio.';
export const notCarryItSayInHow = (countOf: string): string =>
  `${countOf} not carry it; say in how many of how many.`;
export const notToldApartIsNotThe =
  'Not told apart is not the same: say how large a difference was within reach.';
export const nothingWasLoggedBeyondItThat = 'Nothing was logged beyond it: that is not known.';
export const ofDistanceOrOfAreaArea = 'Of distance or of area? Area is the square.';
export const reachedOnceOrByNineOf = 'Reached once, or by nine of ten? Say which.';
export const sayHowWellItIsKnown = 'Say how well it is known: an interval, or from … to ….';
export const thisFigureStandsNowhereInThe =
  'This figure stands nowhere in the results: take it from them, or say where it comes from.';
export const walkDoes = 'walk does';
export const walksDo = 'walks do';
export const walksSupportOrRefuteSayWith = 'Walks support or refute; say with what confidence.';
