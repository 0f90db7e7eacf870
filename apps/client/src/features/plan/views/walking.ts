import type { Walkable } from '@velvet-tape/core/raised';

/** Where somebody stands: on the sheet and how high, mm. */
export interface Standing {
  readonly x: number;
  readonly y: number;
  readonly level: number;
}

type Ring = readonly { readonly x: number; readonly y: number }[];

/** As high as one steps up, and down, mm (common practice, no source). */
const UP = 350;
const DOWN = 500;
/** So far at a time: no wall is stepped over, mm. */
const STEP = 40;

/** Inside by the even-odd rule: what is cut out of an outline is outside. */
export function inRings(rings: readonly Ring[], x: number, y: number): boolean {
  let inside = false;
  for (const ring of rings)
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
      const [a, b] = [ring[i]!, ring[j]!];
      if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
    }
  return inside;
}

/** How high one would stand at a place, coming from so high; null where a wall is, or nothing to stand on. */
export function levelAt(walkable: Walkable, x: number, y: number, from: number): number | null {
  let best: number | null = null;
  for (const { rings, level, floors } of walkable.footings) {
    if (level > from + UP || level < from - DOWN || (best !== null && level <= best)) continue;
    if (!inRings(rings, x, y)) continue;
    if (floors.some((i) => walkable.floors[i] && inRings(walkable.floors[i].clear, x, y))) best = level;
  }
  return best;
}

/** So far in a direction; along a wall where one is in the way. */
export function walked(walkable: Walkable, from: Standing, dx: number, dy: number): Standing {
  let at = from;
  const length = Math.hypot(dx, dy);
  const steps = Math.max(1, Math.ceil(length / STEP));
  for (let i = 0; i < steps; i += 1) at = stepped(walkable, at, dx / steps, dy / steps);
  return at;
}

function stepped(walkable: Walkable, at: Standing, dx: number, dy: number): Standing {
  // straight on, else a little to either side, as one goes along a wall
  for (const turn of [0, 0.35, -0.35, 0.8, -0.8, 1.2, -1.2]) {
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const [x, y] = [at.x + (dx * cos - dy * sin) * cos, at.y + (dx * sin + dy * cos) * cos];
    const level = levelAt(walkable, x, y, at.level);
    if (level !== null) return { x, y, level };
  }
  return at;
}

/** The room one stands in, and the floor; null outside of all. */
export function roomAt(
  walkable: Walkable,
  { x, y, level }: Standing,
): { readonly room: string; readonly name: string; readonly floor: string } | null {
  const floor = floorAt(walkable, level);
  const room = floor?.rooms.find(({ rings }) => inRings(rings, x, y));
  return floor && room ? { room: room.room, name: room.name, floor: floor.floor } : null;
}

/** The floor whose level is nearest below. */
export function floorAt(walkable: Walkable, level: number): Walkable['floors'][number] | null {
  const below = walkable.floors.filter(({ elevation }) => elevation <= level + 700);
  return below.sort((a, b) => b.elevation - a.elevation)[0] ?? walkable.floors[0] ?? null;
}

/** In the middle of a room, or as near to it as one can stand; null where one can stand nowhere in it. */
export function standIn(walkable: Walkable, room: string): Standing | null {
  const floor = walkable.floors.find(({ rooms }) => rooms.some((each) => each.room === room));
  const own = floor?.rooms.find((each) => each.room === room);
  if (!floor || !own) return null;
  for (let off = 0; off < 4000; off += 200)
    for (let k = 0; k < 12; k += 1) {
      const angle = (k * Math.PI) / 6;
      const [x, y] = [own.at.x + off * Math.cos(angle), own.at.y + off * Math.sin(angle)];
      if (!inRings(own.rings, x, y)) continue;
      const level = levelAt(walkable, x, y, floor.elevation);
      if (level !== null) return { x, y, level };
      if (off === 0) break;
    }
  return null;
}

/** The way one can go farthest from a place, radians: the one worth looking. */
export function openWay(walkable: Walkable, { x, y, level }: Standing): number {
  let best = { way: 0, far: -1 };
  for (let k = 0; k < 24; k += 1) {
    const way = (k * Math.PI) / 12;
    let far = 0;
    while (far < 12_000 && levelAt(walkable, x + far * Math.cos(way), y + far * Math.sin(way), level) !== null)
      far += 150;
    if (far > best.far) best = { way, far };
  }
  return best.way;
}

/** The rooms of the house by their size, the largest first. */
export const roomsBySize = ({ floors }: Walkable): string[] =>
  floors
    .flatMap(({ rooms }) => rooms)
    .map(({ room, rings }) => ({ room, size: sizeOf(rings[0] ?? []) }))
    .sort((a, b) => b.size - a.size)
    .map(({ room }) => room);

/** Of the box round it. */
const sizeOf = (ring: Ring): number => {
  const [xs, ys] = [ring.map(({ x }) => x), ring.map(({ y }) => y)];
  return (Math.max(...xs) - Math.min(...xs)) * (Math.max(...ys) - Math.min(...ys));
};
