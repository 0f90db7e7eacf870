import type { z } from 'zod';
import { readAsAgreed } from './as-agreed';
import { HttpError } from './errors';

/** The value as the schema sees it, or a refusal that says where it went wrong. */
export function validated<T extends z.ZodType>(schema: T, value: unknown): z.infer<T> {
  const read = readAsAgreed(schema, value);
  if (read.ok) return read.data;
  throw new HttpError(400, 'bad-request', read.message);
}
