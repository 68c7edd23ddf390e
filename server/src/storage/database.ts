import { DataSource } from 'typeorm';
import { AddDevices1764200000000 } from './addDevices.ts';
import { AddWalkSlot1764100000000 } from './addWalkSlot.ts';
import { CreateTables1764000000000 } from './createTables.ts';
import { comparisonEntity, deviceEntity, eventEntity, factEntity, walkEntity } from './entities.ts';

/** Any number, the same for every server process: holds off others while one migrates. */
const MIGRATION_LOCK = 7_305_119;

/** Opens the database and brings it up to date; safe from several processes at once. */
export async function openDatabase(url: string): Promise<DataSource> {
  const database = new DataSource({
    type: 'postgres',
    url,
    entities: [comparisonEntity, walkEntity, eventEntity, factEntity, deviceEntity],
    migrations: [CreateTables1764000000000, AddWalkSlot1764100000000, AddDevices1764200000000],
    installExtensions: false,
  });
  await database.initialize();
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
