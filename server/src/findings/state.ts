import type { Comparison } from '@urvek/contract';
import { ARITHMETIC } from '@urvek/core';
import { createHash } from 'node:crypto';
import type { Storage } from '../storage/port.ts';

/** A comparison, and a tag that is another one when anything of it or of its walks is another. */
export interface State {
  readonly comparison: Comparison;
  readonly walks: number;
  readonly tag: string;
}

export async function stateOf(storage: Storage, comparisonId: string): Promise<State> {
  const [comparison, { walks, digest }] = await Promise.all([
    storage.getComparison(comparisonId),
    storage.digestOf(comparisonId),
  ]);
  const { revision, title, question } = comparison;
  return { comparison, walks, tag: tagOf([ARITHMETIC, revision, title, question, digest]) };
}

/** One short word for some values. */
export const tagOf = (values: readonly unknown[]): string =>
  createHash('sha256').update(JSON.stringify(values)).digest('base64url');
