import type { DataSource } from 'typeorm';
import type { Work } from '../work/pool';
import type { Revisions } from './revisions';

/** Draws the pictures of jobs that have rooms and none, one after the other; gives back how many. A job that is saved meanwhile has its own. */
export async function drawMissing(
  database: DataSource,
  { work, revisions }: { work: Work; revisions: Revisions },
): Promise<number> {
  const bare: { id: string; version: number }[] = await database.query(
    'SELECT id, version FROM jobs WHERE picture IS NULL AND rooms > 0 ORDER BY touched DESC',
  );
  let drawn = 0;
  for (const { id, version } of bare) {
    const stored = await revisions.stored(id, version);
    const picture = stored && (await work.run(id, 'pictureOf', stored).catch(() => null));
    if (!picture) continue;
    await database.query('UPDATE jobs SET picture = $3 WHERE id = $1 AND version = $2', [id, version, picture]);
    drawn += 1;
  }
  return drawn;
}
