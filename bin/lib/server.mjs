import { cpSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { isStale, ROOT, say } from './project.mjs';

/** The server in a few files, beside what it looks for next to itself: its threads, and the page of the gate. */
export const SERVER = join(ROOT, 'server/dist');

/** What the server is made of. */
const ROOMS = ['core', 'contract', 'study', 'draw', 'probe', 'server'];

/**
 * Puts the server's sources together when one is newer than what was put together: read one by one they take most of
 * a start. What is not of this project stays where it is installed.
 */
export async function ensureServer() {
  if (!isStale(join(SERVER, 'serve.mjs'), [...ROOMS.map((room) => `${room}/src`), 'package-lock.json']))
    return;
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
