import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a run of few posts touched, and whether a source is to be read whole again after some. */
export class TouchedPosts1700000000007 implements MigrationInterface {
  readonly name = 'TouchedPosts1700000000007';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE run
        ADD COLUMN revision integer NOT NULL DEFAULT 0,
        ADD COLUMN touched text[];
      ALTER TABLE source ADD COLUMN settles boolean NOT NULL DEFAULT false;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE source DROP COLUMN settles;
      ALTER TABLE run DROP COLUMN revision, DROP COLUMN touched;
    `);
  }
}
