import { planSchema } from '@velvet-tape/core';
import { z } from 'zod';
import { jobId } from './list';
import { PICTURE_TYPES, pictureId } from './pictures';

/** Every version of a plan has a mark of its own, so that one that was put back from a copy is not taken for another of the same number. */
const mark = z.string().max(64);
/** Versions are kept as four bytes. */
const MOST_VERSIONS = 2 ** 31 - 2;
const versionNumber = z.int().min(1).max(MOST_VERSIONS);
export const revisionNumber = z.coerce.number().pipe(versionNumber);

export const versionSchema = z.object({ version: versionNumber, mark }).meta({ id: 'Version' });
export type Version = z.infer<typeof versionSchema>;

/** A plan as the server keeps it. `version` grows by one with every write. */
export const storedPlanSchema = z
  .object({ id: jobId, version: versionNumber, mark, touched: z.iso.datetime(), plan: planSchema })
  .meta({ id: 'StoredPlan' });
export type StoredPlan = z.infer<typeof storedPlanSchema>;

/** A write says which version it started from; 0 makes the job. */
export const writePlanSchema = z
  .object({ version: z.int().min(0).max(MOST_VERSIONS), mark: mark.optional(), plan: z.unknown() })
  .meta({ id: 'WritePlan' });
export type WritePlan = z.infer<typeof writePlanSchema>;

/** A change (a `PlanPatch`) says which plan it was made from. */
export const changeQuerySchema = z.object({ version: revisionNumber, mark: mark.optional() });
export type ChangedFrom = z.infer<typeof changeQuerySchema>;

export const writtenSchema = z
  .object({
    id: jobId,
    version: versionNumber,
    mark,
    touched: z.iso.datetime(),
    /** The change was put on top of what others had saved meanwhile, and overruled them in this; null: nobody had. */
    merged: z.array(z.string()).nullable(),
  })
  .meta({ id: 'Written' });
export type Written = z.infer<typeof writtenSchema>;

/** The name a revision is given keeps it from being thinned out. */
export const nameRevisionSchema = z.object({ name: z.string().trim().max(120) }).meta({ id: 'NameRevision' });
export const revisionListSchema = z
  .object({
    revisions: z.array(z.object({ version: versionNumber, touched: z.iso.datetime(), name: z.string().nullable() })),
  })
  .meta({ id: 'RevisionList' });

/** How a job came to be what it is: the newest first, each with what it changed, in words. */
export const historySchema = z
  .object({
    revisions: z.array(
      z.object({
        version: versionNumber,
        touched: z.iso.datetime(),
        name: z.string().nullable(),
        /** Empty: that can't be told. */
        words: z.string(),
      }),
    ),
    /** Before which version it goes on; null: this is the beginning. */
    next: versionNumber.nullable(),
  })
  .meta({ id: 'History' });
export type History = z.infer<typeof historySchema>;
export const historyQuerySchema = z.object({
  before: revisionNumber.optional(),
  limit: z.coerce.number().int().min(1).max(100).default(40),
});
export type HistoryQuery = z.infer<typeof historyQuerySchema>;

/** What a job file says of itself (`job.json` in it): where in the ZIP what is. */
export const jobFileSchema = z
  .object({
    format: z.literal('velvet-tape-job'),
    version: z.literal(1),
    id: jobId,
    /** A plan as in `plan.schema.json`. */
    plan: z.string().max(200),
    /** Revisions that were given a name, the oldest first. */
    revisions: z
      .array(z.object({ name: z.string().max(120), touched: z.iso.datetime(), file: z.string().max(200) }))
      .max(1000),
    pictures: z.array(z.object({ id: pictureId, type: z.enum(PICTURE_TYPES), file: z.string().max(200) })).max(1000),
  })
  .meta({ id: 'JobFile' });
/** Bytes of a job file. */
export const LARGEST_JOB_FILE = 200 * 1024 * 1024;
