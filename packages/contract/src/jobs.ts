import { planSchema } from '@velvet-tape/core';
import { z } from 'zod';

export const jobId = z
  .string()
  .min(4)
  .max(64)
  .regex(/^[\w-]+$/, 'A job id has letters, digits and dashes only.')
  .meta({ id: 'JobId' });

/** A line of the list of jobs: enough to find one and see how far it is. */
export const jobSummarySchema = z
  .object({
    id: jobId,
    name: z.string(),
    address: z.string(),
    units: z.enum(['metric', 'imperial']),
    rooms: z.int().min(0),
    /** Net internal floor area of all rooms, mm². */
    area: z.number().min(0),
    /** Some lengths are still rough, so the area is too. */
    rough: z.boolean(),
    /** ISO 8601 */
    touched: z.iso.datetime(),
    version: z.int().min(1),
  })
  .meta({ id: 'JobSummary' });
export type JobSummary = z.infer<typeof jobSummarySchema>;

export const jobListSchema = z.object({ jobs: z.array(jobSummarySchema) }).meta({ id: 'JobList' });

/** A plan as the server keeps it. `version` grows by one with every write. */
export const storedPlanSchema = z
  .object({ id: jobId, version: z.int().min(1), touched: z.iso.datetime(), plan: planSchema })
  .meta({ id: 'StoredPlan' });
export type StoredPlan = z.infer<typeof storedPlanSchema>;

/** A write says which version it started from; 0 makes the job. */
export const writePlanSchema = z.object({ version: z.int().min(0), plan: z.unknown() }).meta({ id: 'WritePlan' });
export type WritePlan = z.infer<typeof writePlanSchema>;

export const writtenSchema = z
  .object({ id: jobId, version: z.int().min(1), touched: z.iso.datetime() })
  .meta({ id: 'Written' });
export type Written = z.infer<typeof writtenSchema>;

export const revisionListSchema = z
  .object({ revisions: z.array(z.object({ version: z.int().min(1), touched: z.iso.datetime() })) })
  .meta({ id: 'RevisionList' });
