import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Plans are kept in revisions only, most of them as what changed since the one before; every revision has a mark of its own, and may have a name; pictures have a digest. */
export class Changes1795901000000 implements MigrationInterface {
  name = 'Changes1795901000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE revisions
        ALTER COLUMN plan DROP NOT NULL,
        ADD COLUMN change jsonb,
        ADD COLUMN name text,
        ADD COLUMN mark text`);
    await runner.query(`
      INSERT INTO revisions (job_id, version, schema_version, plan, touched)
      SELECT id, version, schema_version, plan, touched FROM jobs ON CONFLICT DO NOTHING`);
    await runner.query(`UPDATE revisions SET mark = gen_random_uuid()::text`);
    await runner.query(`ALTER TABLE revisions ALTER COLUMN mark SET NOT NULL`);
    await runner.query(`ALTER TABLE jobs ADD COLUMN mark text, ADD COLUMN whole_version int`);
    await runner.query(`
      UPDATE jobs SET whole_version = version,
        mark = (SELECT mark FROM revisions WHERE job_id = jobs.id AND version = jobs.version)`);
    await runner.query(`
      ALTER TABLE jobs
        ALTER COLUMN mark SET NOT NULL,
        ALTER COLUMN whole_version SET NOT NULL,
        DROP COLUMN plan`);
    await runner.query(`DROP INDEX jobs_workspace_idx`);
    await runner.query(`CREATE INDEX jobs_list_idx ON jobs (workspace_id, touched, id)`);
    await runner.query(`ALTER TABLE pictures ADD COLUMN digest bytea`);
    await runner.query(`UPDATE pictures SET digest = sha256(bytes)`);
    await runner.query(`ALTER TABLE pictures ALTER COLUMN digest SET NOT NULL`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE pictures DROP COLUMN digest`);
    await runner.query(`DROP INDEX jobs_list_idx`);
    await runner.query(`CREATE INDEX jobs_workspace_idx ON jobs (workspace_id)`);
    await runner.query(`ALTER TABLE jobs ADD COLUMN plan jsonb`);
    await runner.query(`DELETE FROM revisions WHERE plan IS NULL`);
    await runner.query(`
      UPDATE jobs SET plan = (
        SELECT plan FROM revisions WHERE job_id = jobs.id ORDER BY version DESC LIMIT 1)`);
    await runner.query(`ALTER TABLE jobs DROP COLUMN mark, DROP COLUMN whole_version, ALTER COLUMN plan SET NOT NULL`);
    await runner.query(`
      ALTER TABLE revisions DROP COLUMN change, DROP COLUMN name, DROP COLUMN mark,
        ALTER COLUMN plan SET NOT NULL`);
  }
}
