import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What the list shows of a plan. Those of jobs that are there already are drawn after the start. */
export class Thumbnails1796100000000 implements MigrationInterface {
  name = 'Thumbnails1796100000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE jobs ADD COLUMN picture jsonb`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE jobs DROP COLUMN picture`);
  }
}
