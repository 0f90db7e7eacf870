import { LARGEST_PICTURE, PICTURE_TYPES, pictureId } from '@velvet-tape/contract';
import { Router, raw } from 'express';
import type { DataSource } from 'typeorm';
import { HttpError } from '../http/errors';
import { validated } from '../http/validate';
import { StoredPicture } from './picture.entity';
import { readPicture } from './read-picture';

/** Pictures of a workspace: kept once under an id, and fetched. */
export function picturesRoutes(database: DataSource, workspaceId: string): Router {
  const router = Router();
  const pictures = database.getRepository(StoredPicture);
  const asBytes = raw({ type: [...PICTURE_TYPES], limit: LARGEST_PICTURE });

  router.get('/:id', async (request, response) => {
    const id = validated(pictureId, request.params.id);
    const picture = await pictures.findOne({
      where: { workspaceId, id },
      select: { workspaceId: true, id: true, type: true, bytes: true },
    });
    if (!picture) throw new HttpError(404, 'not-found', 'There is no such picture.');
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.type(picture.type).send(picture.bytes);
  });
  router.put('/:id', asBytes, async (request, response) => {
    const id = validated(pictureId, request.params.id);
    if (!Buffer.isBuffer(request.body))
      throw new HttpError(422, 'bad-picture', 'A picture is a JPEG, a PNG or a WebP.');
    const picture = await readPicture(request.body);
    // sent again after a lost answer it is there already: pictures never change
    await pictures
      .createQueryBuilder()
      .insert()
      .values({ workspaceId, id, ...picture, bytes: request.body })
      .orIgnore()
      .execute();
    response.status(201).json({ id, ...picture });
  });
  return router;
}
