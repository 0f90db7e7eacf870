import type { DataSource } from 'typeorm';
import type { Columns, Stored, StoredStep } from '../work/plan-tasks';

/** A plan that is to be stored as the version after `from`: whole, or as what it changes. */
export interface NewRevision {
  readonly id: string;
  readonly from: number;
  readonly mark: string;
  readonly columns: Columns;
  readonly whole: string | null;
  readonly patch: string | null;
  readonly touched: Date;
}

interface Told {
  readonly version: number;
  readonly touched: Date;
  readonly name: string | null;
}

/** Plans as they lie in the database: JSON texts, which are not taken apart on the thread that answers requests. */
export class Revisions {
  constructor(
    private readonly database: DataSource,
    private readonly workspaceId: string,
  ) {}

  /** Stores a revision, and what the list shows, in one statement; false, with nothing changed, when `from` is not the newest version. */
  async add({ id, from, mark, columns, whole, patch, touched }: NewRevision): Promise<boolean> {
    const { name, address, units, rooms, area, rough, schemaVersion, picture } = columns;
    const job =
      from === 0
        ? `INSERT INTO jobs (id, workspace_id, version, mark, whole_version, name, address, units, rooms, area, rough, schema_version, touched, picture)
           VALUES ($1, $2, $3 + 1, $4, 1, $5, $6, $7, $8, $9, $10, $11, $12, $15) ON CONFLICT DO NOTHING RETURNING id`
        : `UPDATE jobs SET version = $3 + 1, mark = $4, whole_version = CASE WHEN $13::text IS NULL THEN whole_version ELSE $3 + 1 END,
             name = $5, address = $6, units = $7, rooms = $8, area = $9, rough = $10, schema_version = $11, touched = $12,
             picture = $15, binned = NULL
           WHERE id = $1 AND workspace_id = $2 AND version = $3 RETURNING id`;
    const rows: unknown[] = await this.database.query(
      `WITH job AS (${job})
       INSERT INTO revisions (job_id, version, mark, schema_version, plan, change, touched)
       SELECT id, $3::int + 1, $4, $11::int, $13::jsonb, $14::jsonb, $12::timestamptz FROM job RETURNING version`,
      [
        id,
        this.workspaceId,
        from,
        mark,
        name,
        address,
        units,
        rooms,
        area,
        rough,
        schemaVersion,
        touched,
        whole,
        whole === null ? patch : null,
        picture,
      ],
    );
    return rows.length === 1;
  }

  /** The newest versions up to `newest`, the last first; so many. */
  async before(id: string, newest: number, limit: number): Promise<Told[]> {
    const rows: Told[] = await this.database.query(
      `SELECT version, touched, name FROM revisions WHERE job_id = $1 AND version <= $2 ORDER BY version DESC LIMIT $3`,
      [id, newest, limit],
    );
    return rows;
  }

  /** What is stored from the last whole plan before `from` on, up to `to`, the oldest first. */
  async between(id: string, from: number, to: number): Promise<StoredStep[]> {
    const rows: StoredStep[] = await this.database.query(
      `SELECT version, plan::text AS whole, change::text AS patch FROM revisions
       WHERE job_id = $1 AND version <= $3 AND version >= coalesce(
         (SELECT max(version) FROM revisions WHERE job_id = $1 AND version < $2 AND plan IS NOT NULL), $2)
       ORDER BY version`,
      [id, from, to],
    );
    return rows;
  }

  /** What is stored of the plan of a version, from the last whole one on; null where that is not kept any more. */
  async stored(id: string, version: number): Promise<Stored | null> {
    const rows: { version: number; whole: string | null; patch: string | null }[] = await this.database.query(
      `SELECT version, plan::text AS whole, change::text AS patch FROM revisions
       WHERE job_id = $1 AND version BETWEEN
         (SELECT max(version) FROM revisions WHERE job_id = $1 AND version <= $2 AND plan IS NOT NULL) AND $2
       ORDER BY version`,
      [id, version],
    );
    const [first, ...changes] = rows;
    if (!first?.whole || rows.at(-1)!.version !== version || rows.length !== version - first.version + 1) return null;
    return { whole: first.whole, patches: changes.map(({ patch }) => patch!) };
  }
}
