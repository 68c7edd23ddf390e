// npm run restore -- FILE: puts a backup in the place of what this Urvek holds, which is backed up before.
import { existsSync, renameSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { backupBefore, contentOf, restore } from './lib/backup.mjs';
import { placeOf } from './lib/clusterFolder.mjs';
import { BACKUPS, complain, DATABASE, say, Unable } from './lib/project.mjs';
import { runningCluster, startCluster } from './lib/postgres.mjs';

async function main() {
  const { values, positionals } = parseArgs({
    options: { fresh: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const [name] = positionals;
  if (!name) throw new Unable('Name the backup: npm run restore -- FILE');
  const file = resolve(process.env.INIT_CWD ?? '.', name);
  if (!existsSync(file)) throw new Unable(`There is no file ${file}. Nothing was changed.`);
  if (await runningCluster(DATABASE))
    throw new Unable(
      'Urvek is running. Stop it first, with Ctrl-C where it was started; nothing was changed.',
    );
  if (values.fresh) putAside();
  const cluster = await startCluster(DATABASE);
  try {
    const url = cluster.url('postgres');
    const before = await contentOf(cluster.tools, url).catch(() => undefined);
    if (before && before.comparisons > 0)
      say(
        `What was here is kept in ${await backupBefore(cluster.tools, url, BACKUPS, 'restore')}: ${before.text}.`,
      );
    await restore(cluster.tools, url, file);
    say(`Restored: ${(await contentOf(cluster.tools, url)).text}. Start Urvek again with npm start.`);
    say('Devices that logged since then send again what is missing, once they reach it.');
  } finally {
    await cluster.stop();
  }
}

/** A database that this PostgreSQL cannot open makes room for one that it makes itself. */
function putAside() {
  const { cluster } = placeOf(DATABASE);
  if (!existsSync(cluster)) return;
  const aside = `${cluster}.before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  renameSync(cluster, aside);
  say(`The database that was here was put aside as ${aside}.`);
}

main().catch((error) => {
  complain(error instanceof Unable ? error.message : String(error?.stack ?? error));
  process.exit(1);
});
