import { join } from 'node:path';
import { bundle, bundleIsStale } from './bundle.mjs';
import { ROOT } from './project.mjs';
import { enableTypeScript } from './typescript.mjs';

const CLI = join(ROOT, 'cli/dist');
const ROOMS = ['core', 'contract', 'study', 'draw', 'probe', 'cli'];

/** The command line, put together when one of its sources is newer than what was put together. */
export async function commandLine() {
  try {
    if (bundleIsStale(CLI, 'main', ROOMS)) await bundle(CLI, { main: 'cli/src/main.ts' });
  } catch (error) {
    if (error.code !== 'EACCES' && error.code !== 'EROFS') throw error;
    // Somebody else's folder: from its sources, which takes a second more.
    await enableTypeScript();
    return import(join(ROOT, 'cli/src/main.ts'));
  }
  return import(join(CLI, 'main.mjs'));
}
