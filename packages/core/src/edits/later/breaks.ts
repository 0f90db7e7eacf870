import { edit } from '../edit';
import type { PlaceOnFace } from '../parts';
import { deriveFloor } from '../../derived';
import type { Point } from '../../geometry';
import { type Draft, Refusal } from '../../plan/draft';
import { BREAK_NAMES, type Break, type BreakForm, type EitherStand, type Id, USUAL_BREAK } from '../../plan/plan';
import { surfaceContains } from '../../rooms';
import { faceAt } from '../../snapping';
import { formatLength } from '../../units';
import { requireFace, requireOne, requirePositive } from '../require';
import { requireHeadroom } from '../require-headroom';
import { standOn } from '../solids';

/** Put down this close to a wall it leans on it, mm. */
const LEANS = 400;

export interface AddBreak {
  readonly kind: 'addBreak';
  readonly floor: Id;
  readonly form: BreakForm;
  readonly at: Point;
  readonly width?: number;
  readonly depth?: number;
  readonly height?: number;
  readonly pitch?: number;
  readonly turn?: number;
}

/** Put down at a point of a room: near a wall it leans on it, a dormer always does. */
function addBreak(draft: Draft, { floor, form, at, turn = 0, pitch = 0, ...sizes }: AddBreak): Id {
  const derived = deriveFloor(draft.before, floor);
  const room = derived.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  if (!room) throw new Refusal(`A ${BREAK_NAMES[form]} belongs to a room. Put it down inside one.`);
  const usual = USUAL_BREAK[form];
  const face = faceAt(derived, at, form === 'dormer' ? Infinity : LEANS);
  const own = face?.room === room.room.id && face.bulge === 0 ? face : null;
  if (form === 'dormer' && !own) throw new Refusal('A dormer stands at a straight wall. Put it down near one.');
  const width = sizes.width ?? Math.min(usual.width, own ? own.length : Infinity);
  const { depth = usual.depth, height = usual.height } = sizes;
  const along = own ? own.d.x * (at.x - own.a.x) + own.d.y * (at.y - own.a.y) - width / 2 : 0;
  const stand: EitherStand = own
    ? standOn(draft, own, Math.min(Math.max(0, along), Math.max(0, own.length - width)), width)
    : { kind: 'free', x: at.x, y: at.y, turn };
  const id = draft.newId();
  put(draft, { id, floor, form, stand, width, depth, height, pitch, note: '' });
  return id;
}

export interface ChangeBreak {
  readonly kind: 'changeBreak';
  readonly broken: Id;
  readonly width?: number;
  readonly depth?: number;
  readonly height?: number;
  readonly pitch?: number;
  readonly turn?: number;
  /** Where its middle goes, for one that stands free. */
  readonly to?: Point;
  /** Where it goes along a wall, for one that leans on it. */
  readonly place?: PlaceOnFace;
}

function changeBreak(draft: Draft, { broken: id, to, turn, place, width, depth, height, pitch }: ChangeBreak): void {
  const before = requireBreak(draft, id);
  const now: Break = {
    ...before,
    ...(width !== undefined && { width }),
    ...(depth !== undefined && { depth }),
    ...(height !== undefined && { height }),
    ...(pitch !== undefined && { pitch }),
  };
  const { stand } = before;
  if (stand.kind === 'free')
    put(draft, { ...now, stand: { ...stand, ...(to && { x: to.x, y: to.y }), ...(turn !== undefined && { turn }) } });
  else if (place) {
    const face = requireFace(draft, before.floor, place.face);
    const from = place.end === 'left' ? place.offset : face.length - place.offset - now.width;
    if (from < -0.5 || from + now.width > face.length + 0.5)
      throw new Refusal('It would hang over the end of its wall.');
    put(draft, { ...now, stand: standOn(draft, face, from, now.width) });
  } else put(draft, now);
}

function put(draft: Draft, broken: Break): void {
  const { form, width, depth, height, pitch, floor, stand } = broken;
  requirePositive(width, 'A width');
  requirePositive(depth, 'A depth');
  if (form === 'step') {
    if (height === 0) throw new Refusal('A step goes up or down: how much?');
    if (Math.abs(height) > MOST_STEP)
      throw new Refusal(
        `A step of ${formatLength(Math.abs(height), draft.job.units)} is no step: is it a floor of its own?`,
      );
  } else requirePositive(height, 'A height');
  if (!(pitch >= 0 && pitch <= 80)) throw new Refusal('The pitch of a dormer lies between 0° and 80°.');
  draft.put('breaks', broken);
  if (stand.kind === 'free') {
    const inside = deriveFloor(draft.before, floor).rooms.some(({ outline }) => surfaceContains(outline.rings, stand));
    if (!inside) throw new Refusal(`A ${BREAK_NAMES[form]} belongs to a room. Put it down inside one.`);
  }
  requireHeadroom(draft, floor);
}

/** mm */
const MOST_STEP = 1500;

export interface RemoveBreak {
  readonly kind: 'removeBreak';
  readonly broken: Id;
}

function removeBreak(draft: Draft, { broken }: RemoveBreak): void {
  requireBreak(draft, broken);
  draft.drop('breaks', broken);
}

const requireBreak = (draft: Draft, id: Id): Break => requireOne(draft, 'breaks', id, 'That is no longer there.');

export const breaksEdits = {
  addBreak: edit<AddBreak>(({ form }) => `add ${BREAK_NAMES[form]}`, addBreak),
  changeBreak: edit<ChangeBreak>('change the ceiling', changeBreak),
  removeBreak: edit<RemoveBreak>('remove a part of the ceiling', removeBreak),
};
