import { type Draft, Refusal } from '../../plan/draft';
import { dropWithAll } from '../../plan/footing';
import { type Altered, type EitherStand, type Id, type Option } from '../../plan/plan';
import { edit } from '../edit';
import { requireFloor, requireName, requireOne } from '../require';

export interface AddOption {
  readonly kind: 'addOption';
  readonly name?: string;
  /** All of that one is in it too; null: what is there in all options only. */
  readonly like: Id | null;
}

const LETTERS = 'ABCDEFGHIJKL';

/** One more way the house could be. With the first, what stands loose in the house becomes part of it. */
function addOption(draft: Draft, { name, like }: AddOption): Id {
  const options = Object.values(draft.options);
  const order = options.reduce((most, each) => Math.max(most, each.order), 0) + 1;
  const called = name === undefined ? freeName(options) : requireNameOf(draft, name, null);
  const id = draft.newId();
  draft.put('options', { id, name: called, order, chosen: options.length === 0 });
  if (options.length === 0)
    for (const piece of Object.values(draft.pieces)) if (!piece.fixed) draft.put('pieces', { ...piece, option: id });
  if (like !== null) copyOption(draft, requireOption(draft, like).id, id);
  return id;
}

function freeName(options: readonly Option[]): string {
  const taken = new Set(options.map(({ name }) => name));
  return [...LETTERS].find((letter) => !taken.has(letter)) ?? `Option ${options.length + 1}`;
}

/** What is loose in one option, and what it alters, once more in another. */
function copyOption(draft: Draft, from: Id, to: Id): void {
  const pieces = Object.values(draft.pieces).filter(({ option }) => option === from);
  const became = new Map(pieces.map(({ id }) => [id, draft.newId()]));
  for (const piece of pieces) {
    const { stand } = piece;
    const on = stand.kind === 'piece' ? { ...stand, piece: became.get(stand.piece) ?? stand.piece } : stand;
    draft.put('pieces', { ...piece, id: became.get(piece.id)!, option: to, stand: on });
  }
  for (const finish of Object.values(draft.finishes).filter(({ option }) => option === from)) {
    const { on } = finish;
    const also = on.what === 'piece' ? { ...on, of: became.get(on.of) ?? on.of } : on;
    draft.put('finishes', { ...finish, id: draft.newId(), option: to, on: also });
  }
  for (const trim of Object.values(draft.trims).filter(({ option }) => option === from))
    draft.put('trims', { ...trim, id: draft.newId(), option: to });
  const alterations = Object.values(draft.alterations).filter(({ option }) => option === from);
  const walls = new Map(alterations.map(({ id }) => [id, draft.newId()]));
  for (const alteration of alterations) {
    const { altered } = alteration;
    const own: Altered =
      altered.kind === 'opening' && altered.stand.kind === 'alteration'
        ? { ...altered, stand: { ...altered.stand, alteration: walls.get(altered.stand.alteration)! } }
        : altered;
    draft.put('alterations', { ...alteration, id: walls.get(alteration.id)!, option: to, altered: own });
  }
  for (const end of Object.values(draft.alterationEnds)) {
    const alteration = walls.get(end.alteration);
    if (alteration) draft.put('alterationEnds', { ...end, id: draft.newId(), alteration });
  }
}

export interface ChangeOption {
  readonly kind: 'changeOption';
  readonly option: Id;
  readonly name: string;
}

function changeOption(draft: Draft, { option, name }: ChangeOption): void {
  const own = requireOption(draft, option);
  draft.put('options', { ...own, name: requireNameOf(draft, name, option) });
}

export interface ChooseOption {
  readonly kind: 'chooseOption';
  readonly option: Id;
}

/** It is the one that is meant to be. */
function chooseOption(draft: Draft, { option }: ChooseOption): void {
  requireOption(draft, option);
  for (const each of Object.values(draft.options))
    if (each.chosen !== (each.id === option)) draft.put('options', { ...each, chosen: each.id === option });
}

export interface RemoveOption {
  readonly kind: 'removeOption';
  readonly option: Id;
}

/** It goes with all that is in it alone. */
function removeOption(draft: Draft, { option }: RemoveOption): void {
  const { chosen } = requireOption(draft, option);
  dropWithAll(draft, 'options', option, 'wanted');
  const [first] = Object.values(draft.options).sort((a, b) => a.order - b.order);
  if (chosen && first) draft.put('options', { ...first, chosen: true });
}

export interface AlterHouse {
  readonly kind: 'alterHouse';
  readonly option: Id;
  readonly floor: Id;
  readonly altered: Altered;
  /** Where a new wall begins and ends. */
  readonly ends?: readonly [EitherStand, EitherStand];
}

function alterHouse(draft: Draft, { option, floor, altered, ends }: AlterHouse): Id {
  requireOption(draft, option);
  requireFloor(draft, floor);
  const same = Object.values(draft.alterations).some(
    (each) =>
      each.option === option &&
      JSON.stringify(each.altered) === JSON.stringify(altered) &&
      altered.kind.endsWith('gone'),
  );
  if (same) throw new Refusal('It is taken away in this option already.');
  if (altered.kind === 'wall gone') requireOne(draft, 'walls', altered.wall, 'That wall is no longer there.');
  if (altered.kind === 'opening gone') requireOne(draft, 'openings', altered.opening, 'That is no longer there.');
  const id = draft.newId();
  draft.put('alterations', { id, floor, option, altered });
  if (altered.kind !== 'wall') return id;
  if (!ends) throw new Refusal('Draw the new wall from where it begins to where it ends.');
  if (!altered.chalk && !(altered.thickness >= 20 && altered.thickness <= 1000))
    throw new Refusal('A new wall is 20 mm to 1 m thick.');
  ends.forEach((stand, i) =>
    draft.put('alterationEnds', { id: draft.newId(), floor, alteration: id, which: i === 0 ? 'from' : 'to', stand }),
  );
  return id;
}

export interface UnalterHouse {
  readonly kind: 'unalterHouse';
  readonly alteration: Id;
}

function unalterHouse(draft: Draft, { alteration }: UnalterHouse): void {
  requireOne(draft, 'alterations', alteration, 'That is no longer altered.');
  dropWithAll(draft, 'alterations', alteration, 'wanted');
}

const requireOption = (draft: Draft, id: Id): Option =>
  requireOne(draft, 'options', id, 'That option is no longer there.');

function requireNameOf(draft: Draft, name: string, own: Id | null): string {
  const trimmed = requireName(name);
  if (trimmed === '') throw new Refusal('An option needs a name.');
  if (Object.values(draft.options).some((each) => each.id !== own && each.name === trimmed))
    throw new Refusal('Another option is called that.');
  return trimmed;
}

export const optionsEdits = {
  addOption: edit<AddOption>('new option', addOption),
  changeOption: edit<ChangeOption>('name of the option', changeOption),
  chooseOption: edit<ChooseOption>('choose option', chooseOption),
  removeOption: edit<RemoveOption>('discard option', removeOption),
  alterHouse: edit<AlterHouse>('alter the house', alterHouse),
  unalterHouse: edit<UnalterHouse>('leave as measured', unalterHouse),
};
