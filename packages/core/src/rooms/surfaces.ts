import { lastFor, onceFor } from '../memory';
import Flatbush from 'flatbush';
import {
  type Box,
  type Point,
  type Ring,
  difference,
  distance,
  distanceToCourse,
  flattened,
  inset,
  middle,
  piecesOf,
  properCrossing,
  ringLength,
  ringsArea,
  ringsBox,
} from '../geometry';
import { type Cell, type Network, type WallBody, bodiesOf, cellsOf } from '../walls';
import { surfaceContains, widest } from './label-point';
import { type FaceRun, type RoomOutline, roomOutline } from './room-outline';

/** A cell with less floor than this is no room: 0.05 m², mm². */
export const LEAST_FLOOR = 50_000;
/** What is nowhere wider than this is a gap between walls, not a floor, mm. */
export const NARROWEST_FLOOR = 200;

/** Faces closer than this touch, mm. */
const TOUCH = 0.2;

/** What one walks on between walls: the floor of one room. A storey is called a floor (`Floor`) and has many. */
export interface Surface {
  readonly cell: Cell;
  readonly outline: RoomOutline;
  /** The upright box round the floor, mm. */
  readonly box: Box;
}

/**
 * The floors enclosed by walls. Where a wall of one room is drawn so close to another room that its body reaches
 * over, the wall is solid and the floor stops at it. Where that parts a floor, its pieces are floors of their own. A piece with hardly any floor, or
 * nowhere as wide as a person's foot, is not a room but a gap between walls (`cavitiesOf`).
 */
export const surfacesOf = onceFor((network: Network): readonly Surface[] => findSurfaces(network));

function findSurfaces(network: Network): Surface[] {
  const near = bodiesNear(network);
  return cellsOf(network).flatMap((cell) =>
    piecesOfOutline(cleared(roomOutline(network, cell), near))
      .filter(isSurface)
      .map((outline) => ({ cell, outline, box: outlineBox(outline)! })),
  );
}

/** The connected pieces of an outline, the largest first, which keeps all its faces; the others have those they touch. */
const piecesOfOutline = onceFor((outline: RoomOutline): readonly RoomOutline[] => {
  const parts = piecesOf(outline.rings);
  if (parts.length === 1) return [outline];
  return parts.map((rings, i): RoomOutline => {
    const runs = i === 0 ? outline.runs : outline.runs.filter((run) => touches(run, rings));
    return { rings, runs, area: ringsArea(rings) };
  });
});

/** Does some edge of the rings lie along the face? */
const touches = ({ course }: FaceRun, rings: readonly Ring[]): boolean =>
  rings.some((ring) =>
    flattened(ring).some((a, i, all) => {
      const b = all[(i + 1) % all.length]!;
      return distance(a, b) > 1 && distanceToCourse(course, middle(a, b)) < TOUCH;
    }),
  );

const isSurface = onceFor(({ rings, area }: RoomOutline): boolean => {
  if (area < LEAST_FLOOR) return false;
  const length = rings.reduce((sum, ring) => sum + ringLength(ring), 0);
  // no region is farther from its edges everywhere than area / length (Minkowski sums; from memory)
  return 2 * area >= NARROWEST_FLOOR * length || 2 * widest(rings, 5).radius >= NARROWEST_FLOOR;
});

/** An outline comes with the bodies it was last held against: the same again need no looking. */
const lastCleared = lastFor<RoomOutline, RoomOutline>();

function cleared(outline: RoomOutline, bodiesAt: (box: Box) => WallBody[]): RoomOutline {
  const box = outlineBox(outline);
  if (!box) return outline;
  const near = bodiesAt(box);
  return lastCleared(outline, near, () => {
    const over = near.filter((body) => reachesOver(coreOf(body), outline.rings)).map((body) => body.ring);
    if (over.length === 0) return outline;
    const rings = difference(outline.rings, over);
    return { ...outline, rings, area: Math.max(0, ringsArea(rings)) };
  });
}

const outlineBox = onceFor(({ rings }: RoomOutline): Box | null => ringsBox(rings));

/** Finds the wall bodies whose box meets another box, always in the order of the walls. */
function bodiesNear(network: Network): (box: Box) => WallBody[] {
  const bodies = bodiesOf(network);
  if (bodies.length === 0) return () => [];
  const index = new Flatbush(bodies.length);
  for (const body of bodies) {
    const { box } = coreOf(body);
    index.add(box.minX, box.minY, box.maxX, box.maxY);
  }
  index.finish();
  return (box) =>
    index
      .search(box.minX, box.minY, box.maxX, box.maxY)
      .sort((a, b) => a - b)
      .map((i) => bodies[i]!);
}

interface Core {
  readonly rings: readonly Ring[];
  readonly box: Box;
}

const NOWHERE: Box = { minX: 0, minY: 0, maxX: 0, maxY: 0 };

const coreOf = onceFor(({ ring }: WallBody): Core => {
  const rings = isConvex(ring) ? [shrunk(ring)] : inset([ring], TOUCH);
  return { rings, box: ringsBox(rings) ?? NOWHERE };
});

function isConvex(ring: Ring): boolean {
  return ring.every((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    const c = ring[(i + 2) % ring.length]!;
    return !a.bulge && (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x) >= -1e-6;
  });
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

function reachesOver({ rings: body, box }: Core, outline: readonly Ring[]): boolean {
  const rings = outline.map(flattened);
  if (body.some((ring) => ring.some((p) => surfaceContains(rings, p)))) return true;
  return rings.some((ring) =>
    ring.some((a, i) => {
      if (isIn(box, a) && surfaceContains(body, a)) return true;
      const b = ring[(i + 1) % ring.length]!;
      return body.some((core) => core.some((c, j) => properCrossing(a, b, c, core[(j + 1) % core.length]!)));
    }),
  );
}

const isIn = (box: Box, { x, y }: Point): boolean => x >= box.minX && x <= box.maxX && y >= box.minY && y <= box.maxY;

/** The floor that a point lies on. */
export function surfaceAt(floors: readonly Surface[], { x, y }: Point): Surface | undefined {
  for (const floor of floors) {
    if (isIn(floor.box, { x, y }) && surfaceContains(floor.outline.rings, { x, y })) return floor;
  }
  return undefined;
}
