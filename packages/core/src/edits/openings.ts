import { type WallFace } from '../derived';
import { alongOf, pointAt } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import { type Id, type Opening, nextNumber } from '../plan/plan';
import { USUAL_OPENING } from '../openings';
import { networkBefore } from '../rooms';
import { faceStretch, wallInsets } from '../walls';
import type { Intent, OpeningSize, PlaceOnFace } from './intent';
import { requireFace, requirePositive } from './require';
import { settle } from './settle';

type Placed = Pick<Opening, 'wall' | 'side' | 'anchor' | 'offset'>;

export function addOpening(draft: Draft, intent: Extract<Intent, { kind: 'addOpening' }>): Id {
  const usual = USUAL_OPENING[draft.job.units][intent.opening];
  const size = { ...usual, ...sizeOf(intent) };
  const face = requireFace(draft, intent.floor, intent.face);
  const placed = placedOn(draft, face, intent, size.width);
  const id = draft.newId();
  // a door opens into the room it was placed from, hinged at its left jamb
  const hinge = placed.side === 'right' ? 'start' : 'end';
  const number = nextNumber(draft, intent.floor, intent.opening);
  draft.put('openings', { id, kind: intent.opening, number, ...placed, ...size, hinge, swing: placed.side });
  settle(draft, intent.floor, {});
  return id;
}

export function changeOpening(draft: Draft, intent: Extract<Intent, { kind: 'changeOpening' }>): void {
  const opening = requireOpening(draft, intent.opening);
  const changed = { ...opening, ...sizeOf(intent) };
  if (!intent.place) draft.put('openings', changed);
  else {
    const face = requireFace(draft, intent.floor, intent.place.face);
    const placed = placedOn(draft, face, intent.place, changed.width);
    const turned = placed.wall !== opening.wall && !runsAlike(draft, placed.wall, opening.wall);
    draft.put('openings', {
      ...changed,
      ...placed,
      ...(turned && {
        hinge: changed.hinge === 'start' ? 'end' : 'start',
        swing: changed.swing === 'left' ? 'right' : 'left',
      }),
    });
  }
  settle(draft, intent.floor, {});
}

export function flipOpening(draft: Draft, { opening: id, what }: Extract<Intent, { kind: 'flipOpening' }>): void {
  const opening = requireOpening(draft, id);
  draft.put(
    'openings',
    what === 'hinge'
      ? { ...opening, hinge: opening.hinge === 'start' ? 'end' : 'start' }
      : { ...opening, swing: opening.swing === 'left' ? 'right' : 'left' },
  );
}

export function removeOpening(draft: Draft, { opening }: Extract<Intent, { kind: 'removeOpening' }>): void {
  requireOpening(draft, opening);
  draft.drop('openings', opening);
}

function requireOpening(draft: Draft, id: Id): Opening {
  const opening = draft.openings[id];
  if (!opening) throw new Refusal('That opening is no longer there.');
  return opening;
}

function sizeOf({ width, height, sill }: OpeningSize): OpeningSize {
  if (width !== undefined) requirePositive(width, 'A width');
  if (height !== undefined) requirePositive(height, 'A height');
  if (sill !== undefined && !(sill >= 0)) throw new Refusal("A sill can't be under the floor.");
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
