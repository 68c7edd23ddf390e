import { countOf } from '../quantity/plural.ts';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const countedCodes = (n: number): string => countOf(n, 'code');
export const inARowNotRead = (countedCodes: string, either: string): string =>
  `${countedCodes} in a row not read${either}`;
export const noNewCodeFor = (s: string): string => `no new code for ${s} s`;
