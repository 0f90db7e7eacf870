import { logoSchema } from '@velvet-tape/contract';
import { Router, json } from 'express';
import type { DataSource } from 'typeorm';
import { validated } from '../http/validate';
import { Workspace } from './workspace.entity';

/** The logo that new jobs of a workspace begin with. */
export function logoRoutes(database: DataSource, workspaceId: string): Router {
  const router = Router();
  const workspaces = database.getRepository(Workspace);

  router.get('/', async (_request, response) => {
    const own = await workspaces.findOneByOrFail({ id: workspaceId });
    response.json({ logo: own.logo });
  });
  router.put('/', json(), async (request, response) => {
    const { logo } = validated(logoSchema, request.body);
    await workspaces.update({ id: workspaceId }, { logo });
    response.json({ logo });
  });
  return router;
}
