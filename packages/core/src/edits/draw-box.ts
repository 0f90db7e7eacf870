import { type Draft, Refusal } from '../plan/draft';
import type { Id } from '../plan/plan';
import { formatLength } from '../units';
import type { Intent } from './intent';
import { settle } from './settle';

/** A room is at least this wide each way, mm. */
const NARROWEST = 300;

/**
 * A room dragged out from corner to corner. The box is its inside; the walls stand outside it with the job's
 * usual thickness. Where it touches walls that are there already, they are shared.
 */
export function drawBox(draft: Draft, { floor, a, b }: Extract<Intent, { kind: 'drawBox' }>): Id | void {
  const attach = attacher(draft, floor);
  const xs = [Math.min(a.x, b.x), Math.max(a.x, b.x)] as const;
  const ys = [Math.min(a.y, b.y), Math.max(a.y, b.y)] as const;
  const [left, right] = [attach('x', xs[0], ys), attach('x', xs[1], ys)];
  const [top, bottom] = [attach('y', ys[0], xs), attach('y', ys[1], xs)];
  if (!(right - left >= NARROWEST && bottom - top >= NARROWEST)) {
    throw new Refusal(`A room needs at least ${formatLength(NARROWEST, draft.job.units)} each way. Drag further.`);
  }
  const corners = [
    draft.addCorner(floor, left, top),
    draft.addCorner(floor, right, top),
    draft.addCorner(floor, right, bottom),
    draft.addCorner(floor, left, bottom),
  ];
  const thickness = draft.job.usual.externalThickness;
  const walls = corners.map((corner, i) =>
    draft.addWall({
      floor,
      start: corner.id,
      end: corners[(i + 1) % 4]!.id,
      left: thickness,
      right: 0,
      kind: 'external',
      typed: false,
    }),
  );
  settle(draft, floor, { changed: walls.map((wall) => wall.id) });
  return Object.keys(draft.rooms).find((id) => !(id in draft.before.rooms));
}

/** A side of the box this close to a wall is meant to stand against it, mm. */
const BESIDE = 20;

/**
 * Finds the wall that a side of the box stands in or against: one that runs the same way, overlaps the side, and
 * whose body (and a little more) holds it. The side goes onto that wall's line, so that the two become one wall.
 */
function attacher(draft: Draft, floor: Id) {
  const walls = Object.values(draft.walls).filter((wall) => wall.floor === floor);
  return (axis: 'x' | 'y', at: number, [low, high]: readonly [number, number]): number => {
    const along = axis === 'x' ? 'y' : 'x';
    let best = { line: at, off: Infinity };
    for (const wall of walls) {
      const start = draft.corners[wall.start]!;
      const end = draft.corners[wall.end]!;
      if (Math.abs(start[axis] - end[axis]) > 1) continue;
      const overlap =
        Math.min(high, Math.max(start[along], end[along])) - Math.max(low, Math.min(start[along], end[along]));
      if (overlap < NARROWEST) continue;
      // walking down the sheet the right hand points to smaller x, walking right it points down
      const forward = end[along] > start[along] ? 1 : -1;
      const toRight = (axis === 'x' ? -forward : forward) * wall.right;
      const toLeft = (axis === 'x' ? forward : -forward) * wall.left;
      const off = at - start[axis];
      const outside = Math.max(Math.min(toRight, toLeft) - off, off - Math.max(toRight, toLeft), 0);
      if (outside <= BESIDE && Math.abs(off) < best.off) best = { line: start[axis], off: Math.abs(off) };
    }
    return best.line;
  };
}
