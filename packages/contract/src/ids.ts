import { z } from 'zod';

/** The id of something of the workspace: 4 to 64 letters, digits and dashes. */
export const idOf = (what: string, name: string) =>
  z
    .string()
    .min(4)
    .max(64)
    .regex(/^[\w-]+$/, `The id of ${what} has letters, digits and dashes only.`)
    .meta({ id: name });
