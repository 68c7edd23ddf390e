import type { Job } from '@urvek/contract';
import PgBoss from 'pg-boss';
import { randomUUID } from 'node:crypto';
import type { FileAsked } from '../publish/files.ts';
import { Unavailable, type KeptFile, type Storage } from '../storage/port.ts';
import type { Threads } from '../threads/pool.ts';

const QUEUE = 'files';
/** After so long without an end a job is taken from who works on it: it was killed. Jobs are shorter. */
const EXPIRES_S = 120;
const RETRIES = 3;

export interface QueueOptions {
  readonly databaseUrl: string;
  readonly storage: Storage;
  readonly threads: Threads;
  readonly report: (error: unknown) => void;
  readonly expiresS?: number;
  /** Takes part in the work once it has started; otherwise it only asks. */
  readonly works?: boolean;
}

/**
 * Long work through a queue in the database, so that any process on any machine may do it: servers do, and
 * so does npm run worker. It starts when it is first needed.
 */
export class JobQueue {
  private starting: Promise<PgBoss> | undefined;

  constructor(private readonly options: QueueOptions) {}

  /** Takes part in the work. */
  async work(): Promise<void> {
    await (this.starting ??= this.start());
  }

  async ask(asked: FileAsked): Promise<Job> {
    const { storage, expiresS = EXPIRES_S } = this.options;
    const id = randomUUID();
    await storage.keepJob(id, asked);
    const boss = await (this.starting ??= this.start());
    await boss.send(QUEUE, { id }, { expireInSeconds: expiresS, retryLimit: RETRIES, retryDelay: 0 });
    return storage.jobState(id);
  }

  state(id: string): Promise<Job> {
    return this.options.storage.jobState(id);
  }

  cancel(id: string): Promise<void> {
    return this.options.storage.cancelJob(id);
  }

  file(id: string): Promise<KeptFile> {
    return this.options.storage.jobFile(id);
  }

  async close(): Promise<void> {
    await (await this.starting)?.stop({ graceful: false, wait: true });
  }

  private async start(): Promise<PgBoss> {
    const { databaseUrl, storage, threads, report, expiresS = EXPIRES_S, works = true } = this.options;
    const boss = new PgBoss({
      connectionString: databaseUrl,
      max: 3,
      maintenanceIntervalSeconds: Math.max(1, Math.min(30, Math.floor(expiresS / 2))),
      schedule: false,
    });
    // A database that went away is said by who watches it, and is asked again by itself.
    boss.on('error', (error) => {
      if (!(storage.meaningOf(error) instanceof Unavailable)) report(error);
    });
    await boss.start();
    await boss.createQueue(QUEUE);
    if (!works) return boss;
    await boss.work<{ id: string }>(QUEUE, { pollingIntervalSeconds: 0.5, batchSize: 1 }, async ([job]) => {
      if (job) await threads.run({ kind: 'job', databaseUrl, jobId: job.data.id });
    });
    return boss;
  }
}
