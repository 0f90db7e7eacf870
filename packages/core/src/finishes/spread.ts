import type { DerivedRoom } from '../derived';
import { type Point, flattened, rightOf } from '../geometry';
import { onceFor } from '../memory';
import type { FinishLook } from '../plan/plan';

/** How far a surface reaches, mm to the right and up from where it begins. */
export interface Reach {
  readonly low: readonly [number, number];
  readonly high: readonly [number, number];
}

/** The floor of a room, and its ceiling: along the longest wall from its left end, and from that wall into the room. */
export interface RoomSpread extends Reach {
  readonly from: Point;
  /** Unit directions. */
  readonly d: Point;
  readonly n: Point;
  at(p: Point): readonly [number, number];
}

export const spreadOfRoom = onceFor(({ faces, outline, label }: DerivedRoom): RoomSpread => {
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
    ...{ from, d, n, at },
    low: [Math.min(...reach(0)), Math.min(...reach(1))],
    high: [Math.max(...reach(0)), Math.max(...reach(1))],
  };
});

/** Where the first whole one begins: at a corner, so that it ends there where that is at the right or at the head; in the middle half of one lies to either side. */
export function startOf(
  { start, along, across, joint }: Pick<FinishLook, 'start' | 'along' | 'across' | 'joint'>,
  { low, high }: Reach,
): readonly [number, number] {
  if (start === 'middle') return [(low[0] + high[0] - along) / 2, (low[1] + high[1] - across) / 2];
  return [start.endsWith('right') ? high[0] + joint : low[0], start.startsWith('head') ? high[1] + joint : low[1]];
}
