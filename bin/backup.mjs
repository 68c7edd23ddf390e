// npm run backup -- FILE: all that this Urvek holds, as one file, while it runs or not.
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { backup, contentOf, sizeOf } from './lib/backup.mjs';
import { holdingFolder } from './lib/claim.mjs';
import { placeOf } from './lib/clusterFolder.mjs';
import { DATABASE, failed, onlyOwnDatabase, say, Unable } from './lib/project.mjs';
import { runningCluster, startCluster } from './lib/postgres.mjs';

async function main() {
  const [name] = process.argv.slice(2);
  if (!name) throw new Unable('Name the file to write: npm run backup -- FILE');
  onlyOwnDatabase();
  const file = resolve(process.env.INIT_CWD ?? '.', name);
  if (existsSync(file)) throw new Unable(`${file} is there already. Nothing was changed; name another file.`);
  const running = await runningCluster(DATABASE);
  if (running) return write(running, file);
  return holdingFolder(async () => {
    if (!existsSync(placeOf(DATABASE).cluster))
      throw new Unable(`There is no database in ${DATABASE} yet: nothing to back up.`);
    const cluster = await startCluster(DATABASE);
    await write(cluster, file).finally(cluster.stop);
  });
}

async function write({ tools, url }, file) {
  await backup(tools, url('postgres'), file);
  say(`${(await contentOf(tools, url('postgres'))).text}, in ${file} (${sizeOf(file)}).`);
  say('The files that people keep, and what a phone has not sent yet, are not in it.');
}

main().catch(failed);
