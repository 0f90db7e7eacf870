import { z } from 'zod';

export const pictureId = z
  .string()
  .min(4)
  .max(64)
  .regex(/^[\w.-]+$/, 'The id of a picture has letters, digits and dashes only.')
  .meta({ id: 'PictureId' });

/** What pictures are kept as. */
export const PICTURE_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];

/** A picture as it is brought in may have so many pixels; it is kept with no more than the second along its longer side. */
export const MOST_PIXELS = 40_000_000;
export const LONGEST_SIDE = 4096;
/** Bytes of a picture as it is kept. */
export const LARGEST_PICTURE = 12 * 1024 * 1024;

export const pictureSchema = z
  .object({ id: pictureId, type: z.enum(PICTURE_TYPES), width: z.int().min(1), height: z.int().min(1) })
  .meta({ id: 'Picture' });
export type Picture = z.infer<typeof pictureSchema>;

/** Where a picture was taken, and what else its camera wrote into it, is taken out unless it is to be kept. */
export const pictureQuerySchema = z.object({ location: z.enum(['keep', 'drop']).default('drop') });
