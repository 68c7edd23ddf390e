import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  existsSync,
  linkSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { userInfo } from 'node:os';
import { join } from 'node:path';
import { holdsFolder } from './processes.mjs';
import { DATA, Unable } from './project.mjs';

const RUNNING_FILE = join(DATA, 'running.json');
const PORT_FILE = join(DATA, 'port');
const KEY_FILE = join(DATA, 'key');
const KEY = /^[\w-]{32}$/;
/** The whole address, for a browser that was opened without. */
const ADDRESS_FILE = join(DATA, 'address');

/**
 * Claims the data folder for one Urvek: two would stop each other's database. @returns what runs here already, if
 * anything. @throws Unable where the folder is another user's.
 */
export function claim() {
  try {
    mkdirSync(DATA, { recursive: true });
    return claimed({ pid: process.pid, data: DATA });
  } catch (error) {
    if (error.code !== 'EACCES' && error.code !== 'EPERM') throw error;
    throw new Unable(
      `The folder ${DATA} is another user's (${error.code}). Nothing was changed. Start Urvek as that user, or give the folder to ${userInfo().username}:\n\n  sudo chown -R ${userInfo().username} ${DATA}`,
    );
  }
}

function claimed(own) {
  for (;;) {
    // Whole or not there, and there once: a file that is written in place can be found half written.
    const draft = `${RUNNING_FILE}.${process.pid}`;
    writeFileSync(draft, JSON.stringify(own));
    try {
      linkSync(draft, RUNNING_FILE);
      return undefined;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    } finally {
      rmSync(draft, { force: true });
    }
    const other = stated(RUNNING_FILE);
    // Torn, of a folder that this one was copied from, or of a process that is gone: nobody's. A database that somebody still runs on it refuses for itself.
    if (other?.data === DATA && holdsFolder(other.pid)) return { pid: other.pid, url: other.url };
    rmSync(RUNNING_FILE, { force: true });
  }
}

/** @returns undefined for what is no JSON any more. */
function stated(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
}

/**
 * What a browser must know to be answered, made once: other users of this machine cannot read it. Made anew when it
 * is lost; every browser is then opened once more at the address that is printed.
 */
export function ownKey() {
  const known = existsSync(KEY_FILE) ? readFileSync(KEY_FILE, 'utf8').trim() : '';
  if (KEY.test(known)) return known;
  const key = randomBytes(24).toString('base64url');
  writeFileSync(KEY_FILE, `${key}\n`, { mode: 0o600 });
  chmodSync(KEY_FILE, 0o600);
  return key;
}

/** The address to open, key and all. */
export const openedAt = (url) => `${url}?key=${ownKey()}`;

/**
 * Runs a command on the database of this data folder, which nobody else may hold meanwhile. @throws Unable where it is
 * somebody else's database, or the folder is held.
 */
export async function holdingFolder(work) {
  const other = claim();
  if (other) throw new Unable(`Urvek is running (process ${other.pid}). Stop it first; nothing was changed.`);
  try {
    return await work();
  } finally {
    release();
  }
}

export const release = () => rmSync(RUNNING_FILE, { force: true });

function replace(file, text) {
  writeFileSync(`${file}.new`, text, { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

/** States where it is reached, for the next start. */
export function state(url, port) {
  replace(PORT_FILE, String(port));
  replace(RUNNING_FILE, JSON.stringify({ pid: process.pid, data: DATA, url }));
  replace(ADDRESS_FILE, `${openedAt(url)}\n`);
}

/** The port that was chosen before; undefined where none was, or its file is torn. */
export function rememberedPort() {
  const port = Number(stated(PORT_FILE));
  return isPort(port) ? port : undefined;
}

export const isPort = (port) => Number.isInteger(port) && port >= 1 && port <= 65535;
