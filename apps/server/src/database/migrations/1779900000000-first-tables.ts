import type { MigrationInterface, QueryRunner } from 'typeorm';

export class FirstTables1779900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE workspaces (
        id text CONSTRAINT workspaces_pkey PRIMARY KEY,
        name text NOT NULL,
        created timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`
      CREATE TABLE jobs (
        id text CONSTRAINT jobs_pkey PRIMARY KEY,
        workspace_id text NOT NULL CONSTRAINT jobs_workspace_fkey REFERENCES workspaces (id),
        name text NOT NULL,
        address text NOT NULL,
        units text NOT NULL,
        rooms integer NOT NULL,
        area double precision NOT NULL,
        rough boolean NOT NULL,
        version integer NOT NULL,
        schema_version integer NOT NULL,
        plan jsonb NOT NULL,
        created timestamptz NOT NULL DEFAULT now(),
        touched timestamptz NOT NULL
      )`);
    await runner.query(`CREATE INDEX jobs_workspace_idx ON jobs (workspace_id)`);
    await runner.query(`
      CREATE TABLE revisions (
        job_id text NOT NULL CONSTRAINT revisions_job_fkey REFERENCES jobs (id) ON DELETE CASCADE,
        version integer NOT NULL,
        schema_version integer NOT NULL,
        plan jsonb NOT NULL,
        touched timestamptz NOT NULL,
        CONSTRAINT revisions_pkey PRIMARY KEY (job_id, version)
      )`);
    await runner.query(`INSERT INTO workspaces (id, name) VALUES ('home', 'Home')`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE revisions`);
    await runner.query(`DROP TABLE jobs`);
    await runner.query(`DROP TABLE workspaces`);
  }
}
