import type { DerivedFloor } from '../derived';
import { type Point, cross, flattened, subtract, turned } from '../geometry';
import { surfaceContains } from '../rooms';
import type { Stair } from '../plan/plan';

/** From the first riser straight back to the wall behind it, mm; null where there is none. `floor` is the one the stairs go up from. */
export function fromWallBehind({ x, y, turn }: Pick<Stair, 'x' | 'y' | 'turn'>, floor: DerivedFloor): number | null {
  const at = { x, y };
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  if (!room) return null;
  const back = turned({ x: -1, y: 0 }, (turn * Math.PI) / 180);
  const offs = room.outline.rings.flatMap((ring) => {
    const round = flattened(ring);
    return round.flatMap((a, i) => alongRay(at, back, a, round[(i + 1) % round.length]!) ?? []);
  });
  return offs.length > 0 ? Math.min(...offs) : null;
}

/** How far along a ray an edge crosses it; null where it does not. */
function alongRay(from: Point, d: Point, a: Point, b: Point): number | null {
  const edge = subtract(b, a);
  const across = cross(d, edge);
  if (Math.abs(across) < 1e-9) return null;
  const off = subtract(a, from);
  const share = cross(off, d) / across;
  const along = cross(off, edge) / across;
  return share >= 0 && share <= 1 && along >= 0 ? along : null;
}
