import { unkeepable } from '../document/plain-data';
import { tooMany } from '../document/problems';
import { unsoundness } from '../document/sound-edit';
import { Draft, Refusal } from '../plan/draft';
import type { Id, Plan } from '../plan/plan';
import { type Intent, editOf } from './registry';
import { type TakeWalls, openingsToAdd } from './take-walls';
import { tidy } from './tidy';

export type EditResult =
  | {
      readonly ok: true;
      readonly plan: Plan;
      /** What the person should be told, in plain sentences. */
      readonly notes: readonly string[];
      /** The entity the edit made, if it made one: a room or an opening. */
      readonly made: Id | null;
    }
  | {
      readonly ok: false;
      readonly reason: string;
      /** The reading that stands in the way: without it the edit could be done. */
      readonly inTheWay: Id | null;
      /** Not a rule of the house but a fault of this program: what it was. Nothing was changed. */
      readonly fault?: string;
      /** What does it comes later and is not there yet: asked again then, it is done. */
      readonly yet?: boolean;
    };

/**
 * Does what the intent says, or refuses with a reason in plain words; the plan given is never changed.
 * `seed` makes the ids of what is new: unique among all edits of all devices, the same for a preview and
 * its commit. `rim`: walls at the rim of a part of a plan: what they are is not for the part to say.
 */
export function applyEdit(plan: Plan, intent: Intent, seed: string, rim: ReadonlySet<Id> = NONE): EditResult {
  const spoilt = unkeepable(intent);
  if (spoilt) return refused(spoilt);
  const draft = new Draft(plan, seed, rim);
  try {
    const own = editOf(intent);
    // rooms of the core may come later than the plan
    if (!own) return { ...refused(NOT_YET), yet: true };
    const made = own.run(draft, intent);
    tidy(draft);
    const done = { ok: true as const, plan: draft.plan(), notes: draft.notes, made: made ?? null };
    const many = tooMany(done.plan);
    if (many) return refused(many);
    const fault = unsoundness(plan, done.plan);
    if (fault !== null) return faulty(fault);
    return intent.kind === 'takeWalls' ? withOpenings(done, intent, seed) : done;
  } catch (error) {
    if (error instanceof Refusal) return refused(error.message, error.inTheWay);
    return faulty(error instanceof Error ? (error.stack ?? error.message) : String(error));
  }
}

const NOT_YET = 'What does that is not on this device yet. Try again with a connection.';

const refused = (reason: string, inTheWay: Id | null = null): Extract<EditResult, { ok: false }> => ({
  ok: false,
  reason,
  inTheWay,
});

/** What an edit returns can always be read again; where that can't be, nothing is changed, and it is said. */
const faulty = (fault: string): EditResult => ({
  ok: false,
  reason: 'That could not be worked out here, so nothing was changed. Try it another way, or in two steps.',
  inTheWay: null,
  fault,
});

/** Doors and windows need the faces of the walls they are in: they are put in one by one, as by hand. One that does not fit is left out, and said. */
function withOpenings(done: Extract<EditResult, { ok: true }>, intent: TakeWalls, seed: string): EditResult {
  let { plan } = done;
  let left = 0;
  openingsToAdd(plan, intent).forEach((each, i) => {
    const result = applyEdit(plan, each, `${seed}.${i}`);
    if (result.ok) plan = result.plan;
    else left += 1;
  });
  const note =
    left === 1
      ? 'One opening did not fit its wall and was left out.'
      : `${left} openings did not fit their walls and were left out.`;
  return { ...done, plan, notes: left > 0 ? [...done.notes, note] : done.notes };
}

const NONE: ReadonlySet<Id> = new Set();
