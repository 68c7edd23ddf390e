import * as phrases from './phrases.ts';

export const ms = (s: number): string => phrases.ms((1000 * s).toFixed(0));
