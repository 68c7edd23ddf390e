import { cpSync } from 'node:fs';
import { join } from 'node:path';
import { bundle, bundleIsStale } from './bundle.mjs';
import { ROOT, say } from './project.mjs';

/** The server in a few files, beside what it looks for next to itself: its threads, and the page of the gate. */
export const SERVER = join(ROOT, 'server/dist');

/** What the server is made of. */
const ROOMS = ['core', 'contract', 'study', 'draw', 'probe', 'server'];

/** Puts the server together when one of its sources is newer than what was put together. */
export async function ensureServer() {
  if (!bundleIsStale(SERVER, 'serve', ROOMS)) return;
  say('Building the server …');
  cpSync(join(ROOT, 'server/src/lan/page'), join(SERVER, 'page'), { recursive: true });
  await bundle(SERVER, {
    network: 'server/src/lan/network.ts',
    thread: 'server/src/threads/work.ts',
    work: 'server/src/work.ts',
    serve: 'server/src/serve.ts',
  });
}
