import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Indexes as bytes in pieces: sent as one, a large one would hold up everything else for as long as it is copied. Those that
 * were kept are let go of; each is made anew.
 */
export class SnapshotPieces1700000000003 implements MigrationInterface {
  readonly name = 'SnapshotPieces1700000000003';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DELETE FROM snapshot;
      ALTER TABLE snapshot DROP COLUMN bytes, ADD COLUMN size integer NOT NULL;
      CREATE TABLE snapshot_piece (
        source_id uuid NOT NULL,
        n integer NOT NULL,
        bytes bytea NOT NULL,
        CONSTRAINT snapshot_piece_pkey PRIMARY KEY (source_id, n),
        CONSTRAINT snapshot_piece_snapshot_fkey FOREIGN KEY (source_id) REFERENCES snapshot (source_id) ON DELETE CASCADE
      );
      ALTER TABLE snapshot_piece ALTER COLUMN bytes SET STORAGE EXTERNAL;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE snapshot_piece;
      DELETE FROM snapshot;
      ALTER TABLE snapshot DROP COLUMN size, ADD COLUMN bytes bytea NOT NULL;
    `);
  }
}
