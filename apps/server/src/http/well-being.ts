import type { RequestHandler } from 'express';
import type { DataSource } from 'typeorm';

/** The database is asked again after so long, ms. */
const ASK_AGAIN = 2_000;
/** Whoever asks waits so long for its answer, ms. */
const PATIENCE = 40;

/** Is the service well? Answers at once, also when the database is slow: then with what was last known of it. */
export function wellBeing(database: DataSource): RequestHandler {
  let well = true;
  let asked = 0;
  let asking: Promise<void> | null = null;

  const ask = () =>
    database.query('SELECT 1').then(
      () => void (well = true),
      () => void (well = false),
    );
  return async (_request, response) => {
    if (!asking && Date.now() - asked > ASK_AGAIN) {
      asked = Date.now();
      asking = ask().finally(() => (asking = null));
    }
    if (asking) await Promise.race([asking, new Promise((done) => setTimeout(done, PATIENCE))]);
    response.status(well ? 200 : 503).json({ ok: well });
  };
}
