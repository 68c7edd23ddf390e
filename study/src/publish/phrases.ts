import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const atLeast = (either: string): string => `at least: ${either}`;
export const atM = (figure: string): string => `at ${figure} m`;
export const authorsOfCorrections = 'authors of corrections';
export const backGrade = (grade: number): string => `back, grade ${grade}`;
export const coordinatesOfFixedEnds = 'coordinates of fixed ends';
export const countedDropouts = (n: number): string => countOf(n, 'dropout');
export const deviceLocations = 'device locations';
export const distanceNotKnown = 'distance not known';
export const dropout = (dropouts: number): string => `dropout ${dropouts}`;
export const ended = (endReason: string): string => `ended: ${endReason}`;
export const firstDropout = 'first dropout';
export const grade = (state: string, grade: number): string => `${state}, grade ${grade}`;
export const grade2 = (grade: number): string => `grade ${grade}`;
export const itReadsWhatIsBehindIt = 'it reads what is behind it';
export const itsNearestPointsReadAlike = 'its nearest points read alike';
export const leftBecause = (acknowledged: string): string => `; left, because: ${acknowledged}`;
export const leftOut = '[left out]';
export const namesOfOutingsAndHops = 'names of outings and hops';
export const namesOfPeople = 'names of people';
export const namesOfPlaces = 'names of places';
export const noConnectionIn = (none: number): string => `no connection in ${none}`;
export const notFinished = 'not finished';
export const notGraded = 'not graded';
export const path = (i: number): string => `Path ${i}`;
export const person = (part: number): string => `person ${part}`;
export const reachOfAFigure = 'reach of a figure';
export const speedRatio = 'speed ratio';
export const theWalkBegins = 'the walk begins';
export const throughputNearBy = 'throughput near by';
export const to = (figure: string, figure2: string): string => `${figure} to ${figure2}`;
export const toNoticedBy = (from: string, to: string, noticedBy: string): string =>
  `${from} to ${to}, noticed by ${noticedBy}`;
export const turnedRound = 'turned round';
export const walkM = (product: string, label: string, travelledM: string): string =>
  `${product}, walk ${label}, ${travelledM} m`;
export const wordsReplaced = 'words replaced';
