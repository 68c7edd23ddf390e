import { expect, test } from '@jest/globals';
import type { Tick } from '@urvek/core';
import { whereNow } from './whereNow.ts';

const path = {
  checkpoints: [20, 40].map((atM, i) => ({ name: `post ${i + 1}`, atM })),
  hazardsAt: [{ what: 'stairs', atM: 30 }],
};
const at = (wheelM: number | undefined, marksM: readonly number[] = [], turned = false) =>
  whereNow(path, { marksM, turned }, wheelM === undefined ? undefined : ({ wheelM } as Tick));

test('a post is told two metres ahead, a hazard ten, on the way back too', () => {
  expect(at(17.5).due).toBeUndefined();
  expect(at(18.5).due?.name).toBe('post 1');
  expect([10, 19, 20, 29, 30.4, 31].map((m) => at(m).mind.length)).toEqual([0, 0, 1, 1, 1, 0]);
  expect([50, 41, 40, 30, 29].map((m) => at(m, [], true).mind.length)).toEqual([0, 0, 1, 1, 0]);
  // On foot one is where one has marked last; before the first mark at the beginning.
  expect(at(undefined, [20]).mind).toHaveLength(1);
  expect(at(undefined).mind).toHaveLength(0);
  expect(whereNow(undefined, { marksM: [], turned: false }, undefined)).toEqual({
    ...{ hereM: undefined, post: undefined, due: undefined, mind: [] },
  });
});
