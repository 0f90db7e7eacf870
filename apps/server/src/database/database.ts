import 'reflect-metadata';
import { DataSource } from 'typeorm';
import { Job, Revision } from '../jobs/job.entity';
import { KeptOpeningType } from '../opening-types/kept-type.entity';
import { StoredPicture } from '../pictures/picture.entity';
import { Workspace } from '../workspaces/workspace.entity';
import { FirstTables1779900000000 } from './migrations/1779900000000-first-tables';
import { KeptTypes1795600000000 } from './migrations/1795600000000-kept-types';
import { Pictures1795700000000 } from './migrations/1795700000000-pictures';
import { Changes1795901000000 } from './migrations/1795901000000-changes';
import { Standing1796000000000 } from './migrations/1796000000000-standing';
import { Thumbnails1796100000000 } from './migrations/1796100000000-thumbnails';
import { Logo1796200000000 } from './migrations/1796200000000-logo';

/** A connection to the database at `url`, with tables brought up to date. Servers that start together wait for each other. */
export async function openDatabase(url: string): Promise<DataSource> {
  const database = new DataSource({
    type: 'postgres',
    url,
    entities: [Workspace, Job, Revision, KeptOpeningType, StoredPicture],
    migrations: [
      FirstTables1779900000000,
      KeptTypes1795600000000,
      Pictures1795700000000,
      Changes1795901000000,
      Standing1796000000000,
      Thumbnails1796100000000,
      Logo1796200000000,
    ],
    poolSize: 10,
  });
  await database.initialize();
  await migrate(database);
  return database;
}

/** Any number will do, as long as every server takes the same one. */
const MIGRATING = 712_040_001;

async function migrate(database: DataSource): Promise<void> {
  const runner = database.createQueryRunner();
  await runner.connect();
  try {
    await runner.query('SELECT pg_advisory_lock($1)', [MIGRATING]);
    await database.runMigrations({ transaction: 'each' });
  } finally {
    await runner.query('SELECT pg_advisory_unlock($1)', [MIGRATING]);
    await runner.release();
  }
}
