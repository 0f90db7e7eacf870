import { type PictureType, jobFileSchema } from '@velvet-tape/contract';
import { planShape } from '@velvet-tape/core';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { z } from 'zod';

/** What a job file holds, as it goes between threads: plans as JSON texts. */
export interface JobFile {
  readonly id: string;
  readonly plan: string;
  /** Revisions that were given a name, the oldest first. */
  readonly named: readonly { readonly name: string; readonly touched: string; readonly plan: string }[];
  readonly pictures: readonly { readonly id: string; readonly type: PictureType; readonly bytes: Uint8Array }[];
}

const ENDINGS = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' } as const satisfies Record<
  PictureType,
  string
>;
/** What a job file may come to when it is unpacked, bytes. */
const LARGEST_UNPACKED = 400 * 1024 * 1024;

/**
 * All of a job as one file: a ZIP with `job.json` (what is in it), `plan.json`, the schema both are written by, named revisions in `revisions/`, and the
 * pictures under it in `pictures/`.
 */
export function packJob({ id, plan, named, pictures }: JobFile): Uint8Array {
  const files: Record<string, Uint8Array | [Uint8Array, { level: 0 }]> = {};
  const contents = {
    format: 'velvet-tape-job' as const,
    version: 1 as const,
    id,
    plan: 'plan.json',
    revisions: named.map(({ name, touched }, i) => ({ name, touched, file: `revisions/${i + 1}.json` })),
    pictures: pictures.map((each) => ({
      id: each.id,
      type: each.type,
      file: `pictures/${each.id}.${ENDINGS[each.type]}`,
    })),
  };
  files['job.json'] = strToU8(JSON.stringify(contents, null, 2));
  files['job.schema.json'] = strToU8(JSON.stringify(z.toJSONSchema(jobFileSchema), null, 2));
  files['plan.schema.json'] = strToU8(JSON.stringify(z.toJSONSchema(planShape, { unrepresentable: 'any' }), null, 2));
  files['plan.json'] = strToU8(plan);
  named.forEach((each, i) => (files[contents.revisions[i]!.file] = strToU8(each.plan)));
  // pictures are packed already
  pictures.forEach((each, i) => (files[contents.pictures[i]!.file] = [each.bytes, { level: 0 }]));
  return zipSync(files);
}

/** What is in a job file, as far as it says; the plans and pictures are still to be judged. */
export function unpackJob({ bytes }: { bytes: Uint8Array }): ({ ok: true } & JobFile) | { ok: false; message: string } {
  const refuse = (message: string) => ({ ok: false as const, message });
  let files: Record<string, Uint8Array>;
  let size = 0;
  try {
    files = unzipSync(bytes, { filter: ({ originalSize }) => (size += originalSize) <= LARGEST_UNPACKED });
  } catch {
    return refuse('This is not a job file, or it is broken.');
  }
  if (size > LARGEST_UNPACKED) return refuse('This job file is larger than can be read here.');
  const found = new Map(Object.entries(files));
  const text = (name: string): string | null => {
    const file = found.get(name);
    return file ? strFromU8(file) : null;
  };
  let said: unknown;
  try {
    said = JSON.parse(text('job.json') ?? '');
  } catch {
    return refuse('This is not a job file.');
  }
  const read = jobFileSchema.safeParse(said);
  if (!read.success) return refuse(`This is not a job file that can be read here: ${read.error.issues[0]!.message}`);
  const { id, plan, revisions, pictures } = read.data;
  const lost = [plan, ...revisions.map(({ file }) => file), ...pictures.map(({ file }) => file)].find(
    (name) => !found.has(name),
  );
  if (lost !== undefined) return refuse(`Something is missing from this job file: ${lost}.`);
  return {
    ok: true,
    id,
    plan: text(plan)!,
    named: revisions.map(({ name, touched, file }) => ({ name, touched, plan: text(file)! })),
    pictures: pictures.map((each) => ({ id: each.id, type: each.type, bytes: found.get(each.file)! })),
  };
}
