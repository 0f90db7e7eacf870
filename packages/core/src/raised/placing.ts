import { partsOfSurface } from '../finishes/surface';
import type { DerivedFloor, DerivedRoom } from '../derived';
import { type Course, type Point, alongOf, flattened, rightOf } from '../geometry';
import { onceFor } from '../memory';
import type { FinishLook } from '../plan/plan';
import { besideOf, sideKey } from './wall-top';

/** x, y, z as in a mesh, mm. */
type Place = readonly [number, number, number];

/** How a surface lies before whoever looks at it: mm to the right and up from where it begins, and how far it reaches. */
interface Spread {
  readonly at: (p: Place, normal: Place) => readonly [number, number];
  readonly low: readonly [number, number];
  readonly high: readonly [number, number];
}

/** From a place on a surface, with the direction it looks there, to a place of the pattern that is laid on it: mm along and up from the first corner of its first unit. */
export type OnPattern = (p: Place, normal: Place) => readonly [number, number];

/** Where the pattern of a look lies on a surface of a floor. */
export function laidOn(floor: DerivedFloor, surface: string, look: FinishLook): OnPattern {
  const { at, low, high } = spreadOf(floor, surface);
  const [x, y] = startOf(look, low, high);
  const angle = (look.turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return (p, normal) => {
    const [a, b] = at(p, normal);
    return [(a - x) * cos + (b - y) * sin, (b - y) * cos - (a - x) * sin];
  };
}

/** Where the first whole one begins: at a corner, so that it ends there where that is at the right or at the head; in the middle half of one lies to either side. */
function startOf(
  { start, along, across, joint }: FinishLook,
  low: readonly [number, number],
  high: readonly [number, number],
): readonly [number, number] {
  if (start === 'middle') return [(low[0] + high[0] - along) / 2, (low[1] + high[1] - across) / 2];
  return [start.endsWith('right') ? high[0] + joint : low[0], start.startsWith('head') ? high[1] + joint : low[1]];
}

function spreadOf(floor: DerivedFloor, surface: string): Spread {
  const { kind, of } = partsOfSurface(surface);
  const [first = '', second = '', third] = of;
  if (kind === 'face') {
    const face = besideOf(floor).get(sideKey(second, third === 'left' ? 'left' : 'right'));
    if (face) return onFace(face.face.course, face.room.ceilingHeight);
  }
  if (kind === 'outside' && floor.network.walls.some(({ id }) => id === first))
    return onFace(floor.network.half(first, second !== 'left').course, 0);
  if (kind === 'floor' || kind === 'ceiling') {
    const room = floor.rooms.find(({ room: { id } }) => id === first);
    if (room) return onRoom(room);
  }
  return ANYWHERE;
}

/** From its left end, as one sees it from the room, and from the floor. */
const onFace = (course: Course, height: number): Spread => ({
  at: ([x, y, z]) => [alongOf(course, { x, y: z }), y],
  low: [0, 0],
  high: [course.length, height],
});

/** Along the longest wall, and from it into the room. */
const onRoom = onceFor(({ faces, outline, label }: DerivedRoom): Spread => {
  const [longest] = [...faces].sort((a, b) => b.length - a.length);
  const [from, d] = longest ? [longest.a, longest.d] : [label, { x: 1, y: 0 }];
  const n = rightOf(d);
  const at = (p: Point): readonly [number, number] => {
    const [x, y] = [p.x - from.x, p.y - from.y];
    return [x * d.x + y * d.y, x * n.x + y * n.y];
  };
  const all = outline.rings.flatMap((ring) => flattened(ring).map(at));
  const reach = (k: 0 | 1) => all.map((each) => each[k]);
  return {
    at: ([x, , z]) => at({ x, y: z }),
    low: [Math.min(...reach(0)), Math.min(...reach(1))],
    high: [Math.max(...reach(0)), Math.max(...reach(1))],
  };
});

/** What is upright from left to right and up, what is level as on the sheet. */
const ANYWHERE: Spread = {
  at: ([x, y, z], [nx, ny, nz]) => {
    if (Math.abs(ny) > 0.7) return [x, z];
    const long = Math.hypot(nx, nz) || 1;
    return [(x * nz - z * nx) / long, y];
  },
  low: [0, 0],
  high: [0, 0],
};
