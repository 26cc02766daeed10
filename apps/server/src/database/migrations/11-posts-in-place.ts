import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The last place of a source's posts, and those that were left out, are found without a look at all of them. */
export class PostsInPlace1700000000011 implements MigrationInterface {
  readonly name = 'PostsInPlace1700000000011';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE INDEX post_place ON post (source_id, position);
      CREATE INDEX post_left ON post (source_id) WHERE left_by <> '{}';
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX post_place; DROP INDEX post_left;');
  }
}
