import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Which paired device may read which walk, which walks were removed for good (devices still hold those), and where
 * walks begin: what they were walked with is asked for every list of comparisons.
 */
export class AddWalkReaders1764700000000 implements MigrationInterface {
  name = 'AddWalkReaders1764700000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE walk_reader (device_id uuid NOT NULL REFERENCES device ON DELETE CASCADE,
        walk_id uuid NOT NULL REFERENCES walk ON DELETE CASCADE,
        CONSTRAINT walk_reader_key PRIMARY KEY (device_id, walk_id))`);
    await runner.query(`
      CREATE TABLE walk_removed (id uuid NOT NULL, at timestamptz NOT NULL,
        CONSTRAINT walk_removed_key PRIMARY KEY (id))`);
    await runner.query("CREATE INDEX walk_begun ON walk_event (walk_id) WHERE kind = 'begin'");
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX walk_begun');
    for (const table of ['walk_removed', 'walk_reader']) await runner.query(`DROP TABLE ${table}`);
  }
}
