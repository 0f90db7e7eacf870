import {
  type ErrorCode,
  type JobSummary,
  type KeptType,
  type StoredPlan,
  type TakenIn,
  type Version,
  type Written,
  errorSchema,
  jobListSchema,
  takenInSchema,
  versionSchema,
  writtenSchema,
} from '@velvet-tape/contract';
import { type Plan, type PlanPatch, readPlan } from '@velvet-tape/core';

const ORIGIN = process.env.EXPO_PUBLIC_API ?? '';
/** Longer than this counts as no connection, ms. */
const PATIENCE = 15_000;
/** The same for a picture, which is much larger than a plan. */
const PATIENCE_FOR_PICTURES = 180_000;

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

async function call(path: string, init: RequestInit = {}, patience = PATIENCE): Promise<unknown> {
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

/** A page of the list of jobs. */
export const listJobs = async (after: string | null = null): Promise<{ jobs: JobSummary[]; next: string | null }> =>
  jobListSchema.parse(await call(`/jobs${after === null ? '' : `?after=${encodeURIComponent(after)}`}`));

/** The job as the server has it; or, when that can't be read, as it was when it last could. */
export async function fetchPlan(id: string, as: 'plan' | 'readable' = 'plan'): Promise<StoredPlan & { plan: Plan }> {
  const stored = (await call(`/jobs/${encodeURIComponent(id)}/${as}`)) as StoredPlan;
  const read = readPlan(stored.plan);
  if (!read.ok) throw new Refused(read.reason, 422, 'bad-plan');
  return { ...stored, plan: read.plan };
}

export const fetchVersion = async (id: string): Promise<Version> =>
  versionSchema.parse(await call(`/jobs/${encodeURIComponent(id)}/version`));

const asJson = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

/** The whole plan, in the place of the version it was made from; null: it is a new job. */
export async function sendPlan(id: string, from: Version | null, plan: Plan): Promise<Written> {
  const body = { version: from?.version ?? 0, ...(from && { mark: from.mark }), plan };
  return writtenSchema.parse(await call(`/jobs/${encodeURIComponent(id)}/plan`, asJson('PUT', body)));
}

/** What was changed in the plan of a version. */
export async function sendChange(id: string, { version, mark }: Version, patch: PlanPatch): Promise<Written> {
  const from = `version=${version}&mark=${encodeURIComponent(mark)}`;
  return writtenSchema.parse(await call(`/jobs/${encodeURIComponent(id)}/plan?${from}`, asJson('PATCH', patch)));
}

export async function sendPicture(id: string, picture: Blob): Promise<void> {
  const init = { method: 'PUT', headers: { 'Content-Type': picture.type }, body: picture };
  await call(`/pictures/${encodeURIComponent(id)}`, init, PATIENCE_FOR_PICTURES);
}

/** The bytes of a picture. */
export const fetchPicture = (id: string): Promise<Blob> => fetchBytes(`/pictures/${encodeURIComponent(id)}`);

/** All of a job as one file. */
export const fetchJobFile = (id: string): Promise<Blob> => fetchBytes(`/jobs/${encodeURIComponent(id)}/file`);

/** Makes a job of such a file. */
export async function sendJobFile(file: Blob): Promise<TakenIn> {
  const init = { method: 'POST', headers: { 'Content-Type': 'application/zip' }, body: file };
  return takenInSchema.parse(await call('/jobs/file', init, PATIENCE_FOR_PICTURES));
}

async function fetchBytes(path: string): Promise<Blob> {
  let response: Response;
  try {
    response = await fetch(`${ORIGIN}/api${path}`, { signal: AbortSignal.timeout(PATIENCE_FOR_PICTURES) });
  } catch {
    throw new Offline('No connection to the server.');
  }
  if (response.ok) return response.blob();
  throw failure(response.status, await response.json().catch(() => null));
}

export const listKeptTypes = (): Promise<unknown> => call('/opening-types');

export async function keepType({ id, name, spec }: KeptType): Promise<void> {
  await call(`/opening-types/${encodeURIComponent(id)}`, asJson('PUT', { name, spec }));
}

export async function forgetType(id: string): Promise<void> {
  await call(`/opening-types/${encodeURIComponent(id)}`, { method: 'DELETE' });
}
