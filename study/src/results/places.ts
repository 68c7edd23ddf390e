import { pathLengthM } from '@urvek/core';
import type { Finding } from './findings.ts';

export const NEAREST_M = 0.5;

/** A position can stand a whisker beyond the path's end. */
export const clipped = ({ path }: Finding, travelledM: number): number =>
  Math.min(pathLengthM(path), Math.max(0, travelledM));

export const byProduct = (findings: readonly Finding[]): [string, Finding[]][] =>
  [...new Set(findings.map((f) => f.product))].map((p) => [p, findings.filter((f) => f.product === p)]);
