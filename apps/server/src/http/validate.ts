import type { z } from 'zod';
import { HttpError } from './errors';

/** The value as the schema sees it, or a refusal that says where it went wrong. */
export function validated<T extends z.ZodType>(schema: T, value: unknown): z.infer<T> {
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  const issue = result.error.issues[0]!;
  const where = issue.path.length > 0 ? ` (${issue.path.join('.')})` : '';
  throw new HttpError(400, 'bad-request', `The request is not as agreed${where}: ${issue.message}`);
}
