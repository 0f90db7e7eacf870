import { onceFor } from '../memory';
import { type Ring, ringContains, signedArea } from '../geometry';
import type { Corner, Id } from '../plan/plan';
import { type HalfWall, type Network, closedWalks } from './network';

/** A closed walk along walls with the enclosed (or enclosing) area at the right hand. */
export interface Loop {
  readonly halves: readonly HalfWall[];
  /** Signed area of the line between corners, mm²; positive: a bounded cell, negative: the outside of connected walls. */
  readonly area: number;
}

/** A bounded cell of the wall graph: its outline and, inside it, the outsides of what stands free within. */
export interface Cell {
  readonly outline: Loop;
  readonly holes: readonly Loop[];
}

/** The line of a loop from corner to corner. */
export const cornerRing = (network: Network, loop: Loop): Ring =>
  lineOf(
    loop.halves,
    loop.halves.map((half) => network.corners.get(half.from)!),
  );

/** Corners as an outline, bowed where their walls are. */
function lineOf(halves: readonly HalfWall[], corners: readonly Corner[]): Ring {
  if (!halves.some((half) => half.bulge !== 0)) return corners;
  return halves.map(({ bulge }, i) => ({ x: corners[i]!.x, y: corners[i]!.y, ...(bulge !== 0 && { bulge }) }));
}

/**
 * All loops of the graph: each side of each wall is walked exactly once. Open-ended walls are walked along
 * both sides. Linear in the number of walls.
 */
export function loopsOf(network: Network): Loop[] {
  return closedWalks(network).map(({ halves, corners }) => ({ halves, area: signedArea(lineOf(halves, corners)) }));
}

/** The bounded cells of the graph, with what stands free inside them. Loops that enclose less than 1 mm² count as nothing. */
export const cellsOf = onceFor((network: Network): readonly Cell[] => traceCells(network));

const LEAST = 1;

function traceCells(network: Network): Cell[] {
  const loops = loopsOf(network);
  const outlines = loops.filter((loop) => loop.area > LEAST);
  const outsides = loops.filter((loop) => loop.area <= LEAST);
  const holes: Loop[][] = outlines.map(() => []);
  if (outsides.length > 1) {
    const rings = outlines.map((loop) => cornerRing(network, loop));
    const component = componentsOf(network);
    const home = outlines.map((loop) => component.get(loop.halves[0]!.from)!);
    for (const outside of outsides) {
      const own = component.get(outside.halves[0]!.from)!;
      const probe = network.corners.get(outside.halves[0]!.from)!;
      let best = -1;
      rings.forEach((ring, i) => {
        if (home[i] === own || !ringContains(ring, probe)) return;
        if (best < 0 || outlines[i]!.area < outlines[best]!.area) best = i;
      });
      if (best >= 0) holes[best]!.push(outside);
    }
  }
  return outlines.map((outline, i) => ({ outline, holes: holes[i]! }));
}

/** The same for the same walls in the same order, wherever the walk round the cell began. */
export const cellKey = (cell: Cell): string => keyOf(cell.outline);

function keyOf(loop: Loop): string {
  const ids = loop.halves.map((half) => `${half.wall.id}${half.forward ? '+' : '-'}`);
  let first = 0;
  for (let i = 1; i < ids.length; i += 1) if (ids[i]! < ids[first]!) first = i;
  return [...ids.slice(first), ...ids.slice(0, first)].join(' ');
}

/** Which connected part of the graph each corner belongs to. */
export function componentsOf(network: Network): Map<Id, number> {
  const component = new Map<Id, number>();
  let count = 0;
  for (const id of network.corners.keys()) {
    if (component.has(id)) continue;
    const queue = [id];
    component.set(id, count);
    for (let next = queue.pop(); next !== undefined; next = queue.pop()) {
      for (const half of network.stars.get(next)!.around) {
        if (component.has(half.to)) continue;
        component.set(half.to, count);
        queue.push(half.to);
      }
    }
    count += 1;
  }
  return component;
}

const LEFT = 1;
const RIGHT = 2;
/** The walls that look at an enclosed floor, with the sides on which they do; to be read with `sidesOf`. */
export const enclosedSides = onceFor((network: Network): ReadonlyMap<Id, number> => {
  const sides = new Map<Id, number>();
  const note = ({ halves }: Loop) => {
    for (const { wall, forward } of halves) sides.set(wall.id, (sides.get(wall.id) ?? 0) | (forward ? RIGHT : LEFT));
  };
  for (const cell of cellsOf(network)) {
    note(cell.outline);
    cell.holes.forEach(note);
  }
  return sides;
});

export function sidesOf(sides: ReadonlyMap<Id, number>, wall: Id): { left: boolean; right: boolean } {
  const at = sides.get(wall) ?? 0;
  return { left: (at & LEFT) !== 0, right: (at & RIGHT) !== 0 };
}
