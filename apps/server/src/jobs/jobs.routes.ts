import { jobId, writePlanSchema } from '@velvet-tape/contract';
import { Router } from 'express';
import { z } from 'zod';
import { validated } from '../http/validate';
import type { JobsService } from './jobs.service';

const revisionNumber = z.coerce.number().int().min(1);

export function jobsRoutes(jobs: JobsService): Router {
  const router = Router();
  const idOf = (params: { id?: string }) => validated(jobId, params.id);

  router.get('/', async (_request, response) => {
    response.json({ jobs: await jobs.list() });
  });
  router.get('/:id/plan', async (request, response) => {
    response.json(await jobs.read(idOf(request.params)));
  });
  router.get('/:id/version', async (request, response) => {
    response.json({ version: await jobs.version(idOf(request.params)) });
  });
  router.get('/:id/readable', async (request, response) => {
    response.json(await jobs.readable(idOf(request.params)));
  });
  router.put('/:id/plan', async (request, response) => {
    const id = idOf(request.params);
    const { version, plan } = validated(writePlanSchema, request.body);
    response.status(version === 0 ? 201 : 200).json(await jobs.write(id, version, plan));
  });
  router.get('/:id/revisions', async (request, response) => {
    response.json({ revisions: await jobs.revisions(idOf(request.params)) });
  });
  router.get('/:id/revisions/:version', async (request, response) => {
    response.json(await jobs.revision(idOf(request.params), validated(revisionNumber, request.params.version)));
  });
  return router;
}
