import { DataSource } from 'typeorm';
import { AddDevices1764200000000 } from './migrations/addDevices.ts';
import { AddWalkSlot1764100000000 } from './migrations/addWalkSlot.ts';
import { CreateTables1764000000000 } from './migrations/createTables.ts';
import { KeepJobs1764400000000 } from './migrations/keepJobs.ts';
import { StateOnlyWhatWasEntered1764500000000 } from './migrations/stateOnlyWhatWasEntered.ts';
import { KeepFindings1764300000000 } from './migrations/keepFindings.ts';
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

/** Opens the database and brings it up to date (unless told not to); safe from several processes at once. */
export async function openDatabase(
  url: string,
  { migrate = true, connections }: { readonly migrate?: boolean; readonly connections?: number } = {},
): Promise<DataSource> {
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
    ],
    installExtensions: false,
    ...(connections === undefined ? {} : { poolSize: connections }),
  });
  await database.initialize();
  if (!migrate) return database;
  const runner = database.createQueryRunner();
  try {
    await runner.query('SELECT pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await database.runMigrations({ transaction: 'all' });
  } finally {
    await runner.query('SELECT pg_advisory_unlock($1)', [MIGRATION_LOCK]);
    await runner.release();
  }
  return database;
}
