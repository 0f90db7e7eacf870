import { Draft, Refusal } from '../plan/draft';
import type { Id, Plan } from '../plan/plan';
import { LONGEST_NAME } from '../plan/schema';
import { drawBox } from './draw-box';
import type { Intent } from './intent';
import { moveWall } from './move-wall';
import { addOpening, changeOpening, flipOpening, removeOpening } from './openings';
import { removeWall } from './remove-wall';
import { loosenReading, tapeLength } from './tape-length';
import { requireName, requirePositive } from './require';
import { setThickness } from './thickness';

export type EditResult =
  | {
      readonly ok: true;
      readonly plan: Plan;
      /** What the person should be told, in plain sentences. */
      readonly notes: readonly string[];
      /** The entity the edit made, if it made one: a room or an opening. */
      readonly made: Id | null;
    }
  | { readonly ok: false; readonly reason: string };

/**
 * Does what the intent says, or refuses with a reason in plain words; the plan given is never changed.
 * `seed` makes the ids of what is new: unique among all edits of all devices, the same for a preview and
 * its commit.
 */
export function applyEdit(plan: Plan, intent: Intent, seed: string): EditResult {
  const draft = new Draft(plan, seed);
  try {
    const made = perform(draft, intent);
    return { ok: true, plan: draft.plan(), notes: draft.notes, made: made ?? null };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, reason: error.message };
    throw error;
  }
}

function perform(draft: Draft, intent: Intent): Id | void {
  switch (intent.kind) {
    case 'drawBox':
      return drawBox(draft, intent);
    case 'tapeLength':
      return tapeLength(draft, intent);
    case 'loosenReading':
      return loosenReading(draft, intent);
    case 'setThickness':
      return setThickness(draft, intent);
    case 'moveWall':
      return moveWall(draft, intent);
    case 'removeWall':
      return removeWall(draft, intent);
    case 'addOpening':
      return addOpening(draft, intent);
    case 'changeOpening':
      return changeOpening(draft, intent);
    case 'flipOpening':
      return flipOpening(draft, intent);
    case 'removeOpening':
      return removeOpening(draft, intent);
    case 'setCeilingHeight': {
      requirePositive(intent.height, 'A ceiling height');
      const room = draft.rooms[intent.room];
      if (!room) throw new Refusal('That room is no longer there.');
      for (const each of Object.values(draft.rooms)) {
        if (intent.scope === 'all' || each.id === room.id)
          draft.put('rooms', { ...each, ceilingHeight: intent.height });
      }
      return;
    }
    case 'nameRoom': {
      const room = draft.rooms[intent.room];
      if (!room) throw new Refusal('That room is no longer there.');
      draft.put('rooms', { ...room, name: requireName(intent.name) });
      return;
    }
    case 'changeJob': {
      const details = { ...draft.job, ...intent.details };
      const name = requireName(details.name);
      if (name === '') throw new Refusal('Give the job a name.');
      if (details.address.length > LONGEST_NAME)
        throw new Refusal(`An address can have ${LONGEST_NAME} characters at most.`);
      Object.values(details.usual).forEach((mm) => requirePositive(mm, 'A usual size'));
      draft.job = { ...details, name };
      return;
    }
  }
}
