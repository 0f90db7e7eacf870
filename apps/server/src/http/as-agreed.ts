import { unkeepable } from '@velvet-tape/core';
import type { z } from 'zod';

/** The value as the schema sees it, or where it went wrong, in words. */
export function readAsAgreed<T extends z.ZodType>(
  schema: T,
  value: unknown,
): { ok: true; data: z.infer<T> } | { ok: false; message: string } {
  const spoilt = unkeepable(value);
  if (spoilt) return { ok: false, message: `The request is not as agreed: ${spoilt}` };
  const result = schema.safeParse(value);
  if (result.success) return { ok: true, data: result.data };
  const issue = result.error.issues[0]!;
  const where = issue.path.length > 0 ? ` (${issue.path.join('.')})` : '';
  return { ok: false, message: `The request is not as agreed${where}: ${issue.message}` };
}
