import { type Draft, Refusal } from '../../plan/draft';
import { type Hatch, type Id, LABEL_SIZES, type Room, type Wall } from '../../plan/plan';
import { edit } from '../edit';
import { requireFace, requireName } from '../require';
import { requireRoom } from '../rooms';

/** What the label of a room says, and how; all of it as others have it: `reset`. */
export interface ChangeLabel {
  readonly kind: 'changeLabel';
  readonly room: Id;
  readonly to: Partial<Pick<Room, 'says' | 'text' | 'labelSize' | 'labelTurn' | 'covering'>> | 'reset';
}

function changeLabel(draft: Draft, { room: id, to }: ChangeLabel): void {
  const room = requireRoom(draft, id);
  if (to === 'reset') {
    draft.put('rooms', { ...room, says: null, text: '', labelSize: 1, labelTurn: 0, label: null });
    return;
  }
  const { least, most } = LABEL_SIZES;
  if (to.labelSize !== undefined && !(to.labelSize >= least && to.labelSize <= most))
    throw new Refusal(`A label is ${least} to ${most} times as large as others.`);
  draft.put('rooms', {
    ...room,
    ...to,
    ...(to.text !== undefined && { text: requireName(to.text) }),
    ...(to.covering !== undefined && { covering: requireName(to.covering) }),
    ...(to.labelTurn !== undefined && { labelTurn: to.labelTurn % 360 }),
  });
}

/** How the floor of a room, or the walls of a face, are drawn by what they are made of. */
export interface HatchOf {
  readonly kind: 'hatch';
  readonly floor: Id;
  readonly of: { readonly room: Id } | { readonly face: string };
  readonly hatch: Hatch | null;
}

/** The tint of the walls of a face. */
export interface TintWalls {
  readonly kind: 'tintWalls';
  readonly floor: Id;
  readonly face: string;
  readonly tint: Wall['tint'];
}

function tintWalls(draft: Draft, { floor, face, tint }: TintWalls): void {
  for (const { wall } of requireFace(draft, floor, face).halves) draft.put('walls', { ...draft.walls[wall.id]!, tint });
}

function hatchIt(draft: Draft, { floor, of, hatch }: HatchOf): void {
  if ('room' in of) {
    draft.put('rooms', { ...requireRoom(draft, of.room), hatch });
    return;
  }
  for (const { wall } of requireFace(draft, floor, of.face).halves) {
    if (wall.kind === 'chalk') throw new Refusal('A chalk line is no wall: it is made of nothing.');
    draft.put('walls', { ...draft.walls[wall.id]!, hatch });
  }
}

export const labelsEdits = {
  tintWalls: edit<TintWalls>('tint walls', tintWalls),
  changeLabel: edit<ChangeLabel>(({ to }) => (to === 'reset' ? 'reset label' : 'change label'), changeLabel),
  hatch: edit<HatchOf>(({ hatch }) => (hatch ? 'draw what it is made of' : 'draw it plain'), hatchIt),
};
