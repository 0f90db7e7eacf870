import { deriveFloor, faceByKey, type WallFace } from '../derived';
import { type Draft, Refusal } from '../plan/draft';
import { type Collection, type CollectionName, type Entities, type Floor, type Id } from '../plan/plan';
import { LONGEST_NAME, LONGEST_NOTE } from '../plan/schema';

/** Refuses a size in mm that nothing in a house has. */
export function requirePositive(mm: number, what: string): void {
  if (!(mm > 0) || mm > 1e6) throw new Refusal(`${what} must be more than 0 and less than a kilometre.`);
}

/** The name without the blanks round it; refuses one that is too long. */
export function requireName(name: string): string {
  const trimmed = name.trim();
  if (trimmed.length > LONGEST_NAME)
    throw new Refusal(`A name can have ${LONGEST_NAME} characters at most; this one has ${trimmed.length}.`);
  return trimmed;
}

/** The one of a kind with this id; refuses with the words when it is gone. */
export function requireOne<C extends CollectionName>(draft: Draft, kind: C, id: Id, gone: string): Entities[C] {
  const all = draft[kind] as Collection<Entities[C]>;
  const one = Object.hasOwn(all, id) ? all[id] : undefined;
  if (!one) throw new Refusal(gone);
  return one;
}

/** Refuses when the floor is gone. */
export function requireFloor(draft: Draft, id: Id): Floor {
  return requireOne(draft, 'floors', id, 'That floor is no longer there.');
}

/** The face with this key as it was before the edit; refuses when it is gone. */
export function requireFace(draft: Draft, floor: Id, key: string): WallFace {
  const face = faceByKey(deriveFloor(draft.before, floor), key);
  if (!face) throw new Refusal('That wall is no longer there.');
  return face;
}

/** The note without the blanks round it; refuses one that is too long. */
export function requireNote(text: string): string {
  const note = text.trim();
  if (note.length > LONGEST_NOTE) throw new Refusal(`A note can have ${LONGEST_NOTE} characters at most.`);
  return note;
}
