import { type FoundWall, type Point, distance } from '../src';
import type { TrueWall } from './drawn-plans';

export interface WallScore {
  /** Length of the true walls, and how much of it was found within one wall thickness, px. */
  readonly all: number;
  readonly hit: number;
  /** Length that was found, and how much of it is a true wall. */
  readonly found: number;
  readonly right: number;
  /** Doors and windows; how many of them were found within half a width; how many were found in all. */
  readonly gaps: number;
  readonly gapsHit: number;
  readonly gapsFound: number;
}

type Line = { readonly a: Point; readonly b: Point; readonly thickness: number };

/** Every pixel along the walls is looked at: is there one of the others, going the same way, no further off than that wall is thick? */
export function scoreOf(truth: readonly TrueWall[], found: readonly FoundWall[]): WallScore {
  const [hit, all] = covered(truth, found, (wall) => wall.thickness);
  const [right, total] = covered(found, truth, () => 0);
  const gapsOf = (walls: readonly FoundWall[]) =>
    walls.flatMap((wall) => wall.gaps.map(({ from, to }) => ({ at: along(wall, (from + to) / 2), wide: to - from })));
  const [meant, seen] = [gapsOf(truth), gapsOf(found)];
  return {
    all,
    hit,
    found: total,
    right,
    gaps: meant.length,
    gapsHit: meant.filter((gap) => seen.some((other) => distance(gap.at, other.at) < gap.wide / 2)).length,
    gapsFound: seen.length,
  };
}

const along = ({ a, b }: Line, px: number): Point => {
  const length = distance(a, b);
  return { x: a.x + ((b.x - a.x) * px) / length, y: a.y + ((b.y - a.y) * px) / length };
};

function covered(walls: readonly Line[], by: readonly Line[], within: (wall: Line) => number): [number, number] {
  let [hit, all] = [0, 0];
  for (const wall of walls) {
    const length = distance(wall.a, wall.b);
    for (let at = 0.5; at < length; at += 1) {
      all += 1;
      const p = along(wall, at);
      if (by.some((other) => sameWay(wall, other) && off(other, p) <= (within(wall) || other.thickness))) hit += 1;
    }
  }
  return [hit, all];
}

const sameWay = (one: Line, two: Line): boolean => {
  const [d, e] = [one, two].map(({ a, b }) => ({ x: (b.x - a.x) / distance(a, b), y: (b.y - a.y) / distance(a, b) }));
  return Math.abs(d!.x * e!.y - d!.y * e!.x) < 0.09;
};

/** From a point to the stretch between two others. */
function off({ a, b }: Line, p: Point): number {
  const square = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  const k = Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / square));
  return distance(p, { x: a.x + k * (b.x - a.x), y: a.y + k * (b.y - a.y) });
}
