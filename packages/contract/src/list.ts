import { z } from 'zod';
import { idOf } from './ids';

export const jobId = idOf('a job', 'JobId');

/** How far a job has come. */
export const JOB_STATES = ['measuring', 'done', 'handed over'] as const;
export type JobState = (typeof JOB_STATES)[number];

/** So long a job stays in the bin before it goes for good, days. */
export const DAYS_IN_BIN = 30;

/** The `d` of an SVG path. */
const path = z
  .string()
  .max(30_000)
  .regex(/^[MLAZ\d. -]*$/);

/** The plan of a job as small as it goes with its line: paths in a box of this many units, the later over the earlier. */
export const thumbnailSchema = z
  .object({ width: z.int().min(0), height: z.int().min(0), floors: path, walls: path, gaps: path })
  .meta({ id: 'Thumbnail' });
export type Thumbnail = z.infer<typeof thumbnailSchema>;

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
    state: z.enum(JOB_STATES).default('measuring'),
    /** Null: nothing was drawn yet. */
    picture: thumbnailSchema.nullable().default(null),
  })
  .meta({ id: 'JobSummary' });
export type JobSummary = z.infer<typeof jobSummarySchema>;

/** What a page of the list ends with is where the next begins; null: there are no more. */
export const jobListSchema = z
  .object({
    jobs: z.array(jobSummarySchema),
    next: z.string().nullable(),
    /** What lies in the bin, so that a device that still has it does not list it. */
    binned: z.array(jobId).default([]),
  })
  .meta({ id: 'JobList' });
export type JobList = z.infer<typeof jobListSchema>;
export const jobListQuerySchema = z.object({
  after: z.string().max(240).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(100),
  /** Only jobs with this in their name or address. */
  find: z.string().trim().max(120).optional(),
  order: z.enum(['touched', 'name']).default('touched'),
  /** What lies in the bin instead. */
  bin: z.enum(['yes', 'no']).default('no'),
});
export type JobListQuery = z.infer<typeof jobListQuerySchema>;

/** What is said of a job beside its plan. */
export const standingSchema = z
  .object({ state: z.enum(JOB_STATES).optional(), binned: z.boolean().optional() })
  .refine(
    ({ state, binned }) => state !== undefined || binned !== undefined,
    'Say a state, or whether it is in the bin.',
  )
  .meta({ id: 'Standing' });
export type Standing = z.infer<typeof standingSchema>;

/** A job that was made of a job file. */
export const takenInSchema = z.object({ id: jobId, name: z.string() }).meta({ id: 'TakenIn' });
export type TakenIn = z.infer<typeof takenInSchema>;
