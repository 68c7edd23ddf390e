import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The place in the plan that a walk fills. */
export class AddWalkSlot1764100000000 implements MigrationInterface {
  name = 'AddWalkSlot1764100000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE walk ADD COLUMN slot jsonb');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE walk DROP COLUMN slot');
  }
}
