import {
  LARGEST_BODY,
  LARGEST_JOB_FILE,
  changeQuerySchema,
  jobId,
  jobListQuerySchema,
  nameRevisionSchema,
  historyQuerySchema,
  revisionNumber,
  standingSchema,
} from '@velvet-tape/contract';
import { type Request, Router, json, raw } from 'express';
import { HttpError } from '../http/errors';
import { validated } from '../http/validate';
import type { JobFiles } from './job-files';
import type { JobsService } from './jobs.service';

export function jobsRoutes(jobs: JobsService, files: JobFiles): Router {
  const router = Router();
  const idOf = (params: { id?: string }) => validated(jobId, params.id);
  // a plan is read by the threads that work on plans, not here
  const asBytes = raw({ type: 'application/json', limit: LARGEST_BODY });
  const bytes = ({ body }: Request): Buffer => {
    if (Buffer.isBuffer(body)) return body;
    throw new HttpError(400, 'bad-request', 'A plan is sent as JSON.');
  };

  router.get('/', async (request, response) => {
    response.json(await jobs.list(validated(jobListQuerySchema, { ...request.query })));
  });
  router.get('/:id/plan', async (request, response) => {
    response.type('json').send(await jobs.read(idOf(request.params)));
  });
  router.get('/:id/version', async (request, response) => {
    response.json(await jobs.version(idOf(request.params)));
  });
  router.get('/:id/readable', async (request, response) => {
    response.type('json').send(await jobs.readable(idOf(request.params)));
  });
  router.get('/:id/file', async (request, response) => {
    response.type('application/zip').send(Buffer.from(await files.out(idOf(request.params))));
  });
  router.post('/file', raw({ type: 'application/zip', limit: LARGEST_JOB_FILE }), async (request, response) => {
    if (!Buffer.isBuffer(request.body)) throw new HttpError(400, 'bad-request', 'A job file is sent as a ZIP.');
    response.status(201).json(await files.takeIn(request.body));
  });
  router.put('/:id/plan', asBytes, async (request, response) => {
    const written = await jobs.write(idOf(request.params), bytes(request));
    response.status(written.version === 1 ? 201 : 200).json(written);
  });
  router.patch('/:id/plan', asBytes, async (request, response) => {
    const from = validated(changeQuerySchema, { ...request.query });
    response.json(await jobs.change(idOf(request.params), from, bytes(request)));
  });
  router.put('/:id/standing', json(), async (request, response) => {
    await jobs.stand(idOf(request.params), validated(standingSchema, request.body));
    response.json({ ok: true });
  });
  router.get('/:id/revisions', async (request, response) => {
    response.json({ revisions: await jobs.revisions(idOf(request.params)) });
  });
  router.get('/:id/history', async (request, response) => {
    response.json(await jobs.history(idOf(request.params), validated(historyQuerySchema, { ...request.query })));
  });
  router.get('/:id/revisions/:version', async (request, response) => {
    const version = validated(revisionNumber, request.params.version);
    response.type('json').send(await jobs.revision(idOf(request.params), version));
  });
  router.put('/:id/revisions/:version/name', json(), async (request, response) => {
    const version = validated(revisionNumber, request.params.version);
    const { name } = validated(nameRevisionSchema, request.body);
    await jobs.nameRevision(idOf(request.params), version, name);
    response.json({ ok: true });
  });
  return router;
}
