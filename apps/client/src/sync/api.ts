import {
  type History,
  type KeptType,
  type StoredPlan,
  type Version,
  type Written,
  historySchema,
  versionSchema,
  writtenSchema,
} from '@velvet-tape/contract';
import { type PictureDetails, type Plan, type PlanPatch, readPlan } from '@velvet-tape/core';
import { PATIENCE_FOR_PICTURES, Refused, asJson, call, fetchBytes } from './http';

/** The job as the server has it; or, when that can't be read, as it was when it last could. */
export async function fetchPlan(id: string, as: 'plan' | 'readable' = 'plan'): Promise<StoredPlan & { plan: Plan }> {
  const stored = (await call(`/jobs/${encodeURIComponent(id)}/${as}`)) as StoredPlan;
  const read = readPlan(stored.plan);
  if (!read.ok) throw new Refused(read.reason, 422, 'bad-plan');
  return { ...stored, plan: read.plan };
}

export const fetchVersion = async (id: string): Promise<Version> =>
  versionSchema.parse(await call(`/jobs/${encodeURIComponent(id)}/version`));

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

/** A page of how the job came to be what it is on the server. */
export const fetchHistory = async (id: string, before: number | null): Promise<History> =>
  historySchema.parse(
    await call(`/jobs/${encodeURIComponent(id)}/history${before === null ? '' : `?before=${before}`}`),
  );

/** The plan of a revision. */
export async function fetchRevision(id: string, version: number): Promise<Plan> {
  const stored = (await call(`/jobs/${encodeURIComponent(id)}/revisions/${version}`)) as StoredPlan;
  const read = readPlan(stored.plan);
  if (!read.ok) throw new Refused(read.reason, 422, 'bad-plan');
  return read.plan;
}

/** Gives a revision a name, which keeps it. */
export async function nameRevision(id: string, version: number, name: string): Promise<void> {
  await call(`/jobs/${encodeURIComponent(id)}/revisions/${version}/name`, asJson('PUT', { name }));
}

export async function sendPicture(id: string, picture: Blob): Promise<void> {
  const init = { method: 'PUT', headers: { 'Content-Type': picture.type }, body: picture };
  await call(`/pictures/${encodeURIComponent(id)}`, init, PATIENCE_FOR_PICTURES);
}

/** The bytes of a picture. */
export const fetchPicture = (id: string): Promise<Blob> => fetchBytes(`/pictures/${encodeURIComponent(id)}`);

/** The logo of the workspace. */
export const fetchLogo = (): Promise<unknown> => call('/logo', {}, 2000);

export async function putLogo(logo: PictureDetails | null): Promise<void> {
  await call('/logo', asJson('PUT', { logo }));
}

export const listKeptTypes = (): Promise<unknown> => call('/opening-types');

export async function keepType({ id, name, spec }: KeptType): Promise<void> {
  await call(`/opening-types/${encodeURIComponent(id)}`, asJson('PUT', { name, spec }));
}

export async function forgetType(id: string): Promise<void> {
  await call(`/opening-types/${encodeURIComponent(id)}`, { method: 'DELETE' });
}
