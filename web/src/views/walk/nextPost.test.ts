import { expect, test } from '@jest/globals';
import type { Tick } from '@urvek/core';
import { nextPost } from './nextPost.ts';

const posts = [20, 40, 60].map((atM, i) => ({ name: `post ${i + 1}`, atM }));
const at = (more: object): string | undefined =>
  nextPost(posts, { hereM: undefined, markedM: undefined, turned: false, tick: undefined, ...more })?.name;

test('on foot M marks the next post beyond the last mark, and before it on the way back', () => {
  expect(at({})).toBe('post 1');
  expect(at({ markedM: 20 })).toBe('post 2');
  expect(at({ markedM: 19.7 })).toBe('post 2');
  expect(at({ markedM: 60 })).toBeUndefined();
  expect(at({ markedM: 60, turned: true })).toBe('post 2');
  expect(at({ markedM: 20, turned: true })).toBeUndefined();
});

test('with a wheel it marks the post that is nearest', () => {
  expect(at({ hereM: 52, tick: {} as Tick })).toBe('post 3');
  expect(at({ hereM: 48, tick: {} as Tick, markedM: 60 })).toBe('post 2');
});
