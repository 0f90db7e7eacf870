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
  const [left, right] = a.x < b.x ? [a.x, b.x] : [b.x, a.x];
  const [top, bottom] = a.y < b.y ? [a.y, b.y] : [b.y, a.y];
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
