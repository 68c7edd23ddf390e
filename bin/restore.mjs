// npm run restore -- FILE: puts a backup in the place of what this Urvek holds, which is backed up before.
import { existsSync, renameSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { backupBefore, contentOf, restore } from './lib/backup.mjs';
import { holdingFolder } from './lib/claim.mjs';
import { placeOf } from './lib/clusterFolder.mjs';
import { BACKUPS, DATABASE, failed, onlyOwnDatabase, say, Unable } from './lib/project.mjs';
import { startCluster } from './lib/postgres.mjs';

async function main() {
  const { values, positionals } = parseArgs({
    options: { fresh: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const [name] = positionals;
  if (!name) throw new Unable('Name the backup: npm run restore -- FILE');
  onlyOwnDatabase();
  const file = resolve(process.env.INIT_CWD ?? '.', name);
  if (!existsSync(file)) throw new Unable(`There is no file ${file}. Nothing was changed.`);
  return holdingFolder(async () => {
    if (values.fresh) putAside();
    const cluster = await startCluster(DATABASE);
    await putBack(cluster, file).finally(cluster.stop);
  });
}

async function putBack({ tools, url }, file) {
  const before = await contentOf(tools, url('postgres')).catch(() => undefined);
  if (before && before.comparisons > 0) {
    const kept = await backupBefore(tools, url('postgres'), BACKUPS, 'restore');
    say(`What was here is kept in ${kept}: ${before.text}.`);
  }
  await restore(tools, url('postgres'), file);
  say(`Restored: ${(await contentOf(tools, url('postgres'))).text}. Start Urvek again with npm start.`);
  say('Devices that logged since then send again what is missing, once they reach it.');
}

/** A database that this PostgreSQL cannot open makes room for one that it makes itself. */
function putAside() {
  const { cluster } = placeOf(DATABASE);
  if (!existsSync(cluster)) return;
  const aside = `${cluster}.before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  renameSync(cluster, aside);
  say(`The database that was here was put aside as ${aside}.`);
}

main().catch(failed);
