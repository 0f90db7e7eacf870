import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How far a job has come, and since when it lies in the bin. */
export class Standing1796000000000 implements MigrationInterface {
  name = 'Standing1796000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE jobs ADD COLUMN state text NOT NULL DEFAULT 'measuring', ADD COLUMN binned timestamptz`,
    );
    await runner.query(`CREATE INDEX jobs_binned_idx ON jobs (binned) WHERE binned IS NOT NULL`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP INDEX jobs_binned_idx`);
    await runner.query(`ALTER TABLE jobs DROP COLUMN state, DROP COLUMN binned`);
  }
}
