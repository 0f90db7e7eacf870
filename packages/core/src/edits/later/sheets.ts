import { type Draft, Refusal } from '../../plan/draft';
import { dropWithAll } from '../../plan/footing';
import {
  type AxonometricOf,
  type SheetFrame,
  type Id,
  LONGEST_REVISION,
  type Sheet,
  sheetsInOrder,
} from '../../plan/plan';
import { edit } from '../edit';
import { layStrings } from './dimensions';
import { requireName, requireOne } from '../require';

type NewFrame = Omit<SheetFrame, 'id' | 'sheet'>;

export interface AddSheets {
  readonly kind: 'addSheets';
  /** Floors strings are laid round with it, for the plans on it to show. */
  readonly strings?: readonly Id[];
  readonly sheets: readonly (Pick<Sheet, 'name' | 'paper' | 'across'> & { readonly frames: readonly NewFrame[] })[];
}

/** After those that are there. */
function addSheets(draft: Draft, { sheets, strings = [] }: AddSheets): Id | undefined {
  if (sheets.length === 0) throw new Refusal('There is nothing to lay out yet: draw a room first.');
  for (const floor of strings) layStrings(draft, { kind: 'layStrings', floor, room: null });
  let order = 1 + (sheetsInOrder(draft).at(-1)?.order ?? -1);
  const made = sheets.map(({ name, paper, across, frames }) => {
    const id = draft.newId();
    draft.put('sheets', { id, name: requireName(name), paper, across, order: order++, revision: '' });
    for (const frame of frames) draft.put('frames', { ...frame, id: draft.newId(), sheet: id });
    return id;
  });
  return made[0];
}

export interface ChangeSheet {
  readonly kind: 'changeSheet';
  readonly sheet: Id;
  readonly name?: string;
  /** With where what is on it goes. */
  readonly page?: Pick<Sheet, 'paper' | 'across'> & {
    readonly frames: readonly Pick<SheetFrame, 'id' | 'at' | 'scale'>[];
  };
  readonly revision?: string;
}

function changeSheet(draft: Draft, { sheet: id, name, page, revision }: ChangeSheet): void {
  const sheet = requireSheet(draft, id);
  if (revision !== undefined && revision.trim().length > LONGEST_REVISION)
    throw new Refusal(`A revision is a letter or a few: ${LONGEST_REVISION} characters at most.`);
  draft.put('sheets', {
    ...sheet,
    ...(name !== undefined && { name: requireName(name) }),
    ...(page && { paper: page.paper, across: page.across }),
    ...(revision !== undefined && { revision: revision.trim() }),
  });
  for (const { id: frame, at, scale } of page?.frames ?? [])
    draft.put('frames', { ...requireFrame(draft, frame), at, scale });
}

export interface OrderSheet {
  readonly kind: 'orderSheet';
  readonly sheet: Id;
  readonly by: 1 | -1;
}

/** It changes places with the one before or after it. */
function orderSheet(draft: Draft, { sheet: id, by }: OrderSheet): void {
  const sheet = requireSheet(draft, id);
  const sorted = sheetsInOrder(draft);
  const at = sorted.indexOf(sheet);
  if (!sorted[at + by]) return;
  sorted.splice(at + by, 0, ...sorted.splice(at, 1));
  sorted.forEach((each, order) => each.order !== order && draft.put('sheets', { ...each, order }));
}

export interface RemoveSheet {
  readonly kind: 'removeSheet';
  readonly sheet: Id;
}

function removeSheet(draft: Draft, { sheet }: RemoveSheet): void {
  requireSheet(draft, sheet);
  dropWithAll(draft, 'sheets', sheet, 'wanted');
}

export interface AddFrame {
  readonly kind: 'addFrame';
  readonly sheet: Id;
  readonly frame: NewFrame;
}

function addFrame(draft: Draft, { sheet, frame }: AddFrame): Id {
  requireSheet(draft, sheet);
  const id = draft.newId();
  draft.put('frames', { ...frame, id, sheet });
  return id;
}

export interface ChangeFrame {
  readonly kind: 'changeFrame';
  readonly frame: Id;
  readonly to?: Partial<Pick<SheetFrame, 'at' | 'scale' | 'look'>>;
  /** Of a floor that is drawn in space. */
  readonly drawn?: Partial<Omit<AxonometricOf, 'floor'>>;
}

function changeFrame(draft: Draft, { frame, to, drawn }: ChangeFrame): void {
  const own = requireFrame(draft, frame);
  if (!drawn) {
    draft.put('frames', { ...own, ...to });
    return;
  }
  if (own.shows.kind !== 'axonometric') throw new Refusal('That part of the sheet is not drawn in space.');
  const { cut } = drawn;
  if (cut !== undefined && cut !== null && !(cut > 0 && cut <= 20_000))
    throw new Refusal('It is cut somewhere over the floor, 20 m at most.');
  draft.put('frames', { ...own, ...to, shows: { ...own.shows, ...drawn } });
}

export interface RemoveFrame {
  readonly kind: 'removeFrame';
  readonly frame: Id;
}

function removeFrame(draft: Draft, { frame }: RemoveFrame): void {
  requireFrame(draft, frame);
  draft.drop('frames', frame);
}

const requireSheet = (draft: Draft, id: Id): Sheet => requireOne(draft, 'sheets', id, 'That sheet is no longer there.');

const requireFrame = (draft: Draft, id: Id): SheetFrame =>
  requireOne(draft, 'frames', id, 'That part of the sheet is no longer there.');

export const sheetsEdits = {
  addSheets: edit<AddSheets>(({ sheets }) => (sheets.length === 1 ? 'add a sheet' : 'lay out sheets'), addSheets),
  changeSheet: edit<ChangeSheet>('change sheet', changeSheet),
  orderSheet: edit<OrderSheet>('order sheets', orderSheet),
  removeSheet: edit<RemoveSheet>('remove sheet', removeSheet),
  addFrame: edit<AddFrame>('put on the sheet', addFrame),
  changeFrame: edit<ChangeFrame>(({ to }) => (to?.at ? 'move on the sheet' : 'change on the sheet'), changeFrame),
  removeFrame: edit<RemoveFrame>('take off the sheet', removeFrame),
};
