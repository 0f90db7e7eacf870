import { z } from 'zod';
import type { WalkProposal } from './walk';

const typed = z.object({
  value: z.number(),
  text: z.string(),
  unit: z.enum(['m', 'cm', 'mm', 'ft', 'in', 'deg']),
  instrument: z.enum(['tape', 'laser', 'scaled', 'guess']).optional(),
});
const turn = z.object({ degrees: z.number(), read: typed.nullable() });
const walkSchema = z.object({
  kind: z.literal('walk'),
  start: z.object({ x: z.number(), y: z.number() }),
  heading: z.number().default(0),
  round: z.enum(['clockwise', 'anticlockwise']),
  lines: z.array(z.object({ turn, length: typed, bow: typed.nullable(), out: z.boolean() })),
  turn,
  line: z.number().nullable(),
  closing: z.boolean(),
});

const keyOf = (job: string) => `velvet-tape walk ${job}`;

/** A walk under way is kept on the device, line by line, so that it is there again after the page was closed; null: it is done. */
export function keepWalk(job: string, walk: WalkProposal | null): void {
  if (walk && walk.lines.length > 0) globalThis.localStorage?.setItem(keyOf(job), JSON.stringify(walk));
  else globalThis.localStorage?.removeItem(keyOf(job));
}

/** The walk that was under way in this job; null when there was none. */
export function keptWalk(job: string): WalkProposal | null {
  try {
    const read = walkSchema.safeParse(JSON.parse(globalThis.localStorage?.getItem(keyOf(job)) ?? 'null'));
    return read.success ? (read.data as WalkProposal) : null;
  } catch {
    return null;
  }
}
