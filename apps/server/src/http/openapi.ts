import { OpenAPIRegistry, OpenApiGeneratorV31, extendZodWithOpenApi } from '@asteasolutions/zod-to-openapi';
import {
  changeQuerySchema,
  errorSchema,
  jobId,
  jobListQuerySchema,
  jobListSchema,
  keepTypeSchema,
  keptTypeId,
  keptTypeListSchema,
  keptTypeSchema,
  logoSchema,
  nameRevisionSchema,
  standingSchema,
  PICTURE_TYPES,
  pictureId,
  pictureQuerySchema,
  pictureSchema,
  historyQuerySchema,
  historySchema,
  revisionListSchema,
  storedPlanSchema,
  takenInSchema,
  versionSchema,
  writePlanSchema,
  writtenSchema,
} from '@velvet-tape/contract';
import { patchSchema } from '@velvet-tape/core';
import { z } from 'zod';

extendZodWithOpenApi(z);

/** The OpenAPI document of the service, generated from the contract. */
export function openApiDocument() {
  const registry = new OpenAPIRegistry();
  const json = (schema: z.ZodType, description: string) => ({
    description,
    content: { 'application/json': { schema } },
  });
  const failure = (description: string) => json(errorSchema, description);
  const params = z.object({ id: jobId });

  registry.registerPath({
    method: 'get',
    path: '/api/jobs',
    summary: 'List jobs',
    request: { query: jobListQuerySchema },
    responses: { 200: json(jobListSchema, 'A page of jobs, in the order asked for'), 400: failure('Not as agreed') },
  });
  registry.registerPath({
    method: 'get',
    path: '/api/jobs/{id}/plan',
    summary: 'Read a plan',
    request: { params },
    responses: { 200: json(storedPlanSchema, 'The plan and its version'), 404: failure('No such job') },
  });
  registry.registerPath({
    method: 'put',
    path: '/api/jobs/{id}/plan',
    summary: 'Save a plan, naming the version it was made from (0 makes the job)',
    request: { params, body: { content: { 'application/json': { schema: writePlanSchema } } } },
    responses: {
      200: json(writtenSchema, 'Saved'),
      201: json(writtenSchema, 'Made'),
      400: failure('Not as agreed'),
      409: failure('Stale: someone saved in the meantime; or the server does not have that version'),
      413: failure('Too large'),
      422: failure('Not a sound plan'),
      503: failure('Busy'),
    },
  });
  registry.registerPath({
    method: 'patch',
    path: '/api/jobs/{id}/plan',
    summary: 'Save what was changed in a plan, on top of what was saved since',
    request: { params, query: changeQuerySchema, body: { content: { 'application/json': { schema: patchSchema } } } },
    responses: {
      200: json(writtenSchema, 'Saved'),
      400: failure('Not as agreed'),
      404: failure('No such job'),
      409: failure('The whole plan is wanted, or it does not fit what others did'),
      413: failure('Too large'),
      422: failure('Not a sound change'),
      503: failure('Busy'),
    },
  });
  registry.registerPath({
    method: 'get',
    path: '/api/jobs/{id}/readable',
    summary: 'Read the newest revision that can be read, for when the job itself can’t',
    request: { params },
    responses: {
      200: json(storedPlanSchema, 'The plan as it was; the version of the job'),
      404: failure('There is none'),
    },
  });
  const zip = { 'application/zip': { schema: { type: 'string' as const, format: 'binary' } } };
  registry.registerPath({
    method: 'get',
    path: '/api/jobs/{id}/file',
    summary: 'All of a job as one file: plan, named revisions, pictures, and the schemas they are written by',
    request: { params },
    responses: { 200: { description: 'The file', content: zip }, 404: failure('No such job') },
  });
  registry.registerPath({
    method: 'post',
    path: '/api/jobs/file',
    summary: 'Make a job of such a file',
    request: { body: { content: zip } },
    responses: {
      201: json(takenInSchema, 'Made'),
      413: failure('Too large'),
      422: failure('Not a job file, or not a sound one'),
    },
  });
  registry.registerPath({
    method: 'get',
    path: '/api/jobs/{id}/version',
    summary: 'The version the server has',
    request: { params },
    responses: { 200: json(versionSchema, 'The version and its mark'), 404: failure('No such job') },
  });
  registry.registerPath({
    method: 'put',
    path: '/api/jobs/{id}/standing',
    summary:
      'Say how far a job has come, lay it into the bin, or give it back; from the bin it goes for good after 30 days',
    request: { params, body: { content: { 'application/json': { schema: standingSchema } } } },
    responses: {
      200: json(z.object({ ok: z.boolean() }), 'Done'),
      400: failure('Not as agreed'),
      404: failure('No such job'),
    },
  });
  registry.registerPath({
    method: 'get',
    path: '/api/jobs/{id}/revisions',
    summary: 'List saved revisions',
    request: { params },
    responses: { 200: json(revisionListSchema, 'Newest first'), 404: failure('No such job') },
  });
  registry.registerPath({
    method: 'get',
    path: '/api/jobs/{id}/history',
    summary: 'List saved revisions with what each changed, in words',
    request: { params, query: historyQuerySchema },
    responses: {
      200: json(historySchema, 'A page, newest first'),
      400: failure('Not as agreed'),
      404: failure('No such job'),
    },
  });
  registry.registerPath({
    method: 'get',
    path: '/api/jobs/{id}/revisions/{version}',
    summary: 'Read a saved revision',
    request: { params: params.extend({ version: z.int().min(1) }) },
    responses: { 200: json(storedPlanSchema, 'The plan as it was'), 404: failure('No such revision') },
  });
  registry.registerPath({
    method: 'put',
    path: '/api/jobs/{id}/revisions/{version}/name',
    summary: 'Name a revision, which keeps it; no name takes the name away',
    request: {
      params: params.extend({ version: z.int().min(1) }),
      body: { content: { 'application/json': { schema: nameRevisionSchema } } },
    },
    responses: { 200: json(z.object({ ok: z.literal(true) }), 'Named'), 404: failure('No such revision') },
  });
  registry.registerPath({
    method: 'get',
    path: '/api/opening-types',
    summary: 'List the types of doors and windows that are kept for later jobs',
    responses: { 200: json(keptTypeListSchema, 'In the order they were kept') },
  });
  registry.registerPath({
    method: 'get',
    path: '/api/logo',
    summary: 'The logo that new jobs begin with',
    responses: { 200: json(logoSchema, 'Or none') },
  });
  registry.registerPath({
    method: 'put',
    path: '/api/logo',
    summary: 'Another logo, or none',
    request: { body: { content: { 'application/json': { schema: logoSchema } } } },
    responses: { 200: json(logoSchema, 'Kept'), 400: failure('Not as agreed') },
  });
  const typeParams = z.object({ id: keptTypeId });
  registry.registerPath({
    method: 'put',
    path: '/api/opening-types/{id}',
    summary: 'Keep a type',
    request: { params: typeParams, body: { content: { 'application/json': { schema: keepTypeSchema } } } },
    responses: { 200: json(keptTypeSchema, 'Kept'), 400: failure('Not as agreed') },
  });
  registry.registerPath({
    method: 'delete',
    path: '/api/opening-types/{id}',
    summary: 'Forget a type',
    request: { params: typeParams },
    responses: { 200: json(z.object({ ok: z.literal(true) }), 'Forgotten') },
  });
  const bytes = Object.fromEntries(
    PICTURE_TYPES.map((type) => [type, { schema: { type: 'string' as const, format: 'binary' } }]),
  );
  const pictureParams = z.object({ id: pictureId });
  registry.registerPath({
    method: 'get',
    path: '/api/pictures/{id}',
    summary: 'Fetch a picture that a plan refers to',
    request: { params: pictureParams },
    responses: { 200: { description: 'Its bytes', content: bytes }, 404: failure('No such picture') },
  });
  registry.registerPath({
    method: 'put',
    path: '/api/pictures/{id}',
    summary: 'Keep a picture; it never changes',
    request: { params: pictureParams, query: pictureQuerySchema, body: { content: bytes } },
    responses: {
      201: json(pictureSchema, 'Kept'),
      409: failure('Another picture has this id'),
      413: failure('Too large'),
      422: failure('Not a picture, or a broken one'),
    },
  });
  registry.registerPath({
    method: 'get',
    path: '/healthz',
    summary: 'Is the service well?',
    responses: {
      200: json(z.object({ ok: z.literal(true) }), 'Well'),
      503: json(z.object({ ok: z.literal(false) }), 'The database does not answer'),
    },
  });

  return new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: '3.1.0',
    info: {
      title: 'Velvet Tape',
      version: '1',
      description: 'Jobs and their plans; the pictures under them; types of doors and windows kept for later ones.',
    },
    servers: [{ url: '/' }],
  });
}
