import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Who changed a set-up, and when, and what it was then. What stood before anybody kept this is its first. */
export class KeepRevisions1764800000000 implements MigrationInterface {
  name = 'KeepRevisions1764800000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE comparison_revision (comparison_id uuid NOT NULL REFERENCES comparison ON DELETE CASCADE,
        revision integer NOT NULL, title text NOT NULL, question text NOT NULL, setup jsonb NOT NULL,
        who text, at timestamptz NOT NULL,
        CONSTRAINT comparison_revision_key PRIMARY KEY (comparison_id, revision))`);
    await runner.query(`
      INSERT INTO comparison_revision (comparison_id, revision, title, question, setup, at)
      SELECT id, revision, title, question, setup, updated_at FROM comparison`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE comparison_revision');
  }
}
