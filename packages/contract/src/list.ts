import { z } from 'zod';
import { idOf } from './ids';

export const jobId = idOf('a job', 'JobId');

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

/** What a page of the list ends with is where the next begins; null: there are no more. */
export const jobListSchema = z
  .object({ jobs: z.array(jobSummarySchema), next: z.string().nullable() })
  .meta({ id: 'JobList' });
export const jobListQuerySchema = z.object({
  after: z.string().max(120).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(100),
});

/** A job that was made of a job file. */
export const takenInSchema = z.object({ id: jobId, name: z.string() }).meta({ id: 'TakenIn' });
export type TakenIn = z.infer<typeof takenInSchema>;
