import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { anchorOf } from './anchor.ts';

test('every paragraph that a figure links to is there', () => {
  const text = ['methods', 'intervals']
    .map((name) => readFileSync(new URL(`../../../../docs/${name}.md`, import.meta.url), 'utf8'))
    .join('\n');
  const anchors = [...text.matchAll(/^## (.+)$/gm)].map(([, title = '']) => anchorOf(title));
  const source = readFileSync(new URL('../../components/HowMade.tsx', import.meta.url), 'utf8');
  const linked = [...source.matchAll(/\| '([a-z0-9-]+)'/g)].map(([, anchor]) => anchor);
  expect(linked.length).toBeGreaterThan(5);
  for (const anchor of linked) expect(anchors).toContain(anchor);
});
