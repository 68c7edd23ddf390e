import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Unable } from './project.mjs';

/** Of the automatic ones so many are kept. */
const DAYS_KEPT = 7;
const DAILY = /^urvek-\d{4}-\d\d-\d\d\.backup$/;

/** Runs a program of PostgreSQL's on a database. @throws Unable with what it said. */
function run({ bin, env }, program, url, args, input) {
  const { hostname, port, username, password, pathname } = new URL(url);
  return new Promise((resolve, reject) => {
    const child = spawn(join(bin, program), args, {
      cwd: '/',
      env: {
        ...env,
        PGHOST: hostname,
        PGPORT: port,
        PGUSER: decodeURIComponent(username),
        // Not among the arguments, where every user of the machine could read it.
        PGPASSWORD: decodeURIComponent(password),
        PGDATABASE: pathname.slice(1),
        PGCONNECT_TIMEOUT: '10',
      },
      stdio: ['pipe', 'pipe', 'pipe'],
    });
    const [out, err] = [[], []];
    child.stdout.on('data', (data) => out.push(data));
    child.stderr.on('data', (data) => err.push(data));
    child.stdin.on('error', () => {});
    child.once('error', (error) => reject(new Unable(`${program} could not be run: ${error.message}`)));
    child.once('exit', (code) =>
      code === 0
        ? resolve(Buffer.concat(out).toString('utf8'))
        : reject(new Unable(`${program} failed:\n${Buffer.concat(err).toString('utf8').slice(-2000)}`)),
    );
    child.stdin.end(input);
  });
}

/** What a database holds, in words: that a backup is of what one thinks it is. */
export async function contentOf(tools, url) {
  const count = (table) => `(SELECT count(*) FROM public.${table})`;
  const text = await run(tools, 'psql', url, [
    '-XAtc',
    `SELECT ${count('comparison')}, ${count('walk')}, ${count('walk_event')}`,
  ]);
  const [comparisons, walks, entries] = text.trim().split('|').map(Number);
  return {
    comparisons,
    walks,
    text: `${counted(comparisons, 'comparison')}, ${counted(walks, 'walk')} with ${counted(entries, 'log entry', 'log entries')}`,
  };
}

const counted = (n, one, several = `${one}s`) => `${n} ${n === 1 ? one : several}`;

/** Everything in a database as one file, whole or not there. The queue of jobs under way is no part of it. */
export async function backup(tools, url, file) {
  const part = `${file}.part`;
  await run(tools, 'pg_dump', url, ['-Fc', '-N', 'pgboss', '--no-owner', '--no-privileges', '-f', part]);
  renameSync(part, file);
}

/**
 * Puts a backup in the place of all that a database holds, or changes nothing of it. @throws Unable for a file that
 * is none.
 */
export async function restore(tools, url, file) {
  const held = await run(tools, 'pg_restore', url, ['--list', file]).catch(() => '');
  if (!/TABLE DATA public walk_event/.test(held))
    throw new Unable(`${file} is not a backup of Urvek, or is damaged. Nothing was changed.`);
  const script = await run(tools, 'pg_restore', url, ['--no-owner', '--no-privileges', '-f', '-', file]);
  const emptied = 'DROP SCHEMA IF EXISTS pgboss CASCADE; DROP SCHEMA public CASCADE; CREATE SCHEMA public;\n';
  await run(tools, 'psql', url, ['-X1q', '-v', 'ON_ERROR_STOP=1', '-f', '-'], emptied + script);
}

/** Today's automatic backup, made unless it is there; the last seven days of them are kept. */
export async function dailyBackup(tools, url, folder, now = new Date()) {
  const file = join(folder, `urvek-${now.toISOString().slice(0, 10)}.backup`);
  if (existsSync(file)) return undefined;
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  await backup(tools, url, file);
  const old = readdirSync(folder)
    .filter((name) => DAILY.test(name))
    .sort()
    .slice(0, -DAYS_KEPT);
  for (const name of old) rmSync(join(folder, name));
  return file;
}

/** A backup made before something that cannot be undone, named after it. */
export async function backupBefore(tools, url, folder, what) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `before-${what}-${new Date().toISOString().replace(/[:.]/g, '-')}.backup`);
  await backup(tools, url, file);
  return file;
}

export const sizeOf = (file) => `${(statSync(file).size / 1e6).toFixed(1)} MB`;
