import { type Point, distance } from '../geometry';
import type { Underlay } from '../plan/plan';
import type { FoundWall } from './find-walls';
import { toHouse } from './placement';

/** A wall that was seen on a picture: its middle line on the sheet, and what is in it, mm from `a`. */
export interface SeenWall {
  readonly a: Point;
  readonly b: Point;
  readonly thickness: number;
  readonly gaps: readonly { readonly from: number; readonly to: number; readonly kind: 'door' | 'window' }[];
}

/** Walls found on the picture of an underlay, where it lies on the sheet. */
export function seenWalls(underlay: Underlay, found: readonly FoundWall[]): SeenWall[] {
  return found.map((wall) => {
    const [a, b] = [toHouse(underlay, wall.a), toHouse(underlay, wall.b)];
    const length = distance(wall.a, wall.b);
    const along = distance(a, b) / length;
    // its thickness is across the picture where its length is along it
    const n = { x: (wall.a.y - wall.b.y) / length, y: (wall.b.x - wall.a.x) / length };
    const across = distance(a, toHouse(underlay, { x: wall.a.x + n.x, y: wall.a.y + n.y }));
    const gaps = wall.gaps.map(({ from, to, kind }) => ({ kind, from: from * along, to: to * along }));
    return { a, b, thickness: wall.thickness * across, gaps };
  });
}
