import type { MigrationInterface, QueryRunner } from 'typeorm';

/** When a released lens was last asked for. */
export class AskedLenses1700000000009 implements MigrationInterface {
  readonly name = 'AskedLenses1700000000009';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE lens ADD COLUMN asked_at timestamptz');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE lens DROP COLUMN asked_at');
  }
}
