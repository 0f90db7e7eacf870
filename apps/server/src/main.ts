import { resolve } from 'node:path';
import { pino } from 'pino';
import { openDatabase } from './database/database';
import { seedDemo } from './demo/seed';
import { Key } from './entry/key';
import { createApp } from './http/app';
import { Work } from './work/pool';

const {
  DATABASE_URL,
  PORT = '4180',
  HOST = '127.0.0.1',
  KEY_FILE,
  NAMES,
  CLIENT_DIST,
  CLIENT_ORIGIN,
  LOG_LEVEL = 'info',
} = process.env;
const log = pino({ level: LOG_LEVEL });

if (!DATABASE_URL) {
  log.fatal('DATABASE_URL is not set. Start the application with bin/start.');
  process.exit(1);
}

const database = await openDatabase(DATABASE_URL);
const work = new Work();
await seedDemo(database, work);
const app = createApp({
  database,
  work,
  log,
  ...(KEY_FILE && { key: Key.inFile(KEY_FILE) }),
  ...(NAMES && { names: NAMES.split(',') }),
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

const stop = () => {
  server.close(() => void Promise.all([database.destroy(), work.close()]).then(() => process.exit(0)));
  server.closeAllConnections();
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
