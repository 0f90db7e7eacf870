import { edit } from './edit';
import type { WallFace } from '../derived';
import { alongOf, pointAt } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import { dropWithAll } from '../plan/footing';
import {
  type Id,
  type Opening,
  type PlacedOpening,
  kindOfForm,
  nextNumber,
  openingsOfGap,
  type OpeningKind,
  type OpeningSpec,
  type WallSide,
  otherEnd,
  otherSide,
} from '../plan/plan';
import { highestCeiling } from '../plan/storeys';
import { clearSpan, refusalOf, spanAsRead, usualSpec } from '../openings';
import { networkBefore, networkOfFloor } from '../rooms';
import { formatLength } from '../units';
import { faceStretch, wallInsets } from '../walls';
import type { OpeningSize, PlaceOnFace } from './parts';
import { changeType, ownType, requireSpec, takeType } from './opening-types';
import { requireFace, requireNote } from './require';
import { settle } from './settle';

type Placed = Pick<Opening, 'wall' | 'side' | 'anchor' | 'offset'>;

export type AddOpening = {
  readonly kind: 'addOpening';
  readonly floor: Id;
  readonly opening: OpeningKind;
  /** What it is like, where it is not as usual. */
  readonly spec?: Partial<OpeningSpec>;
  /** An opening it is a copy of. */
  readonly like?: Id;
} & PlaceOnFace &
  OpeningSize;

export function addOpening(draft: Draft, intent: AddOpening): Id {
  const like = intent.like === undefined ? null : requireOpening(draft, intent.like);
  const spec = { ...(like ?? usualSpec(intent.opening, draft.job.units)), ...intent.spec, ...sizeOf(intent) };
  const type = like && !intent.spec ? like.type : takeType(draft, requireSpec(spec));
  const face = requireFace(draft, intent.floor, intent.face);
  const placed = placedOn(draft, face, intent, draft.types[type]!.width);
  const id = draft.newId();
  // a door opens into the room it was placed from, hinged at its left jamb
  const hinge = placed.side === 'right' ? 'start' : 'end';
  const turns = like ? turnedAs(draft, like, placed) : { hinge, swing: placed.side };
  const number = nextNumber(draft, intent.floor, kindOfForm(spec.form));
  draft.put('openings', {
    id,
    type,
    number,
    ...placed,
    ...turns,
    ownSill: like?.ownSill ?? null,
    note: '',
  } as PlacedOpening);
  settle(draft, intent.floor, {});
  requireFit(draft, intent.floor, id);
  return id;
}

/** A copy turns as what it was copied from, as someone in the room sees it. */
function turnedAs(draft: Draft, like: Opening, to: Placed): Pick<Opening, 'hinge' | 'swing'> {
  const seen = like.side === to.side;
  const turned = seen !== (like.wall === to.wall || runsAlike(draft, like.wall, to.wall));
  return turned
    ? { hinge: otherEnd(like.hinge), swing: otherSide(like.swing) }
    : { hinge: like.hinge, swing: like.swing };
}

export type ChangeOpening = {
  readonly kind: 'changeOpening';
  readonly floor: Id;
  readonly opening: Id;
  readonly place?: PlaceOnFace;
  /** Its size is that of all openings of its type. */
  readonly all?: boolean;
  readonly note?: string;
} & OpeningSize;

export function changeOpening(draft: Draft, intent: ChangeOpening): void {
  const opening = requireOpening(draft, intent.opening);
  if (intent.note !== undefined) draft.put('openings', { ...opening, note: requireNote(intent.note) });
  changeSize(draft, opening.id, sizeOf(intent), intent.all ?? false);
  if (intent.width !== undefined && !intent.place) keepInPlace(draft, intent.floor, opening);
  if (intent.place) {
    requireLoose(draft, opening.id);
    place(draft, intent.floor, draft.opening(opening.id)!, intent.place);
  }
  settle(draft, intent.floor, {});
  // a note can be put to what does not fit
  if (intent.place || Object.keys(sizeOf(intent)).length > 0) requireFit(draft, intent.floor, opening.id);
}

/** Off the middle of its wall by less than this an opening is centred, mm. */
const CENTRED = 1;

/** One that got another width: what was centred stays centred; where it would hang over the end of its wall it makes room, and that is said. */
function keepInPlace(draft: Draft, floor: Id, before: Opening): void {
  if (Object.values(draft.gaps).some((gap) => openingsOfGap(gap).includes(before.id))) return;
  const network = networkOfFloor(draft, floor);
  const now = draft.opening(before.id)!;
  const clear = clearSpan(network, now.wall);
  const was = spanAsRead(network, before);
  const wider = now.width - before.width;
  const centred = Math.abs(was.from - clear.from - (clear.to - was.to)) < CENTRED;
  const offset = now.offset - (centred ? wider / 2 : 0);
  const span = spanAsRead(network, { ...now, offset });
  const over = now.anchor === 'start' ? span.to - clear.to : clear.from - span.from;
  const room = clear.to - clear.from - now.width;
  const back = over > 0 && room >= 0 ? over : 0;
  if (offset === now.offset && back === 0) return;
  draft.put('openings', { ...draft.openings[before.id]!, offset: offset - back });
  if (back > 0) draft.notes.push(`It was moved ${formatLength(back, draft.job.units)} to make room in its wall.`);
}

/** Sizes are those of the type. Typed for one of several, it gets a type of its own, but for the sill, which it may have for itself. */
function changeSize(draft: Draft, id: Id, size: OpeningSize, all: boolean): void {
  const opening = requireOpening(draft, id);
  const { sill, ...rest } = size;
  if (all) {
    changeType(draft, opening.type, size);
    if (sill !== undefined)
      for (const each of Object.values(draft.openings))
        if (each.type === opening.type && each.ownSill !== null) draft.put('openings', { ...each, ownSill: null });
    return;
  }
  if (Object.keys(rest).length > 0) {
    ownType(draft, id, rest);
    const { label, type } = draft.opening(id)!;
    if (type !== opening.type)
      draft.notes.push(`${label} has a type of its own now. The others of its old type stay as they were.`);
  }
  if (sill !== undefined) {
    const now = draft.openings[id]!;
    draft.put('openings', { ...now, ownSill: sill === draft.types[now.type]!.sill ? null : sill });
  }
}

function place(draft: Draft, floor: Id, opening: Opening, to: PlaceOnFace): void {
  const placed = placedOn(draft, requireFace(draft, floor, to.face), to, opening.width);
  const turned = placed.wall !== opening.wall && !runsAlike(draft, placed.wall, opening.wall);
  draft.put('openings', {
    ...opening,
    ...placed,
    ...(turned && { hinge: otherEnd(opening.hinge), swing: otherSide(opening.swing) }),
  });
}

export interface SpaceOpenings {
  readonly kind: 'spaceOpenings';
  readonly floor: Id;
  readonly face: string;
}

/** The openings of a wall, with equal gaps between them and to both corners. */
export function spaceOpenings(draft: Draft, { floor, face: key }: SpaceOpenings): void {
  const face = requireFace(draft, floor, key);
  if (face.openings.length === 0) throw new Refusal('There is nothing in this wall to space out.');
  const gap =
    (face.length - face.openings.reduce((sum, { opening }) => sum + opening.width, 0)) / (face.openings.length + 1);
  if (gap < 0) throw new Refusal('The openings are wider than the wall together.');
  let at = gap;
  for (const { opening } of face.openings) {
    requireLoose(draft, opening.id);
    place(draft, floor, opening, { face: key, end: 'left', offset: at });
    at += opening.width + gap;
  }
  settle(draft, floor, {});
}

export interface FlipOpening {
  readonly kind: 'flipOpening';
  readonly opening: Id;
  readonly what: 'hinge' | 'swing';
}

export function flipOpening(draft: Draft, { opening: id, what }: FlipOpening): void {
  const opening = requireOpening(draft, id);
  draft.put(
    'openings',
    what === 'hinge' ? { ...opening, hinge: otherEnd(opening.hinge) } : { ...opening, swing: otherSide(opening.swing) },
  );
}

export interface SwingOpening {
  readonly kind: 'swingOpening';
  readonly opening: Id;
  readonly hinge: 'start' | 'end';
  readonly swing: WallSide;
}

function swingOpening(draft: Draft, { opening, hinge, swing }: SwingOpening): void {
  draft.put('openings', { ...requireOpening(draft, opening), hinge, swing });
}

export interface RemoveOpening {
  readonly kind: 'removeOpening';
  readonly opening: Id;
}

export function removeOpening(draft: Draft, { opening }: RemoveOpening): void {
  requireOpening(draft, opening);
  dropWithAll(draft, 'openings', opening, 'wanted');
}

export function requireOpening(draft: Draft, id: Id): Opening {
  const opening = draft.opening(id);
  if (!opening) throw new Refusal('That opening is no longer there.');
  return opening;
}

/** Refuses to put an opening where it can't be. What else no longer fits because of it is kept, and said. */
export function requireFit(draft: Draft, floor: Id, id: Id): void {
  const opening = requireOpening(draft, id);
  const network = networkOfFloor(draft, floor);
  const ceiling = Math.max(draft.job.usual.ceilingHeight, highestCeiling(draft, floor));
  const reason = refusalOf(network, opening, draft.openingsOf(floor), ceiling, draft.job.units);
  if (reason) throw new Refusal(reason);
}

/** Refuses to move what was read to. */
function requireLoose(draft: Draft, id: Id): void {
  const read = Object.values(draft.gaps).find((gap) => openingsOfGap(gap).includes(id));
  if (read)
    throw new Refusal(
      `The ${read.text} you read to its jamb stands in the way. Loosen it first, or read it again.`,
      read.id,
    );
}

function sizeOf({ width, height, sill }: OpeningSize): OpeningSize {
  return {
    ...(width !== undefined && { width }),
    ...(height !== undefined && { height }),
    ...(sill !== undefined && { sill }),
  };
}

const runsAlike = (draft: Draft, one: Id, two: Id): boolean => {
  const heading = (id: Id) => {
    const wall = draft.walls[id]!;
    const a = draft.corners[wall.start]!;
    const b = draft.corners[wall.end]!;
    return { x: b.x - a.x, y: b.y - a.y };
  };
  const a = heading(one);
  const b = heading(two);
  return a.x * b.x + a.y * b.y > 0;
};

/** The wall of the face that carries an opening at this place, and the place in the wall's own terms. */
function placedOn(draft: Draft, face: WallFace, place: PlaceOnFace, width: number): Placed {
  const network = networkBefore(draft, face.halves[0]!.wall.floor);
  if (face.halves[0]!.wall.kind === 'chalk') throw new Refusal('There is no wall here, only a chalk line.');
  if (!Number.isFinite(place.offset)) throw new Refusal('That is no place along a wall.');
  const from = place.end === 'left' ? place.offset : face.length - place.offset - width;
  const centre = from + width / 2;
  for (const [i, half] of face.halves.entries()) {
    const side = half.forward ? 'right' : 'left';
    const ends = half.forward ? (['start', 'end'] as const) : (['end', 'start'] as const);
    const anchor = place.end === 'left' ? ends[0] : ends[1];
    const insets = wallInsets(network, half.wall.id);
    const stretch = faceStretch(insets, side);
    // where this wall's part of the face begins and ends, mm along the face
    const before = alongOf(face.course, pointAt(half.course, 0, half.right));
    const after = before + insets.length * stretch;
    if (centre > after && i + 1 < face.halves.length) continue;
    const beyond = place.end === 'left' ? from - before : after - from - width;
    return { wall: half.wall.id, side, anchor, offset: beyond - insets[side][anchor] * stretch };
  }
  throw new Refusal('That wall is no longer there.');
}

export const openingsEdits = {
  addOpening: edit<AddOpening>('add opening', addOpening),
  changeOpening: edit<ChangeOpening>('change opening', changeOpening),
  spaceOpenings: edit<SpaceOpenings>('space openings', spaceOpenings),
  flipOpening: edit<FlipOpening>('flip door', flipOpening),
  swingOpening: edit<SwingOpening>('swing', swingOpening),
  removeOpening: edit<RemoveOpening>('remove opening', removeOpening),
};
