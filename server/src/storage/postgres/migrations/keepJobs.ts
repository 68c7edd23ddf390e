import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Long work that was asked for, how far it has come, and what it made. The queue itself keeps its own tables.
 */
export class KeepJobs1764400000000 implements MigrationInterface {
  name = 'KeepJobs1764400000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE job (
        id uuid NOT NULL, asked jsonb NOT NULL, state text NOT NULL, progress real NOT NULL, attempts integer NOT NULL,
        trouble text, file_name text, file_type text, file_text text, asked_at timestamptz NOT NULL,
        CONSTRAINT job_key PRIMARY KEY (id)
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE job');
  }
}
