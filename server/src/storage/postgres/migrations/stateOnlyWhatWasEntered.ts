import { setupFromVersion2 } from '@urvek/contract';
import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Unknown is a value: what forms had filled in, and nobody touched, is not stated; a walk may be without a
 * day, and name its outing. Simulated gear has its name.
 */
export class StateOnlyWhatWasEntered1764500000000 implements MigrationInterface {
  name = 'StateOnlyWhatWasEntered1764500000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE walk ADD COLUMN undated boolean, ADD COLUMN outing text');
    const rows = (await runner.query('SELECT id, setup FROM comparison')) as {
      id: string;
      setup: Record<string, unknown>;
    }[];
    for (const { id, setup } of rows)
      await runner.query('UPDATE comparison SET setup = $2::jsonb WHERE id = $1', [
        id,
        JSON.stringify(setupFromVersion2(setup)),
      ]);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE walk DROP COLUMN undated, DROP COLUMN outing');
    await runner.query(`
      UPDATE comparison SET setup = jsonb_set(setup, '{products}', (
        SELECT coalesce(jsonb_agg((p - 'simulatedGear') || jsonb_build_object('standIn', p->'simulatedGear')), '[]')
        FROM jsonb_array_elements(setup->'products') AS p))
    `);
  }
}
