import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Sources that are fetched from elsewhere, how files are read, and runs that failed or wait for a person. */
export class LiveSources1700000000010 implements MigrationInterface {
  readonly name = 'LiveSources1700000000010';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE source ADD COLUMN options jsonb NOT NULL DEFAULT '{}';
      ALTER TABLE run ADD COLUMN state text NOT NULL DEFAULT 'done', ADD COLUMN reason text;
      CREATE TABLE live (
        source_id uuid CONSTRAINT live_pkey PRIMARY KEY CONSTRAINT live_source_fkey REFERENCES source ON DELETE CASCADE,
        feeds jsonb NOT NULL,
        every integer NOT NULL,
        format text,
        options jsonb NOT NULL DEFAULT '{}',
        sealed bytea,
        header_names text[] NOT NULL DEFAULT '{}',
        paging jsonb,
        joins jsonb,
        found jsonb NOT NULL DEFAULT '[]',
        pages jsonb NOT NULL DEFAULT '[]',
        ping text NOT NULL,
        hub jsonb,
        next_at timestamptz,
        claimed_at timestamptz,
        checked_at timestamptz,
        failures integer NOT NULL DEFAULT 0,
        problem jsonb,
        held jsonb
      );
      CREATE INDEX live_next ON live (next_at);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE live;
      ALTER TABLE run DROP COLUMN state, DROP COLUMN reason;
      ALTER TABLE source DROP COLUMN options;
    `);
  }
}
