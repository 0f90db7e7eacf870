import Flatbush from 'flatbush';
import {
  type Box,
  type Point,
  type Ring,
  boxAround,
  difference,
  flattened,
  inset,
  properCrossing,
  ringsArea,
  ringsBox,
} from '../geometry';
import { type Face, type Network, type WallBody, bodiesOf, facesOf } from '../walls';
import { floorContains } from './label-point';
import { type RoomOutline, roomOutline } from './room-outline';

/** A face with less floor than this is solid wall, not a room: 0.05 m², mm². */
export const LEAST_FLOOR = 50_000;

/** Faces closer than this touch, mm. */
const TOUCH = 0.2;

export interface RoomFloor {
  readonly face: Face;
  readonly outline: RoomOutline;
  /** The upright box round the floor, mm. */
  readonly box: Box;
}

const remembered = new WeakMap<Network, readonly RoomFloor[]>();

/**
 * The floors enclosed by walls. Where a wall of one room is drawn so close to another room that its body reaches
 * over, the wall is solid and the floor stops at it. What is left with hardly any floor is not a room.
 */
export function floorsOf(network: Network): readonly RoomFloor[] {
  let floors = remembered.get(network);
  if (!floors) remembered.set(network, (floors = findFloors(network)));
  return floors;
}

function findFloors(network: Network): RoomFloor[] {
  const near = bodiesNear(network);
  return facesOf(network)
    .map((face) => ({ face, outline: cleared(roomOutline(network, face), near) }))
    .filter(({ outline }) => outline.area >= LEAST_FLOOR)
    .map(({ face, outline }) => ({ face, outline, box: outlineBox(outline)! }));
}

/** An outline comes with the bodies it was last held against: the same again need no looking. */
const clearedBefore = new WeakMap<RoomOutline, { near: readonly WallBody[]; result: RoomOutline }>();

function cleared(outline: RoomOutline, bodiesAt: (box: Box) => WallBody[]): RoomOutline {
  const box = outlineBox(outline);
  if (!box) return outline;
  const near = bodiesAt(box);
  const last = clearedBefore.get(outline);
  if (last && last.near.length === near.length && last.near.every((body, i) => body === near[i])) return last.result;
  const over = near.filter((body) => reachesOver(coreOf(body), outline.rings)).map((body) => body.ring);
  const rings = over.length > 0 ? difference(outline.rings, over) : outline.rings;
  const result = over.length > 0 ? { ...outline, rings, area: Math.max(0, ringsArea(rings)) } : outline;
  clearedBefore.set(outline, { near, result });
  return result;
}

const boxes = new WeakMap<RoomOutline, Box | null>();

function outlineBox(outline: RoomOutline): Box | null {
  let box = boxes.get(outline);
  if (box === undefined) boxes.set(outline, (box = ringsBox(outline.rings)));
  return box;
}

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
  readonly ring: Ring;
  readonly box: Box;
}

const NOWHERE: Box = { minX: 0, minY: 0, maxX: 0, maxY: 0 };
const cores = new WeakMap<WallBody, Core>();

function coreOf(body: WallBody): Core {
  let core = cores.get(body);
  if (!core) {
    const ring = isConvex(body.ring) ? shrunk(body.ring) : (inset([body.ring], TOUCH)[0] ?? []);
    cores.set(body, (core = { ring, box: boxAround(ring) ?? NOWHERE }));
  }
  return core;
}

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

function reachesOver({ ring: body }: Core, outline: readonly Ring[]): boolean {
  const rings = outline.map(flattened);
  if (body.some((p) => floorContains(rings, p))) return true;
  return rings.some((ring) =>
    ring.some((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      return body.some((c, j) => properCrossing(a, b, c, body[(j + 1) % body.length]!));
    }),
  );
}

/** The floor that a point lies on. */
export function floorAt(floors: readonly RoomFloor[], { x, y }: Point): RoomFloor | undefined {
  for (const floor of floors) {
    const { box } = floor;
    if (x < box.minX || x > box.maxX || y < box.minY || y > box.maxY) continue;
    if (floorContains(floor.outline.rings, { x, y })) return floor;
  }
  return undefined;
}
