// npm start: installs what is missing, starts database and server, and says where to look.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensurePackages } from './lib/packages.mjs';
import { startCluster, Unable } from './lib/postgres.mjs';
import { complain, DATA, ROOT, say } from './lib/project.mjs';
import { commandOf } from './lib/processes.mjs';
import { enableTypeScript } from './lib/typescript.mjs';
import { ensureWeb, WEB_ROOT } from './lib/web.mjs';

/**
 * What a browser keeps for Urvek belongs to one port: it is fixed, and remembered when another was chosen.
 */
const DEFAULT_PORT = 4826;
const PORT_FILE = join(DATA, 'port');
const RUNNING_FILE = join(DATA, 'running.json');

function readOptions() {
  const { values } = parseArgs({
    options: {
      port: { type: 'string' },
      demo: { type: 'boolean', default: true },
      lan: { type: 'boolean', default: false },
    },
    allowNegative: true,
  });
  const remembered = existsSync(PORT_FILE) ? Number(readFileSync(PORT_FILE, 'utf8')) : DEFAULT_PORT;
  const port = values.port === undefined ? remembered : Number(values.port);
  if (!(Number.isInteger(port) && port >= 1 && port <= 65535))
    throw new Unable(`invalid --port: ${values.port}; a number from 1 to 65535`);
  return { port, demo: values.demo, lan: values.lan };
}

/**
 * Claims this folder for one Urvek: two would stop each other's database. @returns what runs here already,
 * if anything.
 */
async function claim() {
  try {
    writeFileSync(RUNNING_FILE, JSON.stringify({ pid: process.pid }), { flag: 'wx' });
    return undefined;
  } catch {
    const { pid, url } = JSON.parse(readFileSync(RUNNING_FILE, 'utf8'));
    if (isStart(pid)) return url ? `Urvek is already running: ${url}` : 'Urvek is already starting here.';
    rmSync(RUNNING_FILE, { force: true });
    return claim();
  }
}

/** Whether a process is a start command (numbers of dead processes are given out again). */
const isStart = (pid) => commandOf(pid).includes('start.mjs');

async function openDatabase() {
  if (process.env.DATABASE_URL) return { url: process.env.DATABASE_URL, stop: async () => {} };
  const cluster = await startCluster(join(DATA, 'database'));
  return { url: cluster.url('postgres'), stop: cluster.stop };
}

async function main() {
  const { port, demo, lan } = readOptions();
  mkdirSync(DATA, { recursive: true });
  const already = await claim();
  if (already) {
    say(already);
    return;
  }
  try {
    await run(port, demo, lan);
  } catch (error) {
    rmSync(RUNNING_FILE, { force: true });
    throw error;
  }
}

async function run(port, demo, lan) {
  ensurePackages();
  const database = await openDatabase();
  let serving;
  let stopping = false;
  const stop = async (code) => {
    if (stopping) return;
    stopping = true;
    await serving?.close();
    rmSync(RUNNING_FILE, { force: true });
    await database.stop();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));
  try {
    ensureWeb();
    await enableTypeScript();
    const { serve } = await import(join(ROOT, 'server/src/serve.ts'));
    const { privateAddresses } = await import(join(ROOT, 'server/src/lan/network.ts'));
    const addresses = lan ? privateAddresses() : [];
    if (lan && addresses.length === 0)
      throw new Unable(
        'This machine has no private address on a local network: connect it, or start without --lan.',
      );
    serving = await serve({
      databaseUrl: database.url,
      port,
      webRoot: WEB_ROOT,
      work: true,
      ...(lan ? { lan: { folder: join(DATA, 'authority'), addresses, port } } : {}),
      demo: demo ? 'whole' : 'none',
      report: (error) => complain(String(error?.stack ?? error)),
    });
  } catch (error) {
    complain(
      error instanceof Unable
        ? error.message
        : error.code === 'EADDRINUSE'
          ? `Port ${port} is taken by another program. Stop that, or choose another port: npm start -- --port ${port + 1}`
          : String(error?.stack ?? error),
    );
    return stop(1);
  }
  writeFileSync(PORT_FILE, String(serving.port));
  writeFileSync(RUNNING_FILE, JSON.stringify({ pid: process.pid, url: serving.url }));
  say(`Urvek is running. Open ${serving.url}`);
  for (const url of serving.lanUrls)
    say(`On the local network, for paired devices: ${url} (pair them under Devices, at the address above)`);
  say('Ctrl-C stops it.');
}

main().catch((error) => {
  complain(error instanceof Unable ? error.message : String(error?.stack ?? error));
  process.exit(1);
});
