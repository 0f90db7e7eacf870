import { partsOfSurface } from '../finishes/surface';
import type { DerivedFloor, DerivedRoom } from '../derived';
import { type Course, alongOf } from '../geometry';
import { type Reach, spreadOfRoom, startOf } from '../finishes/spread';
import { periodOf } from '../finishes/texture';
import type { FinishLook, Plan } from '../plan/plan';
import type { Drawable } from './drawable';
import { type Material, materialOf } from './material';
import { besideOf, sideKey } from './wall-top';

/** x, y, z as in a mesh, mm. */
type Place = readonly [number, number, number];

/** How a surface lies before whoever looks at it: mm to the right and up from where it begins, and how far it reaches. */
interface Spread extends Reach {
  readonly at: (p: Place, normal: Place) => readonly [number, number];
}

/** From a place on a surface, with the direction it looks there, to a place of the pattern that is laid on it: mm along and up from the first corner of its first unit. */
export type OnPattern = (p: Place, normal: Place) => readonly [number, number];

/** Where the pattern of a look lies on a surface of a floor. */
export function laidOn(floor: DerivedFloor, surface: string, look: FinishLook): OnPattern {
  const { at, ...reach } = spreadOf(floor, surface);
  const [x, y] = startOf(look, reach);
  const angle = (look.turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return (p, normal) => {
    const [a, b] = at(p, normal);
    return [(a - x) * cos + (b - y) * sin, (b - y) * cos - (a - x) * sin];
  };
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

/** Along its longest wall, and from that into the room. */
function onRoom(room: DerivedRoom): Spread {
  const { at, low, high } = spreadOfRoom(room);
  return { at: ([x, , z]) => at({ x, y: z }), low, high };
}

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

/** What is drawn of a mesh with what lies on it: two numbers for each corner, in repeats of its pattern, and what each surface looks like. */
export interface Patterned {
  readonly places: Float32Array;
  readonly materials: readonly Material[];
}

/** Of what one colour covers, the places are nothing. `floor`: the one it is on. */
export function patterned(drawn: Drawable, floor: DerivedFloor, plan: Pick<Plan, 'finishes' | 'pieces'>): Patterned {
  const { positions: p, normals: n, surfaces } = drawn;
  const places = new Float32Array((2 * p.length) / 3);
  const materials = surfaces.map(({ surface, from, count }) => {
    const material = materialOf(surface, plan);
    if (!material.look) return material;
    const on = laidOn(floor, surface, material.look);
    const { u, v } = periodOf(material.look);
    for (let i = from; i < from + count; i += 1) {
      const k = 3 * i;
      const [a, b] = on([1000 * p[k]!, 1000 * p[k + 1]!, 1000 * p[k + 2]!], [n[k]!, n[k + 1]!, n[k + 2]!]);
      places.set([a / u, b / v], 2 * i);
    }
    return material;
  });
  return { places, materials };
}
