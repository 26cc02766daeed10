import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Indexes as bytes, so that a server that starts need not build them. Losing any loses nothing but time. */
export class Snapshots1700000000002 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE snapshot (
        source_id uuid NOT NULL,
        revision integer NOT NULL,
        bytes bytea NOT NULL,
        made_at timestamptz NOT NULL DEFAULT now(),
        CONSTRAINT snapshot_pkey PRIMARY KEY (source_id),
        CONSTRAINT snapshot_source_fkey FOREIGN KEY (source_id) REFERENCES source (id) ON DELETE CASCADE
      );
      ALTER TABLE snapshot ALTER COLUMN bytes SET STORAGE EXTERNAL;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE snapshot');
  }
}
