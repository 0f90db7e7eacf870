import { resolve } from 'node:path';
import { pino } from 'pino';
import { openDatabase } from './database/database';
import { seedDemo } from './demo/seed';
import { Key } from './entry/key';
import { createApp } from './http/app';
import { loggedError } from './http/errors';
import { drawMissing } from './jobs/draw-missing';
import { Revisions } from './jobs/revisions';
import { emptyBin } from './jobs/jobs.service';
import { thinOut } from './jobs/thinning';
import { Work } from './work/pool';
import { DEFAULT_WORKSPACE } from './workspaces/workspace.entity';

const {
  DATABASE_URL,
  PORT = '4180',
  HOST = '127.0.0.1',
  KEY_FILE,
  NAMES,
  DEMO,
  ENDS_WITH,
  MOST_REQUESTS,
  CLIENT_DIST,
  CLIENT_ORIGIN,
  LOG_LEVEL = 'info',
} = process.env;
const log = pino({ level: LOG_LEVEL, serializers: { err: loggedError } });

if (!DATABASE_URL) {
  log.fatal('DATABASE_URL is not set. Start the application with bin/start.');
  process.exit(1);
}

const database = await openDatabase(DATABASE_URL);
const work = new Work();
await work.ready();
if (DEMO !== 'no') await seedDemo(database, work);
const app = createApp({
  database,
  work,
  log,
  ...(KEY_FILE && { key: Key.inFile(KEY_FILE) }),
  ...(NAMES && { names: NAMES.split(',') }),
  ...(MOST_REQUESTS && { mostRequests: Number(MOST_REQUESTS) }),
  ...(CLIENT_DIST && { client: resolve(CLIENT_DIST) }),
  ...(CLIENT_ORIGIN && { clientOrigin: CLIENT_ORIGIN }),
});

const server = app.listen(Number(PORT), HOST, () => log.info(`listening on port ${PORT}`));
// a phone in a cellar is slow, but not for ever
server.requestTimeout = 180_000;
server.headersTimeout = 15_000;
server.on('error', (error: NodeJS.ErrnoException) => {
  log.fatal(error.code === 'EADDRINUSE' ? `Port ${PORT} is taken. Choose another: PORT=4181 bin/start` : error.message);
  process.exit(1);
});

/** Old revisions are thinned out a while after the start, and then so often, ms. */
const THIN_FIRST = 60_000;
const THIN_AGAIN = 6 * 3_600_000;
const means = { work, revisions: new Revisions(database, DEFAULT_WORKSPACE) };
const thin = () =>
  void thinOut(database, means).then(
    (gone) => gone > 0 && log.info(`${gone} old revisions were thinned out`),
    (error: unknown) => log.error({ err: error }, 'old revisions could not be thinned out'),
  );
/** What has been in the bin for its time goes at the same hours. */
const empty = () =>
  void emptyBin(database).then(
    (gone) => gone > 0 && log.info(`${gone} jobs went from the bin`),
    (error: unknown) => log.error({ err: error }, 'the bin could not be emptied'),
  );
/** Jobs from before the list had pictures get theirs. */
const draw = () =>
  void drawMissing(database, means).then(
    (drawn) => drawn > 0 && log.info(`${drawn} pictures of plans were drawn`),
    (error: unknown) => log.error({ err: error }, 'pictures of plans could not be drawn'),
  );
setTimeout(draw, THIN_FIRST / 6).unref();
setTimeout(empty, THIN_FIRST).unref();
setInterval(empty, THIN_AGAIN).unref();
setTimeout(thin, THIN_FIRST).unref();
setInterval(thin, THIN_AGAIN).unref();

const stop = () => {
  server.close(() => void Promise.all([database.destroy(), work.close()]).then(() => process.exit(0)));
  server.closeAllConnections();
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
// whoever started it with a pipe to it takes it along when it ends, however it does
if (ENDS_WITH === 'stdin') process.stdin.resume().on('end', stop);
