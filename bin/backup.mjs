// npm run backup -- FILE: all that this Urvek holds, as one file, while it runs or not.
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { backup, contentOf, sizeOf } from './lib/backup.mjs';
import { complain, DATABASE, say, Unable } from './lib/project.mjs';
import { runningCluster, startCluster } from './lib/postgres.mjs';

async function main() {
  const [name] = process.argv.slice(2);
  if (!name) throw new Unable('Name the file to write: npm run backup -- FILE');
  const file = resolve(process.env.INIT_CWD ?? '.', name);
  if (existsSync(file)) throw new Unable(`${file} is there already. Nothing was changed; name another file.`);
  const running = await runningCluster(DATABASE);
  const cluster = running ?? (await startCluster(DATABASE));
  try {
    const url = cluster.url('postgres');
    await backup(cluster.tools, url, file);
    say(`${(await contentOf(cluster.tools, url)).text}, in ${file} (${sizeOf(file)}).`);
    say('The files that people keep, and what a phone has not sent yet, are not in it.');
  } finally {
    if (!running) await cluster.stop();
  }
}

main().catch((error) => {
  complain(error instanceof Unable ? error.message : String(error?.stack ?? error));
  process.exit(1);
});
