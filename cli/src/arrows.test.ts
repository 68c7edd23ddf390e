import { expect, test } from '@jest/globals';
import { execFileSync, spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** Lays a file into a layer for a moment, and gives what the rule of one-way arrows says of it. */
function verdictOn(layer: string, text: string): string {
  const file = `${root}/${layer}/src/arrowProbe.ts`;
  writeFileSync(file, text);
  try {
    return spawnSync(process.execPath, [`${root}/node_modules/dependency-cruiser/bin/dependency-cruise.mjs`, '--config', '.dependency-cruiser.cjs', `${layer}/src/arrowProbe.ts`], { cwd: root, encoding: 'utf8', env: { ...process.env, NODE_OPTIONS: '' } }).stdout;
  } finally {
    rmSync(file);
  }
}

test.each([
  ['core', "export { Store } from '@urvek/server';", 'core-imports-only-below'],
  ['core', "export * from '@urvek/contract';", 'core-imports-only-below'],
  ['contract', "export * from '@urvek/draw';", 'contract-imports-only-below'],
  ['cli', "export { serve } from '../../server/src/serve.ts';", 'cli-apart'],
  ['draw', "export { readFileSync } from 'node:fs';", 'core-is-pure'],
])('in %s, %s breaks the rule %s', (layer, text, rule) => {
  expect(verdictOn(layer, text)).toContain(rule);
}, 30_000);

test('the probe leaves nothing behind', () => {
  expect(execFileSync('git', ['status', '--porcelain', '--', '*arrowProbe*'], { cwd: root, encoding: 'utf8' })).toBe('');
});
