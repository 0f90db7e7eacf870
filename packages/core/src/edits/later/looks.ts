import { lookContent } from '../../drawing/looks';
import { type Draft, Refusal } from '../../plan/draft';
import { type Id, LOOKS, type NamedLook } from '../../plan/plan';
import { edit } from '../edit';
import { requireName, requireOne } from '../require';

export interface AddLook {
  readonly kind: 'addLook';
  readonly name: string;
  /** Which it begins as. */
  readonly like: string;
}

/** A look of one's own; it is the one that is shown then. */
function addLook(draft: Draft, { name, like }: AddLook): Id {
  const id = draft.newId();
  draft.put('looks', { ...lookContent(draft, like), id, name: freeName(draft, name) });
  draft.job = { ...draft.job, look: id };
  return id;
}

export interface ChangeLook {
  readonly kind: 'changeLook';
  readonly look: Id;
  readonly to: Partial<Omit<NamedLook, 'id'>>;
}

function changeLook(draft: Draft, { look: id, to }: ChangeLook): void {
  const look = requireLook(draft, id);
  draft.put('looks', { ...look, ...to, ...(to.name !== undefined && { name: freeName(draft, to.name, id) }) });
}

export interface RemoveLook {
  readonly kind: 'removeLook';
  readonly look: Id;
}

/** Sheets that had it, and the screen, have what is shown on site again. */
function removeLook(draft: Draft, { look }: RemoveLook): void {
  const { name } = requireLook(draft, look);
  const [back] = LOOKS;
  const frames = Object.values(draft.frames).filter((frame) => frame.look === look);
  for (const frame of frames) draft.put('frames', { ...frame, look: back });
  if (draft.job.look === look) draft.job = { ...draft.job, look: back };
  draft.drop('looks', look);
  if (frames.length > 0) draft.notes.push(`What was shown on sheets as “${name}” is shown as “${back}” now.`);
}

const requireLook = (draft: Draft, id: Id): NamedLook =>
  requireOne(draft, 'looks', id, 'That look is no longer there.');

/** A name that no other look has. */
function freeName(draft: Draft, name: string, but?: Id): string {
  const said = requireName(name);
  if (said === '') throw new Refusal('Give the look a name.');
  const taken = [...LOOKS, ...Object.values(draft.looks).flatMap((look) => (look.id === but ? [] : [look.name]))];
  if (taken.some((each) => each.toLowerCase() === said.toLowerCase()))
    throw new Refusal(`There is a look called “${said}” already.`);
  return said;
}

export const looksEdits = {
  addLook: edit<AddLook>('keep a look', addLook),
  changeLook: edit<ChangeLook>('change what shows', changeLook),
  removeLook: edit<RemoveLook>('remove look', removeLook),
};
