import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bundle, bundleIsStale } from './bundle.mjs';
import { ROOT } from './project.mjs';
import { enableTypeScript } from './typescript.mjs';

const CLI = join(ROOT, 'cli/dist');
const MAIN = 'cli/src/main.ts';
const ROOMS = ['core', 'contract', 'study', 'draw', 'probe', 'cli'];

/** What does one command is read when it is asked for. */
const commandsOf = (source) =>
  [...readFileSync(join(ROOT, source), 'utf8').matchAll(/import\('\.\/(\w+)\.ts'\)/g)].map(([, name]) => [
    name,
    `cli/src/${name}.ts`,
  ]);

/** The command line, put together when one of its sources is newer than what was put together. */
export async function commandLine() {
  try {
    if (bundleIsStale(CLI, 'main', ROOMS))
      await bundle(CLI, { ...Object.fromEntries(commandsOf(MAIN)), main: MAIN }, { apart: true });
  } catch (error) {
    if (error.code !== 'EACCES' && error.code !== 'EROFS') throw error;
    // Somebody else's folder: from its sources, which takes a second more.
    await enableTypeScript();
    return import(join(ROOT, MAIN));
  }
  return import(join(CLI, 'main.mjs'));
}
