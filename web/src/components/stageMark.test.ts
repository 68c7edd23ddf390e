import { expect, test } from '@jest/globals';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { StageMark } from './StageMark.tsx';

test('each state of a stage has a shape and a word of its own', () => {
  const drawn = (['done', 'part', 'missing', 'stale'] as const).map((mark) =>
    renderToStaticMarkup(createElement(StageMark, { mark })),
  );
  const shapes = drawn.map((svg) => svg.replace(/^<svg[^>]*>/, ''));
  expect(new Set(shapes).size).toBe(4);
  expect(new Set(drawn.map((svg) => /aria-label="([^"]+)"/.exec(svg)?.[1])).size).toBe(4);
});
