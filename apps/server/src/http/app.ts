import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import cors from 'cors';
import express, { type Express } from 'express';
import packed from 'express-static-gzip';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { DataSource } from 'typeorm';
import { entryRoutes, onlyWhoMayComeIn, ownName } from '../entry/entry';
import { Key } from '../entry/key';
import { JobFiles } from '../jobs/job-files';
import { jobsRoutes } from '../jobs/jobs.routes';
import { JobsService } from '../jobs/jobs.service';
import { keptTypesRoutes } from '../opening-types/kept-types.routes';
import { Pictures } from '../pictures/pictures';
import { picturesRoutes } from '../pictures/pictures.routes';
import type { Work } from '../work/pool';
import { logoRoutes } from '../workspaces/logo.routes';
import { DEFAULT_WORKSPACE } from '../workspaces/workspace.entity';
import { HttpError, answerErrors, loggedError, noSuchPage } from './errors';
import { openApiDocument } from './openapi';
import { wellBeing } from './well-being';

export interface AppOptions {
  readonly database: DataSource;
  readonly work: Work;
  readonly log: Logger;
  /** What lets other machines in; without one nobody is but who is on this machine. */
  readonly key?: Key;
  /** Names this machine has besides its own. */
  readonly names?: readonly string[];
  /** Folder of the built client; without one only the service is there. */
  readonly client?: string;
  /** Where the client is served from while developing, when that is not here. */
  readonly clientOrigin?: string;
  /** Requests a minute from one address; more are asked to wait. */
  readonly mostRequests?: number;
}

/** The whole service: `/api`, `/healthz`, the OpenAPI document, and the client. */
export function createApp({
  database,
  work,
  log,
  key = Key.unknown(),
  names,
  client,
  clientOrigin,
  mostRequests = 1200,
}: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    pinoHttp({
      logger: log,
      autoLogging: { ignore: (request) => !request.url?.startsWith('/api') },
      serializers: { err: loggedError },
    }),
  );
  app.use(helmet({ contentSecurityPolicy: { directives: CONTENT }, strictTransportSecurity: false }));

  app.use(ownName(names));
  app.get('/healthz', wellBeing(database));
  app.use('/enter', entryRoutes(key));

  const api = express.Router();
  api.use(compression());
  if (clientOrigin) api.use(cors({ origin: clientOrigin }));
  api.use(onlyWhoMayComeIn(key));
  api.use(
    rateLimit({
      windowMs: 60_000,
      limit: mostRequests,
      standardHeaders: true,
      legacyHeaders: false,
      handler: () => {
        throw new HttpError(429, 'too-many', 'Too many requests. Wait a minute.');
      },
    }),
  );
  api.use((_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  api.get('/openapi.json', (_request, response) => {
    response.json(openApiDocument());
  });
  const jobs = new JobsService(database, work, DEFAULT_WORKSPACE);
  const pictures = new Pictures(database, work, DEFAULT_WORKSPACE);
  api.use('/jobs', jobsRoutes(jobs, new JobFiles(database, work, jobs, pictures)));
  api.use('/pictures', picturesRoutes(pictures));
  api.use('/opening-types', keptTypesRoutes(database, DEFAULT_WORKSPACE));
  api.use('/logo', logoRoutes(database, DEFAULT_WORKSPACE));
  api.use(noSuchPage);
  app.use('/api', api);

  if (client && existsSync(join(client, 'index.html'))) serveClient(app, client);
  app.use(noSuchPage);
  app.use(answerErrors);
  return app;
}

/** Scripts and styles come from here only; react-native-web writes its styles into the page. */
const CONTENT = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  fontSrc: ["'self'", 'data:'],
  connectSrc: ["'self'"],
  workerSrc: ["'self'", 'blob:'],
  upgradeInsecureRequests: null,
};

function serveClient(app: Express, client: string): void {
  const index = join(client, 'index.html');
  // files come packed from the build
  app.use(
    packed(client, {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: {
        setHeaders: (response, path) => {
          const hashed = /[.-][0-9a-f]{32}\./.test(path);
          response.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
        },
      },
    }),
  );
  app.get('/*path', (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(index);
  });
}
