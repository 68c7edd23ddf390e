import { fileURLToPath } from 'node:url';
import { join } from 'node:path';

export const ROOT = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');
/** Everything that a running Urvek keeps in the project: database, ports, stamps. Not in version control. */
export const DATA = process.env.URVEK_DATA ?? join(ROOT, '.urvek');

export const say = (text) => process.stdout.write(`${text}\n`);
export const complain = (text) => process.stderr.write(`${text}\n`);
