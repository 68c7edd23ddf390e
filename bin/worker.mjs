// npm run worker: a process more for long work. DATABASE_URL names the database of the servers it works for.
import { join } from 'node:path';
import { ensurePackages } from './lib/packages.mjs';
import { complain, say } from './lib/project.mjs';
import { ensureServer, SERVER } from './lib/server.mjs';

const url = process.env.DATABASE_URL;
if (!url) {
  complain(
    'DATABASE_URL is not set: a worker works for the servers of one database, and has none of its own.',
  );
  process.exit(1);
}
ensurePackages();
await ensureServer();
const { work } = await import(join(SERVER, 'work.mjs'));
const expires = process.env.URVEK_JOB_EXPIRES_S;
const stop = await work(url, expires === undefined ? undefined : Number(expires));
say('Working. Ctrl-C ends it; what is under way is then done by another worker.');
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => void stop().finally(() => process.exit(0)));
