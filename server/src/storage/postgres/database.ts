import { DataSource } from 'typeorm';
import { AddAccess1764600000000 } from './migrations/addAccess.ts';
import { AddDevices1764200000000 } from './migrations/addDevices.ts';
import { AddWalkReaders1764700000000 } from './migrations/addWalkReaders.ts';
import { AddWalkSlot1764100000000 } from './migrations/addWalkSlot.ts';
import { CreateTables1764000000000 } from './migrations/createTables.ts';
import { KeepJobs1764400000000 } from './migrations/keepJobs.ts';
import { KeepRevisions1764800000000 } from './migrations/keepRevisions.ts';
import { StateOnlyWhatWasEntered1764500000000 } from './migrations/stateOnlyWhatWasEntered.ts';
import { KeepFindings1764300000000 } from './migrations/keepFindings.ts';
import { meaningOf } from './meaning.ts';
import {
  comparisonEntity,
  deviceEntity,
  eventEntity,
  factEntity,
  findingEntity,
  jobEntity,
  walkEntity,
} from './entities.ts';

/** Any number, the same for every server process: holds off others while one migrates. */
const MIGRATION_LOCK = 7_305_119;

/** Within a request nobody waits longer for a connection, or for an answer; long work has its own patience. */
const CONNECT_MS = 3000;
const ANSWER_MS = 10_000;
const LONG_ANSWER_MS = 120_000;

/** Opens the database, brought up to date unless told not to; safe from several processes at once. */
export async function openDatabase(
  url: string,
  {
    migrate = true,
    connections,
    long = false,
  }: { readonly migrate?: boolean; readonly connections?: number; readonly long?: boolean } = {},
): Promise<DataSource> {
  if (migrate) await bringUpToDate(url);
  return connect(url, long ? LONG_ANSWER_MS : ANSWER_MS, connections);
}

async function bringUpToDate(url: string): Promise<void> {
  const database = await connect(url, LONG_ANSWER_MS);
  const runner = database.createQueryRunner();
  try {
    await runner.query('SELECT pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await database.runMigrations({ transaction: 'all' });
  } finally {
    await runner.query('SELECT pg_advisory_unlock($1)', [MIGRATION_LOCK]);
    await runner.release();
    await database.destroy();
  }
}

/** @throws Unavailable */
async function connect(url: string, answerMs: number, connections?: number): Promise<DataSource> {
  const database = new DataSource({
    type: 'postgres',
    url,
    entities: [comparisonEntity, walkEntity, eventEntity, factEntity, deviceEntity, findingEntity, jobEntity],
    migrations: [
      CreateTables1764000000000,
      AddWalkSlot1764100000000,
      AddDevices1764200000000,
      KeepFindings1764300000000,
      KeepJobs1764400000000,
      StateOnlyWhatWasEntered1764500000000,
      AddAccess1764600000000,
      AddWalkReaders1764700000000,
      KeepRevisions1764800000000,
    ],
    installExtensions: false,
    connectTimeoutMS: CONNECT_MS,
    // A connection that ended while nobody used it is opened anew by the next who needs one.
    poolErrorHandler: () => undefined,
    extra: {
      statement_timeout: answerMs,
      // The server keeps the first; a database that is frozen keeps none, so that the second is the driver's.
      query_timeout: answerMs + 1000,
      idle_in_transaction_session_timeout: answerMs,
      keepAlive: true,
    },
    ...(connections === undefined ? {} : { poolSize: connections }),
  });
  try {
    return await database.initialize();
  } catch (error) {
    throw meaningOf(error) ?? error;
  }
}
