import type { MigrationInterface, QueryRunner } from 'typeorm';

export class CreateTables1764000000000 implements MigrationInterface {
  name = 'CreateTables1764000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE comparison (
        id uuid NOT NULL, title text NOT NULL, question text NOT NULL, demo boolean NOT NULL, setup jsonb NOT NULL,
        revision integer NOT NULL, created_at timestamptz NOT NULL, updated_at timestamptz NOT NULL,
        CONSTRAINT comparison_key PRIMARY KEY (id)
      );
      CREATE TABLE walk (
        id uuid NOT NULL, comparison_id uuid NOT NULL, product_id text NOT NULL, rig_id text NOT NULL,
        path_id text NOT NULL,
        started_at timestamptz NOT NULL,
        CONSTRAINT walk_key PRIMARY KEY (id),
        CONSTRAINT walk_comparison FOREIGN KEY (comparison_id) REFERENCES comparison (id)
      );
      CREATE INDEX walk_by_comparison ON walk (comparison_id);
      CREATE TABLE walk_event (
        walk_id uuid NOT NULL, device_id uuid NOT NULL, seq integer NOT NULL, version integer NOT NULL,
        kind text NOT NULL,
        time jsonb NOT NULL, body jsonb NOT NULL, received_at timestamptz NOT NULL,
        CONSTRAINT walk_event_key PRIMARY KEY (walk_id, device_id, seq),
        CONSTRAINT event_walk FOREIGN KEY (walk_id) REFERENCES walk (id)
      );
      CREATE TABLE fact (name text NOT NULL, value text NOT NULL, CONSTRAINT fact_key PRIMARY KEY (name));
      -- The log is append-only, whoever writes to the database.
      CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
        BEGIN RAISE EXCEPTION 'the log of a walk is append-only'; END $$;
      CREATE TRIGGER walk_event_append_only BEFORE UPDATE OR DELETE ON walk_event FOR EACH ROW
        EXECUTE FUNCTION refuse_change();
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE walk_event, walk, comparison, fact; DROP FUNCTION refuse_change();');
  }
}
