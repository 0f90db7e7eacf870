import Flatbush from 'flatbush';
import { type Box, type Ring, boxAround, difference, properCrossing, ringsArea } from '../geometry';
import { type Face, type Network, facesOf, wallBody } from '../walls';
import { floorContains } from './label-point';
import { type RoomOutline, roomOutline } from './room-outline';

/** A face with less floor than this is solid wall, not a room: 0.05 m², mm². */
export const LEAST_FLOOR = 50_000;

/** Faces closer than this touch, mm. */
const TOUCH = 0.2;

export interface RoomFloor {
  readonly face: Face;
  readonly outline: RoomOutline;
}

/**
 * The floors enclosed by walls. Where a wall of one room is drawn so close to another room that its body reaches
 * over, the wall is solid and the floor stops at it. What is left with hardly any floor is not a room.
 */
export function floorsOf(network: Network): RoomFloor[] {
  const solid = solidsOf(network);
  return facesOf(network)
    .map((face) => {
      const outline = roomOutline(network, face);
      const over = solid(outline.rings);
      if (over.length === 0) return { face, outline };
      const rings = difference(outline.rings, over);
      return { face, outline: { ...outline, rings, area: Math.max(0, ringsArea(rings)) } };
    })
    .filter(({ outline }) => outline.area >= LEAST_FLOOR);
}

/** Finds the wall bodies that reach over a floor, by more than the touch of faces. */
function solidsOf(network: Network): (rings: readonly Ring[]) => Ring[] {
  if (network.walls.length === 0) return () => [];
  const bodies = network.walls.map((wall) => wallBody(network, wall.id).ring);
  const cores = bodies.map(shrunk);
  const index = new Flatbush(bodies.length);
  for (const core of cores) {
    const box = boxAround(core)!;
    index.add(box.minX, box.minY, box.maxX, box.maxY);
  }
  index.finish();
  return (rings) => {
    const box: Box | null = boxAround(rings.flat());
    if (!box) return [];
    return index
      .search(box.minX, box.minY, box.maxX, box.maxY)
      .filter((i) => reachesOver(cores[i]!, rings))
      .map((i) => bodies[i]!);
  };
}

/** A little inside the body, so that faces that merely touch do not count. */
function shrunk(ring: Ring): Ring {
  const centre = { x: 0, y: 0 };
  for (const p of ring) {
    centre.x += p.x / ring.length;
    centre.y += p.y / ring.length;
  }
  const inward = (from: number, to: number) => from + Math.min(TOUCH, Math.max(-TOUCH, to - from));
  return ring.map((p) => ({ x: inward(p.x, centre.x), y: inward(p.y, centre.y) }));
}

function reachesOver(body: Ring, rings: readonly Ring[]): boolean {
  if (body.some((p) => floorContains(rings, p))) return true;
  return rings.some((ring) =>
    ring.some((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      return body.some((c, j) => properCrossing(a, b, c, body[(j + 1) % body.length]!));
    }),
  );
}
