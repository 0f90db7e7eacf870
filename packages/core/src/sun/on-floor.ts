import type { DerivedFloor } from '../derived';
import { type Point, type Ring, intersection, partOf, pointAt, ringsArea, signedArea, union } from '../geometry';
import { isThere, openingSpan } from '../openings';
import type { Id } from '../plan/plan';
import { besideOf, sideKey } from '../raised/wall-top';
import type { Towards } from './sun-at';

/** Where the sun falls on the floor of a room through its windows. */
export interface SunOnFloor {
  readonly room: Id;
  readonly rings: readonly Ring[];
  /** mm² */
  readonly area: number;
}

/** Lower than this it lies along the floor, and reaches farther than any room: sine of half a degree. */
const LEAST = 0.0087;

/**
 * The patches of sun on the floors of rooms: through each glazed opening in an outer wall what passes both its outer and its inner edge, thrown onto the floor, as far as its room reaches. What
 * stands in the room, and other houses, are not asked.
 */
export function sunOnFloors(floor: DerivedFloor, sun: Towards): readonly SunOnFloor[] {
  if (sun.up < LEAST) return [];
  const beside = besideOf(floor);
  const patches = new Map<Id, Ring[]>();
  for (const opening of floor.openings) {
    const span = openingSpan(floor.network, opening);
    if (opening.form === 'roof light' || !isThere(span)) continue;
    if (opening.kind === 'door' && opening.glazing === 0) continue;
    const right = beside.get(sideKey(opening.wall, 'right'));
    const left = beside.get(sideKey(opening.wall, 'left'));
    // a wall between two rooms lets in what came through another
    if (!right === !left) continue;
    const own = (right ?? left)!;
    const { wall, course } = floor.network.half(opening.wall, true);
    const [inner, outer] = right ? [wall.right, -wall.left] : [-wall.left, wall.right];
    const part = partOf(course, span.from, span.to);
    const at = (along: number, off: number) => pointAt(part, along, off);
    const out = {
      x: at(part.length / 2, outer).x - at(part.length / 2, inner).x,
      y: at(part.length / 2, outer).y - at(part.length / 2, inner).y,
    };
    if (out.x * sun.x + out.y * sun.y <= 0) continue;
    const ceiling = own.room.ceilingHeight;
    const head = Math.min(ceiling, opening.toCeiling ? ceiling : opening.sill + opening.height);
    const step = own.room.room.step;
    const [low, high] = [opening.sill - step, head - step];
    if (high <= low) continue;
    const thrown = (p: Point, z: number): Point => ({
      x: p.x - (sun.x * Math.max(0, z)) / sun.up,
      y: p.y - (sun.y * Math.max(0, z)) / sun.up,
    });
    const through = (off: number): Ring => {
      const [a, b] = [at(0, off), at(part.length, off)];
      return clockwise([thrown(a, low), thrown(b, low), thrown(b, high), thrown(a, high)]);
    };
    const patch = intersection(intersection([through(inner)], [through(outer)]), own.room.standing);
    const { id } = own.room.room;
    if (patch.length > 0) patches.set(id, [...(patches.get(id) ?? []), ...patch]);
  }
  return [...patches].map(([room, rings]): SunOnFloor => {
    const whole = union(rings);
    return { room, rings: whole, area: ringsArea(whole) };
  });
}

const clockwise = (ring: Ring): Ring => (signedArea(ring) < 0 ? [...ring].reverse() : ring);
