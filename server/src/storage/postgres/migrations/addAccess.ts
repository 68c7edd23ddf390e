import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Roles of devices, offers to pair, who did what, and comparisons that were set aside. */
export class AddAccess1764600000000 implements MigrationInterface {
  name = 'AddAccess1764600000000';

  async up(runner: QueryRunner): Promise<void> {
    // Devices that were paired before could change comparisons.
    await runner.query("ALTER TABLE device ADD COLUMN role text NOT NULL DEFAULT 'editor'");
    await runner.query('ALTER TABLE device ALTER COLUMN role DROP DEFAULT');
    await runner.query(`
      CREATE TABLE pairing_offer (one integer NOT NULL CHECK (one = 1), secret_hash text NOT NULL,
        code_hash text NOT NULL, role text NOT NULL, until timestamptz NOT NULL,
        CONSTRAINT pairing_offer_key PRIMARY KEY (one))`);
    await runner.query('CREATE TABLE pairing_try (address text NOT NULL, at timestamptz NOT NULL)');
    await runner.query(`
      CREATE TABLE trail (id bigint GENERATED ALWAYS AS IDENTITY, at timestamptz NOT NULL, who text NOT NULL,
        what text NOT NULL, CONSTRAINT trail_key PRIMARY KEY (id))`);
    await runner.query('ALTER TABLE comparison ADD COLUMN aside jsonb');
    await runner.query("CREATE INDEX walk_left_out ON walk_event (walk_id) WHERE kind = 'leftOut'");
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX walk_left_out');
    await runner.query('ALTER TABLE comparison DROP COLUMN aside');
    for (const table of ['trail', 'pairing_try', 'pairing_offer']) await runner.query(`DROP TABLE ${table}`);
    await runner.query('ALTER TABLE device DROP COLUMN role');
  }
}
