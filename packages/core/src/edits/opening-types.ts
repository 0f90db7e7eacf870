import { edit } from './edit';
import { type Draft, Refusal } from '../plan/draft';
import { type Id, type OpeningSpec, type OpeningType, kindOfForm, nextNumber } from '../plan/plan';
import { openingSpecSchema } from '../plan/schema';
import { sameType, specOf } from '../openings';
import { requireName, requirePositive } from './require';
import { settle } from './settle';

/** The spec when such an opening can be made; refuses it in plain words when not. */
export function requireSpec(spec: OpeningSpec): OpeningSpec {
  requirePositive(spec.width, 'A width');
  requirePositive(spec.height, 'A height');
  if (!(spec.sill >= 0)) throw new Refusal("A sill can't be under the floor.");
  if (!(spec.frame >= 0) || 2 * spec.frame >= Math.min(spec.width, spec.height))
    throw new Refusal('The frame is broader than there is room for.');
  if (spec.depth !== null) requirePositive(spec.depth, 'A frame depth');
  if (!(spec.glazing >= 0 && spec.glazing <= 1)) throw new Refusal('Glass is 0 to 100 % of an opening.');
  if (!(spec.angle >= 0 && spec.angle <= 180)) throw new Refusal('A leaf opens by 0 to 180 degrees.');
  const read = openingSpecSchema.safeParse(specOf(spec));
  if (!read.success) throw new Refusal(`Such an opening can't be made: ${read.error.issues[0]!.message}`);
  return read.data;
}

/** The type with this name that is just so; made when there is none. */
export function takeType(draft: Draft, spec: OpeningSpec, name = ''): Id {
  const wanted = { ...specOf(spec), name };
  const known = Object.values(draft.types).find((type) => sameType(type, wanted));
  if (known) return known.id;
  const id = draft.newId();
  draft.put('types', { id, ...wanted });
  return id;
}

/** All openings of the type are so from now on. */
export function changeType(draft: Draft, id: Id, change: Partial<Omit<OpeningType, 'id'>>): void {
  const type = draft.types[id];
  if (!type) throw new Refusal('That type is no longer there.');
  const spec = requireSpec({ ...type, ...change });
  if (kindOfForm(spec.form) !== kindOfForm(type.form))
    throw new Refusal('A door can’t become a window. Take another type for it.');
  draft.put('types', { id, name: requireName(change.name ?? type.name), ...spec });
}

/** The opening alone is so from now on: what is of its type stays. */
export function ownType(draft: Draft, opening: Id, change: Partial<OpeningSpec>): void {
  const placed = draft.openings[opening]!;
  const type = draft.types[placed.type]!;
  const spec = requireSpec({ ...type, ...change });
  if (isAlone(draft, placed.type)) draft.put('types', { ...type, ...spec });
  else draft.put('openings', { ...placed, type: takeType(draft, spec) });
}

const isAlone = (draft: Draft, type: Id): boolean =>
  Object.values(draft.openings).filter((each) => each.type === type).length === 1;

export interface ChangeType {
  readonly kind: 'changeType';
  readonly type: Id;
  readonly change: Partial<Omit<OpeningType, 'id'>>;
}

/** The type is changed, and with it all that is of it. What no longer fits its wall is kept, and said. */
function changeTypeOfAll(draft: Draft, { type, change }: ChangeType): void {
  changeType(draft, type, change);
  for (const floor of Object.keys(draft.floors)) settle(draft, floor, {});
}

/** Another type: one there is, a new one, or what it is as one of its own. */
export interface TakeType {
  readonly kind: 'takeType';
  readonly opening: Id;
  readonly as: Id | OpeningSpec | 'own';
  readonly name?: string;
}

/** The opening takes another type, one there is or a new one; or what it is becomes a type of its own. */
function takeOtherType(draft: Draft, intent: TakeType): void {
  const opening = draft.opening(intent.opening);
  if (!opening) throw new Refusal('That opening is no longer there.');
  const { as } = intent;
  if (as === 'own') {
    const type = draft.types[opening.type]!;
    if (isAlone(draft, opening.type)) throw new Refusal('It is the only one of its type.');
    const id = draft.newId();
    draft.put('types', { ...type, id, name: requireName(intent.name ?? '') });
    draft.put('openings', { ...opening, type: id });
    return;
  }
  const id = typeof as === 'string' ? as : takeType(draft, requireSpec(as));
  const type = draft.types[id];
  if (!type) throw new Refusal('That type is no longer there.');
  const { floor } = draft.walls[opening.wall]!;
  const kind = kindOfForm(type.form);
  const number = kind === opening.kind ? opening.number : nextNumber(draft, floor, kind);
  draft.put('openings', { ...opening, type: id, number, ownSill: null });
  settle(draft, floor, {});
}

/** A type nothing is of any more goes with the last of them. */
export function dropUnusedTypes(draft: Draft): void {
  const used = new Set(Object.values(draft.openings).map(({ type }) => type));
  for (const id of Object.keys(draft.types)) if (!used.has(id)) draft.drop('types', id);
}

export const openingTypesEdits = {
  changeType: edit<ChangeType>('change type', changeTypeOfAll),
  takeType: edit<TakeType>('take type', takeOtherType),
};
