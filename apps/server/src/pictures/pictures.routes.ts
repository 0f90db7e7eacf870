import { LARGEST_PICTURE, PICTURE_TYPES, pictureId, pictureQuerySchema } from '@velvet-tape/contract';
import { Router, raw } from 'express';
import { HttpError } from '../http/errors';
import { validated } from '../http/validate';
import type { Pictures } from './pictures';

export function picturesRoutes(pictures: Pictures): Router {
  const router = Router();
  const asBytes = raw({ type: [...PICTURE_TYPES], limit: LARGEST_PICTURE });

  router.get('/:id', async (request, response) => {
    const picture = await pictures.find(validated(pictureId, request.params.id));
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.type(picture.type).send(picture.bytes);
  });
  router.put('/:id', asBytes, async (request, response) => {
    const id = validated(pictureId, request.params.id);
    const { location } = validated(pictureQuerySchema, { ...request.query });
    if (!Buffer.isBuffer(request.body))
      throw new HttpError(422, 'bad-picture', 'A picture is a JPEG, a PNG or a WebP.');
    response.status(201).json(await pictures.keep(id, request.body, location === 'keep'));
  });
  return router;
}
