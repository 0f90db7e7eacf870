import {
  type JobSummary,
  type KeptType,
  type StoredPlan,
  type Written,
  errorSchema,
  jobListSchema,
  writtenSchema,
} from '@velvet-tape/contract';
import { type Plan, readPlan } from '@velvet-tape/core';

const ORIGIN = process.env.EXPO_PUBLIC_API ?? '';
/** Longer than this counts as no connection, ms. */
const PATIENCE = 15_000;
/** The same for a picture, which is much larger than a plan. */
const PATIENCE_FOR_PICTURES = 180_000;

/** The server can't be reached; the work goes on on the device. */
export class Offline extends Error {}
/** Someone else saved first. */
export class Stale extends Error {}
/** The server understood and said no; trying again will not help. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
  ) {
    super(message);
  }
}

async function call(path: string, init: RequestInit = {}, patience = PATIENCE): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(`${ORIGIN}/api${path}`, { ...init, signal: AbortSignal.timeout(patience) });
  } catch {
    throw new Offline('No connection to the server.');
  }
  const body: unknown = await response.json().catch(() => null);
  if (response.ok) return body;
  const read = errorSchema.safeParse(body);
  // an answer in another shape comes from something in between, or from a server that is starting or stopping
  if (!read.success || response.status >= 500 || response.status === 429)
    throw new Offline('The server is not answering.');
  if (response.status === 409) throw new Stale(read.data.error.message);
  throw new Refused(read.data.error.message, response.status);
}

export const listJobs = async (): Promise<JobSummary[]> => jobListSchema.parse(await call('/jobs')).jobs;

/** The job as the server has it; or, when that can't be read, as it was when it last could. */
export async function fetchPlan(id: string, as: 'plan' | 'readable' = 'plan'): Promise<StoredPlan & { plan: Plan }> {
  const stored = (await call(`/jobs/${encodeURIComponent(id)}/${as}`)) as StoredPlan;
  const read = readPlan(stored.plan);
  if (!read.ok) throw new Refused(read.reason, 422);
  return { ...stored, plan: read.plan };
}

export async function fetchVersion(id: string): Promise<number> {
  return Number(((await call(`/jobs/${encodeURIComponent(id)}/version`)) as { version: number }).version);
}

export async function sendPlan(id: string, version: number, plan: Plan): Promise<Written> {
  const init = {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ version, plan }),
  };
  return writtenSchema.parse(await call(`/jobs/${encodeURIComponent(id)}/plan`, init));
}

export async function sendPicture(id: string, picture: Blob): Promise<void> {
  const init = { method: 'PUT', headers: { 'Content-Type': picture.type }, body: picture };
  await call(`/pictures/${encodeURIComponent(id)}`, init, PATIENCE_FOR_PICTURES);
}

/** The bytes of a picture. */
export async function fetchPicture(id: string): Promise<Blob> {
  let response: Response;
  try {
    response = await fetch(`${ORIGIN}/api/pictures/${encodeURIComponent(id)}`, {
      signal: AbortSignal.timeout(PATIENCE_FOR_PICTURES),
    });
  } catch {
    throw new Offline('No connection to the server.');
  }
  if (response.status === 404) throw new Refused('There is no such picture.', 404);
  if (!response.ok) throw new Offline('The server is not answering.');
  return response.blob();
}

export const listKeptTypes = (): Promise<unknown> => call('/opening-types');

export async function keepType({ id, name, spec }: KeptType): Promise<void> {
  await call(`/opening-types/${encodeURIComponent(id)}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name, spec }),
  });
}

export async function forgetType(id: string): Promise<void> {
  await call(`/opening-types/${encodeURIComponent(id)}`, { method: 'DELETE' });
}
