import { z } from 'zod';

/** Every error has this one shape: a code for programs, a plain sentence for people. */
export const errorSchema = z
  .object({
    error: z.object({
      code: z.enum(['not-found', 'bad-request', 'bad-plan', 'bad-picture', 'stale', 'too-large', 'too-many', 'broken']),
      message: z.string(),
      /** `stale` only: what the server has now. */
      version: z.int().optional(),
    }),
  })
  .meta({ id: 'Error' });
export type ErrorBody = z.infer<typeof errorSchema>;
export type ErrorCode = ErrorBody['error']['code'];

/** Largest request the server reads, bytes. */
export const LARGEST_BODY = 8 * 1024 * 1024;
