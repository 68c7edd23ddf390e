import { expect, test } from '@jest/globals';
import type { SetupPath } from '@urvek/study';
import { PART_KINDS, parsePart, partAt, partAtM, partNames, partText } from './parts.ts';

const path = {
  legs: [
    { lengthM: 100, bearingDeg: 0, riseM: 0, exposure: 'open' },
    { lengthM: 50, bearingDeg: 90, riseM: 0, exposure: 'open' },
  ],
  obstructions: [{ label: 'Gate', kind: 'fixed-loss', atM: 60, lossDb: 3 }],
  checkpoints: [
    { name: 'post 1', atM: 58 },
    { name: '', atM: 120 },
  ],
  features: [{ id: 'w', label: 'Wall 1', kind: 'wall', outline: [] }],
} as unknown as SetupPath;

test('every part has a name in the address and comes back by it; others are none', () => {
  for (const kind of PART_KINDS)
    partNames(path, kind).forEach((_, index) =>
      expect(parsePart(partText({ kind, index }), path)).toEqual({ kind, index }),
    );
  for (const wrong of [undefined, '', 'leg-0', 'leg-3', 'point', 'roof-1', 'leg--1'])
    expect(parsePart(wrong, path)).toBeUndefined();
  expect(partNames(path, 'point')).toEqual(['post 1', 'checkpoint 2']);
});

test('a press on the tape takes what is nearest in reach, else the leg under it', () => {
  expect(partAt(path, 59.5, 3)).toEqual({ kind: 'across', index: 0 });
  expect(partAt(path, 58.4, 3)).toEqual({ kind: 'point', index: 0 });
  expect(partAt(path, 30, 3)).toEqual({ kind: 'leg', index: 0 });
  expect(partAt(path, 110, 3)).toEqual({ kind: 'leg', index: 1 });
  expect(partAt(path, 151, 3)).toBeUndefined();
  expect(partAtM(path, { kind: 'leg', index: 1 })).toBe(150);
  expect(partAtM(path, { kind: 'drawn', index: 0 })).toBeUndefined();
});
