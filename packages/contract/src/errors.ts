import { z } from 'zod';

/** Every error has this one shape: a code for programs, a plain sentence for people. */
export const errorSchema = z
  .object({
    error: z.object({
      code: z.enum([
        'not-found',
        'bad-request',
        'bad-plan',
        'bad-picture',
        'no-entry',
        /** Someone saved in the meantime. */
        'stale',
        /** The version it was made from is none the server has: it was put back to an older state, or never had it. */
        'behind',
        /** What the change was made from is not kept any more: the whole plan is wanted. */
        'whole',
        /** It was changed elsewhere in a way that does not fit. */
        'apart',
        /** Something else is under this id. */
        'taken',
        'too-large',
        'too-many',
        'busy',
        'broken',
      ]),
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
