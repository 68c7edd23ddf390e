import { countOf } from '../quantity/plural.ts';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const countedFrames = (n: number): string => countOf(n, 'frame');
