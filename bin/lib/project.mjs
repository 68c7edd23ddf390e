import { fileURLToPath } from 'node:url';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

export const ROOT = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');
/** Everything that a running Urvek keeps in the project: database, ports, stamps. Not in version control. */
export const DATA = process.env.URVEK_DATA ?? join(ROOT, '.urvek');

/** Its database, and the backups that it makes by itself. */
export const DATABASE = join(DATA, 'database');
export const BACKUPS = join(DATA, 'backups');

export const say = (text) => process.stdout.write(`${text}\n`);
export const complain = (text) => process.stderr.write(`${text}\n`);

/** When the newest file of a folder was changed, ms; 0 where there is none. */
const newest = (path) => {
  if (!existsSync(path)) return 0;
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return readdirSync(path).reduce((latest, entry) => Math.max(latest, newest(join(path, entry))), 0);
};

/** Whether what was built is older than something that it was built from. */
export const isStale = (built, sources) => {
  const builtAt = newest(built);
  return sources.some((source) => newest(join(ROOT, source)) > builtAt);
};

/** A failure whose message is all that the user needs. */
export class Unable extends Error {}

/** The last word of a command that could not do what it should. */
export function failed(error) {
  complain(error instanceof Unable ? error.message : String(error?.stack ?? error));
  process.exit(1);
}

/** @throws Unable where the database is somebody else's */
export function onlyOwnDatabase() {
  if (process.env.DATABASE_URL)
    throw new Unable(
      'DATABASE_URL is set: that database is backed up and restored by its own means (pg_dump, pg_restore). Nothing was changed.',
    );
}
