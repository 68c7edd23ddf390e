import { pathLengthM, separationRangeM } from '@urvek/core';
import type { SetupPath } from './findings.ts';

/** The farthest that one can get on a path, in separation, from where it begins. */
export const farthestM = (path: SetupPath): number => separationRangeM(path, 0, pathLengthM(path)).greatestM;
