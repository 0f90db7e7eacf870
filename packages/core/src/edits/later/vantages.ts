import { type Draft, Refusal } from '../../plan/draft';
import { dropWithAll } from '../../plan/footing';
import { type Id, type PictureDetails, LENSES, type VantageView, vantagesInOrder } from '../../plan/plan';
import { edit } from '../edit';
import { requireFloor, requireName, requireOne } from '../require';

export interface AddVantage {
  readonly kind: 'addVantage';
  readonly name: string;
  readonly view: VantageView;
}

/** After those that are there. */
function addVantage(draft: Draft, { name, view }: AddVantage): Id {
  requireFloor(draft, view.floor);
  const order = 1 + (vantagesInOrder(draft).at(-1)?.order ?? -1);
  const id = draft.newId();
  draft.put('vantages', { ...sound(view), id, order, name: requireName(name) });
  return id;
}

export interface ChangeVantage {
  readonly kind: 'changeVantage';
  readonly vantage: Id;
  readonly to: Partial<VantageView> & { readonly name?: string };
}

function changeVantage(draft: Draft, { vantage: id, to }: ChangeVantage): void {
  const own = requireOne(draft, 'vantages', id, 'That vantage is no longer there.');
  if (to.floor !== undefined) requireFloor(draft, to.floor);
  draft.put('vantages', {
    ...own,
    ...sound({ ...own, ...to }),
    name: to.name === undefined ? own.name : requireName(to.name),
  });
}

export interface OrderVantage {
  readonly kind: 'orderVantage';
  readonly vantage: Id;
  readonly by: 1 | -1;
}

/** It changes places with the one before or after it. */
function orderVantage(draft: Draft, { vantage: id, by }: OrderVantage): void {
  const own = requireOne(draft, 'vantages', id, 'That vantage is no longer there.');
  const sorted = vantagesInOrder(draft);
  const at = sorted.indexOf(own);
  if (!sorted[at + by]) return;
  sorted.splice(at + by, 0, ...sorted.splice(at, 1));
  sorted.forEach((each, order) => each.order !== order && draft.put('vantages', { ...each, order }));
}

export interface RemoveVantage {
  readonly kind: 'removeVantage';
  readonly vantage: Id;
}

function removeVantage(draft: Draft, { vantage }: RemoveVantage): void {
  requireOne(draft, 'vantages', vantage, 'That vantage is no longer there.');
  dropWithAll(draft, 'vantages', vantage, 'wanted');
}

export interface KeepTaken {
  readonly kind: 'keepTaken';
  readonly name: string;
  readonly picture: PictureDetails;
  /** When it was taken, ISO 8601. */
  readonly time: string;
}

function keepTaken(draft: Draft, { name, picture, time }: KeepTaken): Id {
  const id = draft.newId();
  const { picture: bytes, width, height } = picture;
  draft.put('taken', { id, name: requireName(name), picture: bytes, width, height, time });
  return id;
}

export interface RemoveTaken {
  readonly kind: 'removeTaken';
  readonly taken: Id;
}

function removeTaken(draft: Draft, { taken }: RemoveTaken): void {
  requireOne(draft, 'taken', taken, 'That picture is no longer there.');
  dropWithAll(draft, 'taken', taken, 'wanted');
}

/** Turned by less than a whole turn; refused where no lens, or nobody, could look like that. */
function sound<V extends VantageView>(view: V): V {
  if (!(view.lens >= LENSES.shortest && view.lens <= LENSES.longest))
    throw new Refusal(`A lens has ${LENSES.shortest} to ${LENSES.longest} mm, as on a film of 36 × 24 mm.`);
  if (!(view.up >= 0)) throw new Refusal('A vantage is over its floor, not under it.');
  if (![view.x, view.y, view.up, view.heading, view.tilt].every(Number.isFinite))
    throw new Refusal('That is no place to look from.');
  return { ...view, heading: view.heading % 360, tilt: Math.min(90, Math.max(-90, view.tilt)) };
}

export const vantagesEdits = {
  addVantage: edit<AddVantage>('add a vantage', addVantage),
  changeVantage: edit<ChangeVantage>('change a vantage', changeVantage),
  orderVantage: edit<OrderVantage>('order of vantages', orderVantage),
  removeVantage: edit<RemoveVantage>('remove a vantage', removeVantage),
  keepTaken: edit<KeepTaken>('keep a picture', keepTaken),
  removeTaken: edit<RemoveTaken>('remove a picture', removeTaken),
};
