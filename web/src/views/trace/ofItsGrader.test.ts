import { expect, test } from '@jest/globals';
import type { EventBodies } from '@urvek/core';
import { ofItsGrader } from './ofItsGrader.ts';

const graded = [{ clips: 'speech', graded: [{ level: 0.2, grade: 4 as const }] }];
const by = (gradedBy?: string): EventBodies['begin'] => ({
  direction: 'mobile-to-fixed',
  graded,
  conditions: { weather: 'dry', ...(gradedBy === undefined ? {} : { gradedBy }) },
});

test('what is known of a grader stays with their name, however it is written, and goes with it', () => {
  expect(ofItsGrader(by('oda'), by('Oda'))).toEqual(by('oda'));
  for (const other of ['Ruth', undefined]) {
    const { graded: _, ...rest } = by(other);
    expect(ofItsGrader(by(other), by('Oda'))).toEqual(rest);
  }
  // Who had no name gets none of it by being named.
  expect(ofItsGrader(by('Oda'), by(undefined)).graded).toBeUndefined();
});
