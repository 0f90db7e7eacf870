import { edit } from './edit';
import type { PlaceOnFace } from './parts';
import type { WallFace } from '../derived';
import { deriveFloor, standOnFace } from '../derived';
import { type Point, alongOf, ringContains } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import type { Id, Solid, SolidKind, SolidShape, WallStand } from '../plan/plan';
import { networkBefore } from '../rooms';
import { faceAt } from '../snapping';
import { requireFace, requirePositive } from './require';

/** A pier put down this close to a wall leans on it, mm. */
const LEANS = 150;

/** What a new solid measures, mm (common practice, no source). */
export const USUAL_SOLID: Record<SolidKind, { width: number; depth: number }> = {
  column: { width: 300, depth: 300 },
  pier: { width: 450, depth: 225 },
  'chimney breast': { width: 1400, depth: 350 },
};

export interface AddSolid {
  readonly kind: 'addSolid';
  readonly floor: Id;
  readonly solid: SolidKind;
  readonly shape: SolidShape;
  readonly at: Point;
  readonly turn?: number;
  readonly width?: number;
  readonly depth?: number;
}

/** A column or pier put down at a point: near a wall it leans on it, else it stands free. */
export function addSolid(draft: Draft, intent: AddSolid): Id {
  const { floor, solid: kind, shape, at } = intent;
  const usual = USUAL_SOLID[kind];
  const { width = usual.width, depth = usual.depth } = intent;
  requirePositive(width, 'A width');
  requirePositive(depth, 'A depth');
  const face = kind === 'column' ? null : faceAt(deriveFloor(draft.before, floor), at, LEANS);
  if (face) {
    const from = Math.min(Math.max(0, alongOf(face.course, at) - width / 2), Math.max(0, face.length - width));
    return putSolid(draft, floor, face, { kind, shape, from, width, depth });
  }
  const id = draft.newId();
  draft.put('solids', {
    id,
    floor,
    kind,
    shape,
    width,
    depth,
    stand: { kind: 'free', x: at.x, y: at.y, turn: intent.turn ?? 0 },
  });
  requireInRoom(draft, draft.solids[id]!);
  return id;
}

/** Puts a solid against a face, `from` mm from its left end as seen from the room. */
export function putSolid(
  draft: Draft,
  floor: Id,
  face: WallFace,
  it: { kind: SolidKind; shape: SolidShape; from: number; width: number; depth: number },
): Id {
  const { from, ...rest } = it;
  const id = draft.newId();
  draft.put('solids', { ...rest, id, floor, stand: standOn(draft, face, from, it.width) });
  return id;
}

/** Where on its wall something stands that begins `from` mm along a face. */
export function standOn(draft: Draft, face: WallFace, from: number, width: number): WallStand {
  if (face.halves[0]!.wall.kind === 'chalk') throw new Refusal('Nothing can lean on a chalk line.');
  if (width > face.length + 0.5) throw new Refusal('It is wider than its wall.');
  return standOnFace(networkBefore(draft, face.halves[0]!.wall.floor), face, from, width);
}

export interface ChangeSolid {
  readonly kind: 'changeSolid';
  readonly solid: Id;
  readonly width?: number;
  readonly depth?: number;
  readonly shape?: SolidShape;
  readonly turn?: number;
  /** Where its middle goes, for one that stands free. */
  readonly to?: Point;
  /** Where it goes along a wall, for one that leans on it. */
  readonly place?: PlaceOnFace;
}

export function changeSolid(draft: Draft, intent: ChangeSolid): void {
  const solid = requireSolid(draft, intent.solid);
  const { width = solid.width, depth = solid.depth, shape = solid.shape } = intent;
  requirePositive(width, 'A width');
  requirePositive(depth, 'A depth');
  draft.put('solids', { ...solid, width, depth, shape, stand: standFor(draft, solid, intent, width) });
  requireInRoom(draft, draft.solids[solid.id]!);
}

function standFor(draft: Draft, solid: Solid, intent: ChangeSolid, width: number): Solid['stand'] {
  const { stand } = solid;
  if (stand.kind === 'free')
    return {
      ...stand,
      ...(intent.to && { x: intent.to.x, y: intent.to.y }),
      ...(intent.turn !== undefined && { turn: intent.turn }),
    };
  if (intent.place) {
    const face = requireFace(draft, solid.floor, intent.place.face);
    const from = intent.place.end === 'left' ? intent.place.offset : face.length - intent.place.offset - width;
    if (from < -0.5 || from + width > face.length + 0.5) throw new Refusal('It would hang over the end of its wall.');
    return standOn(draft, face, from, width);
  }
  return stand;
}

export interface RemoveSolid {
  readonly kind: 'removeSolid';
  readonly solid: Id;
}

export function removeSolid(draft: Draft, { solid }: RemoveSolid): void {
  requireSolid(draft, solid);
  draft.drop('solids', solid);
}

function requireSolid(draft: Draft, id: Id): Solid {
  const solid = draft.solids[id];
  if (!solid) throw new Refusal('That is no longer there.');
  return solid;
}

/** What stands free must stand in a room. */
function requireInRoom(draft: Draft, solid: Solid): void {
  if (solid.stand.kind !== 'free') return;
  const { x, y } = solid.stand;
  const room = deriveFloor(draft.before, solid.floor).rooms.some((each) =>
    ringContains(each.outline.rings[0]!, { x, y }),
  );
  if (!room) throw new Refusal(`A ${solid.kind} stands in a room. Put it down inside one.`);
}

export const solidsEdits = {
  addSolid: edit<AddSolid>('add column', addSolid),
  changeSolid: edit<ChangeSolid>('change column', changeSolid),
  removeSolid: edit<RemoveSolid>('remove column', removeSolid),
};
