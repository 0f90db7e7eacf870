import { LONGEST_NAME, finishLookSchema, openingSpecSchema, pieceSpecSchema } from '@velvet-tape/core';
import { z } from 'zod';
import { idOf } from './ids';

export const keptTypeId = idOf('a type', 'KeptTypeId');

/** A type of door or window, a piece, or a finish, that is kept for later jobs. */
export const keepTypeSchema = z
  .object({ name: z.string().max(LONGEST_NAME), spec: z.union([openingSpecSchema, pieceSpecSchema, finishLookSchema]) })
  .meta({ id: 'KeepType' });
export const keptTypeSchema = keepTypeSchema.extend({ id: keptTypeId }).meta({ id: 'KeptType' });
export type KeptType = z.infer<typeof keptTypeSchema>;

export const keptTypeListSchema = z.object({ types: z.array(keptTypeSchema) }).meta({ id: 'KeptTypeList' });
