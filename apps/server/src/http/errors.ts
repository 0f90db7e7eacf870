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

function asHttpError(error: unknown): HttpError {
  if (error instanceof HttpError) return error;
  const type = typeof error === 'object' && error !== null && 'type' in error ? error.type : '';
  if (type === 'entity.too.large') return new HttpError(413, 'too-large', 'This is too large to be saved.');
  if (type === 'entity.parse.failed') return new HttpError(400, 'bad-request', 'The request is not valid JSON.');
  if (typeof type === 'string' && type !== '')
    return new HttpError(400, 'bad-request', 'The request could not be read.');
  return new HttpError(500, 'broken', 'Something went wrong on the server. Your work is safe on the device.');
}
