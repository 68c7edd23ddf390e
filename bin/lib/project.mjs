import { fileURLToPath } from 'node:url';
import { join } from 'node:path';

export const ROOT = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');
/** Everything that a running Urvek keeps in the project: database, ports, stamps. Not in version control. */
export const DATA = process.env.URVEK_DATA ?? join(ROOT, '.urvek');

/** Its database, and the backups that it makes by itself. */
export const DATABASE = join(DATA, 'database');
export const BACKUPS = join(DATA, 'backups');

export const say = (text) => process.stdout.write(`${text}\n`);
export const complain = (text) => process.stderr.write(`${text}\n`);

/** A failure whose message is all that the user needs. */
export class Unable extends Error {}
