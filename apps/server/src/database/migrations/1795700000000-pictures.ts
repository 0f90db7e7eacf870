import type { MigrationInterface, QueryRunner } from 'typeorm';

export class Pictures1795700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE pictures (
        workspace_id text NOT NULL CONSTRAINT pictures_workspace_fkey REFERENCES workspaces (id),
        id text NOT NULL,
        type text NOT NULL,
        width integer NOT NULL,
        height integer NOT NULL,
        bytes bytea NOT NULL,
        created timestamptz NOT NULL DEFAULT now(),
        CONSTRAINT pictures_pkey PRIMARY KEY (workspace_id, id)
      )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE pictures`);
  }
}
