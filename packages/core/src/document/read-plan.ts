import { migrated } from '../plan/migrations';
import { COLLECTIONS, type Plan, SCHEMA_VERSION } from '../plan/plan';
import { planShape } from '../plan/schema';
import { onTheirFloors } from './on-their-floors';
import { unkeepable } from './plain-data';
import { problemsOf, tooMany } from './problems';

/** A plan from outside, of this version: its parts, and that they agree. */
export const planSchema = planShape.superRefine((plan, context) => {
  for (const name of COLLECTIONS) {
    for (const [key, entity] of Object.entries(plan[name])) {
      if (entity.id !== key)
        context.addIssue({
          code: 'custom',
          path: [name, key],
          message: 'An entity is filed under another id than its own.',
        });
    }
  }
  const many = tooMany(plan as Plan);
  for (const message of many ? [many] : problemsOf(plan as Plan))
    context.addIssue({ code: 'custom', path: ['walls'], message });
});

export type PlanRead = { ok: true; plan: Plan } | { ok: false; reason: string };

/** From this version on every room is known to have a floor. */
const ROOMS_HAVE_FLOORS = 8;

/**
 * Reads a plan from outside: a stored document, a request. Documents of older versions are brought up to date
 * step by step; one of a newer version, or one that is not a sound plan, is refused with where and why.
 */
export function readPlan(input: unknown): PlanRead {
  const version = typeof input === 'object' && input !== null && 'schema' in input ? input.schema : undefined;
  if (typeof version === 'number' && version > SCHEMA_VERSION) {
    return {
      ok: false,
      reason: `This plan was made by a newer Velvet Tape (version ${version} of the document; this one reads up to ${SCHEMA_VERSION}). Update the application to open it.`,
    };
  }
  const spoilt = unkeepable(input);
  if (spoilt) return { ok: false, reason: `This is not a sound plan: ${spoilt}` };
  const older = typeof version === 'number' && version < ROOMS_HAVE_FLOORS;
  const known = migrated(input);
  const shape = older ? planShape.safeParse(known) : null;
  const result = planSchema.safeParse(shape?.success ? onTheirFloors(shape.data as Plan) : known);
  if (result.success) return { ok: true, plan: result.data as Plan };
  const issue = result.error.issues[0]!;
  const where = issue.path.join(' › ');
  return { ok: false, reason: `This is not a sound plan${where ? ` (${where})` : ''}: ${issue.message}` };
}
