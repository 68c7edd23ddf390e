import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { isStale, ROOT, say } from './project.mjs';

export const WEB_ROOT = join(ROOT, 'web/dist');

const WEB_SOURCES = [
  'core/src',
  'contract/src',
  'study/src',
  'draw/src',
  'web/src',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
  'web/sharedFiles.ts',
];

/** Builds the web application when a source is newer than what was built. */
export function ensureWeb() {
  if (!isStale(join(WEB_ROOT, 'index.html'), [...WEB_SOURCES, 'package-lock.json'])) return;
  say('Building the web application …');
  execFileSync(
    process.execPath,
    [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
    { cwd: join(ROOT, 'web'), stdio: 'inherit' },
  );
}
