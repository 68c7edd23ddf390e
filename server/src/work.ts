// npm run worker: takes part in the long work of the servers of one database, on this machine or another.
import { systemClock } from './clock.ts';
import { JobQueue } from './jobs/queue.ts';
import { openDatabase } from './storage/postgres/database.ts';
import { Store } from './storage/postgres/store.ts';
import { openThreads } from './threads/pool.ts';

/** @throws when the database is not there. Ends when the process is told to. */
export async function work(databaseUrl: string, expiresS?: number): Promise<() => Promise<void>> {
  const database = await openDatabase(databaseUrl, { long: true });
  const threads = openThreads();
  const report = (error: unknown): void => void process.stderr.write(`${String(error)}\n`);
  const queue = new JobQueue({
    databaseUrl,
    storage: new Store(database, systemClock),
    threads,
    report,
    expiresS,
  });
  await queue.work();
  return async () => {
    await queue.close();
    await threads.close();
    await database.destroy();
  };
}
