import { cpSync, existsSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { newest, ROOT, say } from './project.mjs';

/** The server in a few files, beside what it looks for next to itself: its threads, and the page of the gate. */
export const SERVER = join(ROOT, 'server/dist');

/**
 * Puts the server's sources together when one is newer than what was put together: read one by one they take most of
 * a start. What is not of this project stays where it is installed.
 */
export async function ensureServer() {
  const sources = [
    'core/src',
    'contract/src',
    'study/src',
    'draw/src',
    'probe/src',
    'server/src',
    'package-lock.json',
  ];
  const built = join(SERVER, 'serve.mjs');
  const builtAt = existsSync(built) ? statSync(built).mtimeMs : 0;
  if (sources.every((source) => newest(join(ROOT, source)) < builtAt)) return;
  say('Building the server …');
  const { build } = await import('esbuild');
  rmSync(SERVER, { recursive: true, force: true });
  await build({
    absWorkingDir: ROOT,
    entryPoints: {
      network: 'server/src/lan/network.ts',
      thread: 'server/src/threads/work.ts',
      serve: 'server/src/serve.ts',
    },
    outdir: SERVER,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    sourcemap: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    logLevel: 'warning',
    plugins: [
      {
        name: 'packages stay outside',
        setup: ({ onResolve }) =>
          onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
            kind === 'entry-point' || path.startsWith('@urvek/') ? undefined : { path, external: true },
          ),
      },
    ],
  });
  cpSync(join(ROOT, 'server/src/lan/page'), join(SERVER, 'page'), { recursive: true });
}
