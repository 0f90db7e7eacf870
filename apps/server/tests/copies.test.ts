import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { DataSource } from 'typeorm';
import { openDatabase } from '../src/database/database';

const ROOT = resolve(__dirname, '../../..');
const folder = mkdtempSync(join(tmpdir(), 'velvet-tape-copies-'));
const data = join(folder, 'data');
const bash = (script: string): string =>
  execFileSync('bash', ['-c', `set -euo pipefail; . bin/lib.sh; ${script}`], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, VELVET_TAPE_DATA: data },
    stdio: ['ignore', 'pipe', 'pipe'],
  }).trim();
const said = (script: string): string => {
  try {
    return bash(script);
  } catch (error) {
    return String((error as { stderr: string }).stderr);
  }
};
let url: string;
const whileUp = async <T>(work: (database: DataSource) => Promise<T>): Promise<T> => {
  bash(`folder=$(cluster_folder); start_cluster "$folder" "${port}"; ensure_role "$folder" "${port}" postgres`);
  url = bash(`service_url "$(cluster_folder)" "${port}" postgres`);
  const database = await openDatabase(url);
  try {
    return await work(database);
  } finally {
    await database.destroy();
    bash(`stop_cluster "$(cluster_folder)"`);
  }
};
const port = bash('free_port');
const place = bash('cluster_folder');
afterAll(() => {
  said(`stop_cluster "$(cluster_folder)"`);
  rmSync(folder, { recursive: true, force: true });
  if (place !== data) rmSync(place, { recursive: true, force: true });
});

const all = async (database: DataSource) => ({
  jobs: await database.query('SELECT * FROM jobs ORDER BY id'),
  revisions: await database.query('SELECT * FROM revisions ORDER BY job_id, version'),
  pictures: await database.query('SELECT id, digest, bytes FROM pictures ORDER BY id'),
});
const INSERT = `
  INSERT INTO jobs (id, workspace_id, name, address, units, rooms, area, rough, version, mark, whole_version, schema_version, touched)
    SELECT 'job-' || n, w.id, 'Job ' || n, '', 'metric', 1, 1e6, true, 2, 'm' || n, 1, 8, now() FROM workspaces w, generate_series(1, 20) n;
  INSERT INTO revisions (job_id, version, mark, schema_version, plan, change, touched)
    SELECT 'job-' || n, v, 'm' || n || v, 8, CASE v WHEN 1 THEN '{"a": 0.1}'::jsonb END, CASE v WHEN 2 THEN '{"b": "é🏠"}'::jsonb END, now()
    FROM generate_series(1, 20) n, generate_series(1, 2) v;
  INSERT INTO pictures (workspace_id, id, type, width, height, digest, bytes)
    SELECT w.id, 'pic', 'image/png', 1, 1, sha256('\\x00ff'), '\\x00ff' FROM workspaces w`;

test('everything is copied and put back as it was, by a service without rights over the rest of the database', async () => {
  const file = join(folder, 'all.copy');
  const before = await whileUp(async (database) => {
    const [{ usesuper }] = await database.query('SELECT usesuper FROM pg_user WHERE usename = current_user');
    expect(usesuper).toBe(false);
    for (const statement of INSERT.split(';')) await database.query(statement);
    return all(database);
  });
  bash(`bin/backup '${file}'`);
  expect(existsSync(file)).toBe(true);
  expect(said(`bin/backup '${file}'`)).toMatch(/not overwritten/);
  await whileUp(async (database) => {
    await database.query(`DELETE FROM jobs WHERE id = 'job-3'`);
    await database.query(`UPDATE pictures SET bytes = '\\x11'`);
    // while somebody is connected nothing is put back
    expect(said(`bin/restore '${file}'`)).toMatch(/Stop it first/);
  });
  writeFileSync(join(folder, 'broken.copy'), 'no copy');
  expect(said(`bin/restore '${join(folder, 'broken.copy')}'`)).toMatch(/not a copy/);
  bash(`bin/restore '${file}'`);
  expect(await whileUp(all)).toEqual(before);
  // onto an installation that has nothing yet
  bash(`rm -rf "$(cluster_folder)/data"`);
  bash(`bin/restore '${file}'`);
  expect(await whileUp(all)).toEqual(before);
}, 90_000);
