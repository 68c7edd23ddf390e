import { countOf, plural } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const brackets = (n: number): string => plural(n, 'bracket');
export const countedLegs = (n: number): string => countOf(n, 'leg');
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const day = (min: number): string => `day ${min}`;
export const failedAtOnce = 'failed at once';
export const heldToTheEnd = 'held to the end';
export const invalidLeastmMostm = (leastM: number, mostM: number): string =>
  `invalid leastM, mostM: ${leastM}, ${mostM}`;
export const noClaimOfDistance = 'no claim of distance';
export const noDistance = 'no distance';
export const noDistance2 = (where: string, countedWalks: string, why: string): string =>
  `${where}: ${countedWalks}, no distance: ${why}`;
export const noPath = 'no path';
export const noPathOfThisCondition = 'no path of this condition';
export const notPlanned = (where: string): string => `${where}: not planned`;
export const notToldApart = ', not told apart';
export const ofText = (held: number, part: number): string => `${held} of ${part}`;
export const ofWalksMade = (made: number, wanted: number, short: string): string =>
  `${made} of ${wanted} walks made; ${short}`;
export const on = (subject: string, name: string): string => `${subject} on ${name}`;
export const planned = (planned: number): string => `${planned} planned`;
export const separationFromTo = (label: string, label2: string): string =>
  `Separation, from ${label} to ${label2}`;
export const theDayFromTo = (clockText: string, clockText2: string): string =>
  `The day: from ${clockText} to ${clockText2}`;
export const to = (figure: string | undefined, high: string): string => `${figure} to ${high}`;
export const to2 = (low: string, high: string): string => `${low} to ${high}`;
export const toMake = (where: string, countedWalks: string): string => `${where}: ${countedWalks} to make`;
export const toWalk = 'to walk';
export const toldApart = ', told apart';
export const walk = (product: string, label: string): string => `${product}, walk ${label}`;
