import type { MigrationInterface, QueryRunner } from 'typeorm';

export class KeptTypes1795600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE kept_types (
        workspace_id text NOT NULL CONSTRAINT kept_types_workspace_fkey REFERENCES workspaces (id),
        id text NOT NULL,
        name text NOT NULL,
        spec jsonb NOT NULL,
        created timestamptz NOT NULL DEFAULT now(),
        CONSTRAINT kept_types_pkey PRIMARY KEY (workspace_id, id)
      )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE kept_types`);
  }
}
