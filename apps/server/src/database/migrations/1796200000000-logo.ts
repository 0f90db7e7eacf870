import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A workspace has a logo for the sheets of its new jobs. */
export class Logo1796200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE workspaces ADD COLUMN logo jsonb`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE workspaces DROP COLUMN logo`);
  }
}
