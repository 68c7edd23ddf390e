import { execFileSync, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { say, Unable } from './project.mjs';

/** PostgreSQL refuses to run as root: then an unprivileged user does. */
function runAs() {
  if (process.getuid() !== 0) return {};
  for (const name of ['postgres', 'nobody']) {
    const [uid, gid] = ['-u', '-g'].map((flag) =>
      Number(spawnSync('id', [flag, name], { encoding: 'utf8' }).stdout),
    );
    if (uid > 0) return { uid, gid: gid || uid };
  }
  throw new Unable('There is no unprivileged user to run the database as: neither postgres nor nobody.');
}

/** Whose a folder is: who made a cluster opens it, whoever is root today. */
function ownerOf(folder) {
  if (process.getuid() !== 0 || !existsSync(folder)) return undefined;
  const { uid, gid } = statSync(folder);
  return uid === 0 ? undefined : { uid, gid };
}

/** Where a cluster wanted in a folder lies, and as whom it runs. */
export function placeOf(wanted) {
  const folder = clusterFolder(wanted, runAs());
  const cluster = join(folder, 'cluster');
  return { folder, cluster, passwordFile: join(folder, 'password'), user: ownerOf(cluster) ?? runAs() };
}

/** Whether another user can pass through every folder above. */
function reachable(folder) {
  for (let at = dirname(folder); ; at = dirname(at)) {
    if (existsSync(at) && (statSync(at).mode & 0o001) === 0) return false;
    if (at === dirname(at)) return true;
  }
}

/**
 * Where the cluster lies: in the project, or, when the project lies where the database's user cannot go
 * (root's home), in a folder of its own under /var/lib, named in the project.
 */
function clusterFolder(wanted, user) {
  if (user.uid === undefined || reachable(wanted)) return wanted;
  const note = `${wanted}.elsewhere`;
  if (existsSync(note)) return readFileSync(note, 'utf8').trim();
  const elsewhere = `/var/lib/urvek-${randomBytes(6).toString('hex')}/database`;
  writeFileSync(note, `${elsewhere}\n`);
  return elsewhere;
}

/**
 * The version that made a cluster; undefined where there is none. What cannot be read is never deleted: a damaged
 * folder is put aside. @throws Unable that says where, and what to do.
 */
export function versionOf(cluster) {
  let entries;
  try {
    entries = readdirSync(cluster);
    if (entries.includes('PG_VERSION')) return readFileSync(join(cluster, 'PG_VERSION'), 'utf8').trim();
  } catch (error) {
    if (error.code === 'ENOENT') return undefined;
    throw new Unable(
      `The database in ${cluster} cannot be read (${error.code}). Nothing was changed. Start Urvek as the user who made it, or give the folder back to the one who starts it.`,
    );
  }
  if (entries.length === 0) return undefined;
  const aside = `${cluster}.damaged-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  renameSync(cluster, aside);
  throw new Unable(
    `The database in ${cluster} is damaged: its file PG_VERSION is missing. Nothing was deleted; it was put aside as\n\n  ${aside}\n\nTo have its walks back, repair that folder, or copy a backup of it, to ${cluster}. To go on with an empty database, start again.`,
  );
}

/** A lost password is replaced by a new one: the database is asked without a network, by its own user. */
export function renewPassword({ binaries, user, env, cluster, passwordFile }) {
  const password = newPassword(passwordFile, user);
  const { status, stderr } = spawnSync(
    join(binaries.bin, 'postgres'),
    ['--single', '-D', cluster, 'postgres'],
    { ...user, env, cwd: '/', input: `ALTER USER urvek PASSWORD '${password}'\n`, encoding: 'utf8' },
  );
  if (status !== 0) {
    rmSync(passwordFile);
    throw new Unable(
      `The file ${passwordFile} is lost, and no new password could be set. Nothing else was changed.\n${stderr}`,
    );
  }
}

function newPassword(passwordFile, user) {
  const password = randomBytes(18).toString('hex');
  writeFileSync(passwordFile, `${password}\n`, { mode: 0o600 });
  chmodSync(passwordFile, 0o600);
  if (user.uid !== undefined) chownSync(passwordFile, user.uid, user.gid);
  return password;
}

/** Made beside its place and put there when it is whole: a start that is killed leaves none behind that is half made. */
export function makeCluster({ binaries, user, env, folder, cluster, passwordFile }) {
  const made = `${cluster}.new`;
  rmSync(made, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  newPassword(passwordFile, user);
  if (user.uid !== undefined) chownSync(folder, user.uid, user.gid);
  const args = [
    '-D',
    made,
    '-U',
    'urvek',
    '--auth=scram-sha-256',
    `--pwfile=${passwordFile}`,
    '--encoding=UTF8',
    '--locale=C.UTF-8',
    '--data-checksums',
    '--no-sync',
  ];
  if (binaries.root !== '/')
    args.push('-L', join(binaries.bin, '../../../../share/postgresql', binaries.bin.split('/').at(-2)));
  execFileSync(join(binaries.bin, 'initdb'), args, {
    ...user,
    env,
    cwd: '/',
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  renameSync(made, cluster);
}

/**
 * A copy of the data folder of an Urvek that ran has its server's mark in it: that server is another folder's, and
 * the mark would keep this one from starting.
 */
export function dropCopiedMark(cluster) {
  const mark = readMark(cluster);
  if (!mark || mark.folder === cluster) return;
  rmSync(join(cluster, 'postmaster.pid'));
  say(
    `This data folder was copied from ${dirname(dirname(mark.folder))}. If Urvek ran there meanwhile, look whether the last walks are whole; a backup is copied safely at any time (npm run backup).`,
  );
}

/** What the server of a cluster says of itself while it runs, or said when it was killed; undefined where it ended. */
export function readMark(cluster) {
  const file = join(cluster, 'postmaster.pid');
  if (!existsSync(file)) return undefined;
  const lines = readFileSync(file, 'utf8').split('\n');
  return {
    pid: Number(lines[0]),
    folder: lines[1],
    port: Number(lines[3]),
    ready: /ready/.test(lines[7] ?? ''),
  };
}

/** Checksums show a page that a disk has changed; clusters of earlier Urveks have none. Interrupted, it changes nothing. */
export function enableChecksums({ binaries, user, env, cluster }) {
  const run = (program, ...args) =>
    spawnSync(join(binaries.bin, program), [...args, '-D', cluster], {
      ...user,
      env: { ...env, LC_ALL: 'C' },
      cwd: '/',
      encoding: 'utf8',
    });
  const state = run('pg_controldata').stdout ?? '';
  if (!/checksum version:\s+0/.test(state) || !/state:\s+shut down\n/.test(state)) return;
  say('Adding checksums to the database, once …');
  run('pg_checksums', '--enable');
}
