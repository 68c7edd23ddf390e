import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Devices paired on the local network. */
export class AddDevices1764200000000 implements MigrationInterface {
  name = 'AddDevices1764200000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      'CREATE TABLE device (id uuid NOT NULL, name text NOT NULL, token_hash text NOT NULL, paired_at ' +
        'timestamptz NOT NULL, seen_at timestamptz NOT NULL, revoked_at timestamptz, CONSTRAINT ' +
        'device_key PRIMARY KEY (id), CONSTRAINT device_token UNIQUE (token_hash))',
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE device');
  }
}
