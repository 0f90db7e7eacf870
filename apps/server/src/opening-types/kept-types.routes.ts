import { keepTypeSchema, keptTypeId } from '@velvet-tape/contract';
import { Router, json } from 'express';
import type { DataSource } from 'typeorm';
import { validated } from '../http/validate';
import { KeptOpeningType } from './kept-type.entity';

/** Types of doors and windows that a workspace keeps: listed, kept (again) under an id, forgotten. */
export function keptTypesRoutes(database: DataSource, workspaceId: string): Router {
  const router = Router();
  const types = database.getRepository(KeptOpeningType);

  router.get('/', async (_request, response) => {
    const kept = await types.find({ where: { workspaceId }, order: { created: 'ASC', id: 'ASC' } });
    response.json({ types: kept.map(({ id, name, spec }) => ({ id, name, spec })) });
  });
  router.put('/:id', json(), async (request, response) => {
    const id = validated(keptTypeId, request.params.id);
    const { name, spec } = validated(keepTypeSchema, request.body);
    await types.upsert({ workspaceId, id, name, spec }, ['workspaceId', 'id']);
    response.json({ id, name, spec });
  });
  router.delete('/:id', async (request, response) => {
    await types.delete({ workspaceId, id: validated(keptTypeId, request.params.id) });
    response.json({ ok: true });
  });
  return router;
}
