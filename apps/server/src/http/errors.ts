import type { ErrorBody, ErrorCode } from '@velvet-tape/contract';
import type { ErrorRequestHandler, RequestHandler } from 'express';

/** An answer that is not what was asked for, with a plain sentence for the person. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly code: ErrorCode,
    message: string,
    readonly version?: number,
  ) {
    super(message);
  }
}

export const noSuchPage: RequestHandler = () => {
  throw new HttpError(404, 'not-found', 'There is nothing at this address.');
};

/** Turns whatever was thrown into the one error shape. What was not foreseen is logged and kept from the outside. */
export const answerErrors: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error);
  const known = asHttpError(error);
  if (known.status >= 500) request.log?.error({ err: error }, 'request failed');
  const body: ErrorBody = {
    error: { code: known.code, message: known.message, ...(known.version !== undefined && { version: known.version }) },
  };
  response.status(known.status).json(body);
};

/** What the libraries refuse, in words of our own; their own may tell more than is anybody's business. */
const REFUSED = new Map<number, readonly [ErrorCode, string]>([
  [404, ['not-found', 'There is nothing at this address.']],
  [408, ['bad-request', 'This took too long to arrive.']],
  [413, ['too-large', 'This is too large to be saved.']],
  [415, ['bad-request', 'This is packed in a way that is not known here.']],
  [416, ['bad-request', 'There is no such part of it.']],
  [429, ['too-many', 'Too many requests. Wait a minute.']],
]);

function asHttpError(error: unknown): HttpError {
  if (error instanceof HttpError) return error;
  const { status, type } = Object(error) as { status?: unknown; type?: unknown };
  if (typeof status === 'number' && status >= 400 && status < 500) {
    const words = type === 'entity.parse.failed' ? 'The request is not valid JSON.' : 'The request could not be read.';
    return new HttpError(status, ...(REFUSED.get(status) ?? (['bad-request', words] as const)));
  }
  return new HttpError(500, 'broken', 'Something went wrong on the server. Your work is safe on the device.');
}

/** Longer than any message worth reading: what is longer holds somebody's plan. */
const LONGEST_MESSAGE = 300;

/** An error as it is logged: without what was being stored, which errors of the database carry along. */
export function loggedError(error: unknown): object {
  const { name, message, stack, code } = Object(error) as Partial<Error> & { code?: unknown };
  const said = String(message).slice(0, LONGEST_MESSAGE);
  const [, ...calls] = String(stack).split(/\n(?= {4}at )/);
  return { type: name, message: said, code, stack: calls.slice(0, 12).join('\n') };
}
