import { execFileSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { newest, ROOT, say } from './project.mjs';

export const WEB_ROOT = join(ROOT, 'web/dist');

/** Builds the web application when a source is newer than what was built. */
export function ensureWeb() {
  const sources = [
    'core/src',
    'contract/src',
    'study/src',
    'draw/src',
    'web/src',
    'web/public',
    'web/index.html',
    'web/vite.config.ts',
    'package-lock.json',
  ];
  const built = join(WEB_ROOT, 'index.html');
  const builtAt = existsSync(built) ? statSync(built).mtimeMs : 0;
  if (sources.every((source) => newest(join(ROOT, source)) <= builtAt)) return;
  say('Building the web application …');
  execFileSync(
    process.execPath,
    [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
    { cwd: join(ROOT, 'web'), stdio: 'inherit' },
  );
}
