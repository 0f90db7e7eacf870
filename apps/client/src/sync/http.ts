import { type ErrorCode, errorSchema } from '@velvet-tape/contract/errors';

const ORIGIN = process.env.EXPO_PUBLIC_API ?? '';
/** Longer than this counts as no connection, ms. */
const PATIENCE = 15_000;
/** The same for a picture, which is much larger than a plan. */
export const PATIENCE_FOR_PICTURES = 180_000;

/** The server can't be reached; the work goes on on the device. */
export class Offline extends Error {}
/** The server is there and could not do it; it is tried again, ever less often. */
export class Broken extends Error {}
/** The server understood and said no; trying the same again will not help. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly code: ErrorCode,
  ) {
    super(message);
  }
}

export async function call(path: string, init: RequestInit = {}, patience = PATIENCE): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(`${ORIGIN}/api${path}`, { ...init, signal: AbortSignal.timeout(patience) });
  } catch {
    throw new Offline('No connection to the server.');
  }
  const body: unknown = await response.json().catch(() => null);
  if (response.ok) return body;
  throw failure(response.status, body);
}

function failure(status: number, body: unknown): Error {
  const read = errorSchema.safeParse(body);
  // an answer in another shape comes from something in between, or from a server that is starting or stopping
  if (!read.success) return new Offline('The server is not answering.');
  const { message, code } = read.data.error;
  // nothing is wrong with what was asked: it can be asked again once the device has been let in
  if (code === 'no-entry') return new Offline(message);
  if (status >= 500 || status === 429) return new Broken(message);
  return new Refused(message, status, code);
}

export const asJson = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

/** Something that is no JSON. */
export async function fetchBytes(path: string): Promise<Blob> {
  let response: Response;
  try {
    response = await fetch(`${ORIGIN}/api${path}`, { signal: AbortSignal.timeout(PATIENCE_FOR_PICTURES) });
  } catch {
    throw new Offline('No connection to the server.');
  }
  if (response.ok) return response.blob();
  throw failure(response.status, await response.json().catch(() => null));
}
