import { LONGEST_SIDE, type PictureType } from '@velvet-tape/contract';
import sharp from 'sharp';
import { HttpError } from '../http/errors';

const TYPES: Partial<Record<string, PictureType>> = { jpeg: 'image/jpeg', png: 'image/png', webp: 'image/webp' };

/** What the bytes are, whatever they are said to be; refuses, in plain words, what is no picture of these kinds, is broken, or is larger than pictures are kept. */
export async function readPicture(bytes: Buffer): Promise<{ type: PictureType; width: number; height: number }> {
  const refuse = (message: string) => new HttpError(422, 'bad-picture', message);
  if (bytes.length === 0) throw refuse('There is no picture in this.');
  const picture = sharp(bytes, { limitInputPixels: LONGEST_SIDE ** 2, failOn: 'error' });
  const { format, width, height } = await picture.metadata().catch(() => {
    throw refuse('This is not a picture.');
  });
  const type = TYPES[format ?? ''];
  if (!type) throw refuse('A picture is a JPEG, a PNG or a WebP.');
  if (width > LONGEST_SIDE || height > LONGEST_SIDE)
    throw refuse(`A picture is kept with ${LONGEST_SIDE} pixels along its longer side at most.`);
  // what is broken half way shows only when it is read to its end
  await picture.stats().catch(() => {
    throw refuse('This picture is broken.');
  });
  return { type, width, height };
}
