import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Addresses that someone relies on, and what a restored release took the place of. */
export class SavedAddresses1700000000008 implements MigrationInterface {
  readonly name = 'SavedAddresses1700000000008';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE saved_address (
        id uuid CONSTRAINT saved_address_pkey PRIMARY KEY DEFAULT gen_random_uuid(),
        lens_id uuid NOT NULL CONSTRAINT saved_address_lens_fkey REFERENCES lens (id) ON DELETE CASCADE,
        position integer NOT NULL,
        folder text NOT NULL DEFAULT '',
        name text NOT NULL DEFAULT '',
        address text NOT NULL,
        expect jsonb NOT NULL,
        had text[],
        created_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE INDEX saved_address_lens ON saved_address (lens_id);
      ALTER TABLE lens ADD COLUMN before jsonb;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE lens DROP COLUMN before;
      DROP TABLE saved_address;
    `);
  }
}
