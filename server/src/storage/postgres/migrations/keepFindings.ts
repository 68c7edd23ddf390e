import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * How far each log has come, beside the walk, so that lists need not look into the logs; and what was
 * worked out from them, which may be thrown away at any time.
 */
export class KeepFindings1764300000000 implements MigrationInterface {
  name = 'KeepFindings1764300000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE walk ADD COLUMN entries integer NOT NULL DEFAULT 0,
        ADD COLUMN finished boolean NOT NULL DEFAULT false;
      UPDATE walk SET entries = counted.n, finished = counted.ended
        FROM (SELECT walk_id, count(*)::integer AS n, bool_or(kind = 'end') AS ended
          FROM walk_event GROUP BY walk_id) counted
        WHERE counted.walk_id = walk.id;
      DROP INDEX walk_by_comparison;
      CREATE INDEX walk_by_start ON walk (comparison_id, started_at, id);
      CREATE INDEX walk_lately ON walk (started_at);
      CREATE TABLE walk_finding (
        walk_id uuid NOT NULL, key text NOT NULL, finding text NOT NULL,
        CONSTRAINT walk_finding_key PRIMARY KEY (walk_id),
        CONSTRAINT finding_walk FOREIGN KEY (walk_id) REFERENCES walk (id) ON DELETE CASCADE
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE walk_finding;
      DROP INDEX walk_by_start; DROP INDEX walk_lately;
      CREATE INDEX walk_by_comparison ON walk (comparison_id);
      ALTER TABLE walk DROP COLUMN entries, DROP COLUMN finished;
    `);
  }
}
