import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { execFileSync, spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));

const PROBES = [
  ['core', "export { Store } from '@urvek/server';", 'core-imports-only-below'],
  ['core', "export * from '@urvek/contract';", 'core-imports-only-below'],
  ['contract', "export * from '@urvek/draw';", 'contract-imports-only-below'],
  ['contract', "export * from '@urvek/study';", 'contract-imports-only-below'],
  ['study', "export * from '@urvek/draw';", 'study-imports-only-below'],
  ['cli', "export { serve } from '../../server/src/serve.ts';", 'cli-apart'],
  ['draw', "export { readFileSync } from 'node:fs';", 'pure'],
] as const;
const files = PROBES.map(([layer], i) => `${layer}/src/arrowProbe${i}.ts`);
let said = '';

/** Lays a file for each into its layer for a moment, and keeps what the rules say of all of them. */
beforeAll(() => {
  try {
    PROBES.forEach(([, text], i) => writeFileSync(`${root}/${files[i]}`, text));
    said = spawnSync(
      process.execPath,
      [
        `${root}/node_modules/dependency-cruiser/bin/dependency-cruise.mjs`,
        '--config',
        '.dependency-cruiser.cjs',
        ...files,
      ],
      { cwd: root, encoding: 'utf8', env: { ...process.env, NODE_OPTIONS: '' } },
    ).stdout;
  } finally {
    for (const file of files) rmSync(`${root}/${file}`, { force: true });
  }
}, 60_000);
afterAll(() => {
  expect(
    execFileSync('git', ['status', '--porcelain', '--', '*arrowProbe*'], { cwd: root, encoding: 'utf8' }),
  ).toBe('');
});

test.each(PROBES.map((p, i) => [...p, i] as const))(
  'in %s, %s breaks the rule %s',
  (_layer, _text, rule, i) => {
    expect(said.split('\n').some((line) => line.includes(rule) && line.includes(files[i] as string))).toBe(
      true,
    );
  },
);
