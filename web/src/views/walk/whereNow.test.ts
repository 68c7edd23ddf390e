import { expect, test } from '@jest/globals';
import type { Tick } from '@urvek/core';
import { whereNow } from './whereNow.ts';

const path = {
  checkpoints: [20, 40].map((atM, i) => ({ name: `post ${i + 1}`, atM })),
  hazardsAt: [{ what: 'stairs', atM: 30 }],
};
const at = (wheelM: number | undefined, marksM: readonly number[] = [], turned = false) =>
  whereNow(path, { marksM, turned }, wheelM === undefined ? undefined : ({ wheelM } as Tick));

test('a post is told two metres ahead, a hazard ten metres off, on foot up to the next post', () => {
  expect(at(17.5).due).toBeUndefined();
  expect(at(18.5).due?.name).toBe('post 1');
  expect([10, 19, 20, 30, 40, 41].map((m) => at(m).mind.length)).toEqual([0, 0, 1, 1, 1, 0]);
  // On foot one is somewhere between the last mark and the next.
  const far = {
    ...path,
    hazardsAt: [
      { what: 'stairs', atM: 25 },
      { what: 'a kerb', atM: 5 },
    ],
  };
  const onFoot = (marksM: readonly number[], turned = false): string[] =>
    whereNow(
      { ...far, checkpoints: [0, 50].map((atM) => ({ name: `at ${atM}`, atM })) },
      { marksM, turned },
      undefined,
    ).mind.map((h) => h.what);
  expect([onFoot([]), onFoot([0]), onFoot([50], true), onFoot([50])]).toEqual([
    ...[['a kerb'], ['stairs', 'a kerb'], ['stairs', 'a kerb'], []],
  ]);
  expect(whereNow(undefined, { marksM: [], turned: false }, undefined)).toEqual({
    ...{ hereM: undefined, post: undefined, due: undefined, mind: [] },
  });
});
