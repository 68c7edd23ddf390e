// npm start: installs what is missing, starts database and server, and says where to look.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { backupBefore, dailyBackup } from './lib/backup.mjs';
import { claim, isPort, openedAt, ownKey, release, rememberedPort, state } from './lib/claim.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { startCluster } from './lib/postgres.mjs';
import { BACKUPS, complain, DATA, DATABASE, failed, say, Unable } from './lib/project.mjs';
import { ensureServer, SERVER } from './lib/server.mjs';
import { ensureWeb, WEB_ROOT } from './lib/web.mjs';

/**
 * What a browser keeps for Urvek belongs to one port: it is fixed, and remembered when another was chosen.
 */
const DEFAULT_PORT = 4826;
/** How often it is looked whether today's backup is there; the first time a little after the start. */
const BACKUP_CHECK_MS = 3_600_000;
const FIRST_BACKUP_MS = 60_000;
const LONGEST_CLOSE_MS = 10_000;
/** A step that took so long is told, s. */
const SAID_FROM_S = 1;

function readOptions() {
  const { values } = parseArgs({
    options: {
      port: { type: 'string' },
      demo: { type: 'boolean', default: true },
      lan: { type: 'boolean', default: false },
    },
    allowNegative: true,
  });
  const port = values.port === undefined ? (rememberedPort() ?? DEFAULT_PORT) : Number(values.port);
  if (!isPort(port)) throw new Unable(`invalid --port: ${values.port}; a number from 1 to 65535`);
  return { port, demo: values.demo, lan: values.lan };
}

/** The database: one of its own, watched and backed up, or the one that DATABASE_URL names. */
async function openDatabase() {
  if (process.env.DATABASE_URL) return { url: process.env.DATABASE_URL, stop: async () => {} };
  const cluster = await startCluster(DATABASE, { told: complain });
  const url = cluster.url('postgres');
  return {
    url,
    stop: cluster.stop,
    daily: () => dailyBackup(cluster.tools, url, BACKUPS),
    backupBefore: (what) => backupBefore(cluster.tools, url, BACKUPS, what),
  };
}

/** Says what runs here already, and whether it is well. */
async function sayRunning({ pid, url }) {
  if (!url) return say(`Urvek is already starting here (process ${pid}).`);
  const health = await fetch(`${url}api/health`, { signal: AbortSignal.timeout(5000) })
    .then((r) => r.json())
    .catch(() => undefined);
  if (health?.ok) return say(`Urvek is already running: ${openedAt(url)}`);
  say(
    `Urvek is already running: ${openedAt(url)}\nIt is not well: ${health?.what ?? 'it does not answer.'} If that lasts, stop it (kill ${pid}) and start again.`,
  );
}

async function main() {
  const { port, demo, lan } = readOptions();
  const already = claim();
  if (already) return sayRunning(already);
  try {
    await run(port, demo, lan);
  } catch (error) {
    release();
    throw error;
  }
}

async function run(port, demo, lan) {
  await step('npm packages', ensurePackages);
  const database = await step('database', openDatabase);
  let serving;
  let stopping = false;
  const stop = async (code) => {
    if (stopping) return;
    stopping = true;
    // A database that does not answer must not keep us from ending.
    await Promise.race([serving?.close(), new Promise((r) => setTimeout(r, LONGEST_CLOSE_MS).unref())]);
    release();
    await database.stop();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));
  try {
    await step('application', ensureWeb);
    await step('server', ensureServer);
    const { serve } = await import(join(SERVER, 'serve.mjs'));
    const { privateAddresses } = await import(join(SERVER, 'network.mjs'));
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
      ...(lan
        ? { lan: { folder: join(DATA, 'authority'), addresses, port, current: privateAddresses } }
        : {}),
      demo: demo ? 'whole' : 'none',
      backupBefore: database.backupBefore,
      key: ownKey(),
      report: (error) => complain(String(error?.stack ?? error)),
    });
  } catch (error) {
    complain(
      error instanceof Unable
        ? error.message
        : error.code === 'EADDRINUSE'
          ? `Port ${port} is taken by ${(await isUrvek(port)) ? 'an Urvek of another folder' : 'another program'}. Stop that, or choose another port, which is then remembered: npm start -- --port ${port + 1}`
          : error.name === 'Unavailable'
            ? `The database does not answer: ${error.message}. Nothing was changed. ${process.env.DATABASE_URL ? 'Start it, or start Urvek without DATABASE_URL to use its own.' : 'Start again.'}`
            : String(error?.stack ?? error),
    );
    return stop(1);
  }
  state(serving.url, serving.port);
  if (database.daily) keepDaily(database.daily);
  say(`Urvek is running. Open ${openedAt(serving.url)}`);
  for (const url of serving.lanUrls)
    say(`On the local network, for paired devices: ${url} (pair them under Devices, at the address above)`);
  if (spawnSync('ffmpeg', ['-version'], { stdio: 'ignore' }).error)
    say(
      'Recordings are read on the command line by ffmpeg, which is not installed (as root: apt-get install ffmpeg). All else works.',
    );
  say('Ctrl-C stops it.');
}

/** Says how long a step took, where one had to wait for it. */
async function step(what, work) {
  const fromMs = Date.now();
  const made = await work();
  const tookS = (Date.now() - fromMs) / 1000;
  if (tookS >= SAID_FROM_S) say(`Ready: ${what}, ${tookS.toFixed(0)} s.`);
  return made;
}

const isUrvek = (port) =>
  fetch(`http://127.0.0.1:${port}/api/health`, { signal: AbortSignal.timeout(2000) })
    .then(async (r) => (await r.json()).name === 'urvek')
    .catch(() => false);

function keepDaily(daily) {
  const look = () => daily().catch((error) => complain(`Today's backup was not made: ${error.message}`));
  setTimeout(look, FIRST_BACKUP_MS).unref();
  setInterval(look, BACKUP_CHECK_MS).unref();
}

main().catch(failed);
