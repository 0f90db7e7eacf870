import {
  type Corner,
  type Network,
  type Place,
  type Point,
  type Reading,
  type Wall,
  deviationOf,
  diagonalsOf,
  cellsOf,
  networkOf,
  roomOutline,
  valueOnPlan,
} from '../src';
import { reading } from './random-floors';

export interface RandomHouse {
  readonly corners: Readonly<Record<string, Corner>>;
  readonly walls: readonly Wall[];
}

interface Rectangle {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** A rectangle cut into so many rooms by walls from side to side, again and again: rooms share walls, corners and tees. */
export function randomHouse(random: () => number, rooms: number): RandomHouse {
  const side = Math.sqrt(rooms) * (3000 + 1500 * random());
  const cells: Rectangle[] = [{ x: 0, y: 0, w: Math.round(side * (0.8 + 0.4 * random())), h: Math.round(side) }];
  while (cells.length < rooms) {
    const { x, y, w, h } = cells.sort((a, b) => b.w * b.h - a.w * a.h).shift()!;
    const cut = Math.round((w > h ? w : h) * (0.38 + 0.24 * random()));
    if (w > h) cells.push({ x, y, w: cut, h }, { x: x + cut, y, w: w - cut, h });
    else cells.push({ x, y, w, h: cut }, { x, y: y + cut, w, h: h - cut });
  }
  const corners: Record<string, Corner> = {};
  const at = (x: number, y: number) => {
    const id = `c${x}.${y}`;
    corners[id] ??= { id, floor: 'g', x, y };
    return id;
  };
  for (const { x, y, w, h } of cells)
    for (const [px, py] of [
      [x, y],
      [x + w, y],
      [x + w, y + h],
      [x, y + h],
    ] as const)
      at(px, py);
  const walls = new Map<string, Wall>();
  const all = Object.values(corners);
  const outer = { w: Math.max(...all.map((c) => c.x)), h: Math.max(...all.map((c) => c.y)) };
  for (const { x, y, w, h } of cells) {
    const edges = [
      [
        { x, y },
        { x: x + w, y },
      ],
      [
        { x: x + w, y },
        { x: x + w, y: y + h },
      ],
      [
        { x: x + w, y: y + h },
        { x, y: y + h },
      ],
      [
        { x, y: y + h },
        { x, y },
      ],
    ] as const;
    for (const [a, b] of edges) {
      const along = (c: Point) =>
        b.x !== a.x ? (c.x - a.x) * Math.sign(b.x - a.x) : (c.y - a.y) * Math.sign(b.y - a.y);
      const length = along(b);
      const on = all
        .filter((c) => (a.x === b.x ? c.x === a.x : c.y === a.y) && along(c) >= 0 && along(c) <= length)
        .sort((c, d) => along(c) - along(d));
      const outside = a.x === b.x ? a.x === 0 || a.x === outer.w : a.y === 0 || a.y === outer.h;
      on.slice(1).forEach((end, i) => {
        const start = on[i]!;
        const key = [start.id, end.id].sort().join();
        if (walls.has(key)) return;
        const shares = outside
          ? { left: 250, right: 0, kind: 'external' as const }
          : { left: 50, right: 50, kind: 'internal' as const };
        walls.set(key, {
          id: `w${walls.size}`,
          floor: 'g',
          start: start.id,
          end: end.id,
          bulge: 0,
          typed: false,
          hatch: null,
          tint: null,
          ...shares,
        });
      });
    }
  }
  return { corners, walls: [...walls.values()] };
}

/** The same house out of square: leaning and tapering, its walls as straight as before. Angles turn by up to about `degrees`. */
export function outOfSquare({ corners, walls }: RandomHouse, random: () => number, degrees: number): RandomHouse {
  const size = Math.max(...Object.values(corners).flatMap(({ x, y }) => [x, y]));
  const t = () => Math.tan((degrees * Math.PI) / 180) * (2 * random() - 1);
  const [leanX, leanY, taperX, taperY] = [t(), t(), t(), t()];
  const moved = ({ x, y, ...rest }: Corner): Corner => ({
    ...rest,
    x: x + leanX * y + (taperX * x * y) / size,
    y: y + leanY * x + (taperY * x * y) / size,
  });
  return { walls, corners: Object.fromEntries(Object.values(corners).map((c) => [c.id, moved(c)])) };
}

/** Where a person reads: every wall of every room, and so many diagonals a room. */
export function placesOf(network: Network, diagonals: number): Place[] {
  return cellsOf(network).flatMap((face) => {
    const { runs } = roomOutline(network, face);
    const across = diagonalsOf({ faces: runs.map((run) => ({ ...run, reading: null })) });
    return [
      ...runs.map(({ from, to }): Place => ({ kind: 'length', face: 'inside', from, to, via: [] })),
      ...across.slice(0, diagonals),
    ];
  });
}

/** A normally distributed number (Box and Muller). */
export const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** What a tape or a laser reads there, with noise as its deviation says. */
export function readAll(
  house: RandomHouse,
  places: readonly Place[],
  random: () => number,
  instrument: 'tape' | 'laser',
): Reading[] {
  const network = networkOf(house.corners, house.walls);
  return places.map((place, i) => {
    const exact = valueOnPlan(network, place)!;
    const read = { ...reading({ ...place, value: exact }), id: `r${i}`, instrument };
    return { ...read, value: exact + normal(random) * deviationOf(read) };
  });
}
