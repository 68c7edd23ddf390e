import { countOf, plural } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const againstNoRatio = (numerator: string, denominator: string, reason: string): string =>
  `${numerator} against ${denominator}: no ratio (${reason}).`;
export const againstTheBracketsArePercentWide = (
  numerator: string,
  denominator: string,
  part: string,
): string =>
  `${numerator} against ${denominator}: the brackets are ${part} % wide on the average, wider than the difference.`;
export const begunAndNotFinishedWhatIs = (countOf: string): string =>
  `${countOf} begun and not finished: what is left may be the better ones.`;
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const failedAtAPlaceThatNobody = (product: string, countedWalks: string): string =>
  `${product}: ${countedWalks} failed at a place that nobody knows.`;
export const lookedAtOnly = (part: string | undefined): string => `Looked at ${part} only.`;
export const noWalkFailedSoWhatIs = (product: string): string =>
  `${product}: no walk failed, so what is known is a bound ("more than"), not a range.`;
export const notEstimable = 'not estimable';
export const ofText = ', of ';
export const oneUnitOfTheResultsSpeak = (part: string, units: number): string =>
  `One unit of ${part}: the results speak for ${plural(units, 'that unit', 'those units')}.`;
export const oneWalkDecidesNothingItsInterval = (product: string): string =>
  `${product}: one walk decides nothing; its interval is all there is.`;
export const walksGiveAWideInterval = (product: string, walks: number): string =>
  `${product}: ${walks} walks give a wide interval.`;
