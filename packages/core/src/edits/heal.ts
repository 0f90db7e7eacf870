import { bulgeThrough, cross, dot, sameCourse } from '../geometry';
import type { Draft } from '../plan/draft';
import { namedBy } from '../plan/footing';
import type { Id } from '../plan/plan';
import { networkOfFloor } from '../rooms';
import { type HalfWall, carries } from '../walls';

/** A corner left with two like walls in one line, or on one arc, is taken out, unless something is taped from it. */
export function heal(draft: Draft, floor: Id, id: Id): void {
  const star = networkOfFloor(draft, floor).stars.get(id);
  if (!star || star.around.length !== 2) return;
  const [one, two] = star.around as [HalfWall, HalfWall];
  const alike =
    Math.abs(one.left - two.right) < 1e-6 && Math.abs(one.right - two.left) < 1e-6 && one.wall.kind === two.wall.kind;
  const inLine =
    one.bulge === 0 && two.bulge === 0
      ? Math.abs(cross(one.d, two.d)) < 1e-6 && dot(one.d, two.d) < 0
      : dot(one.d, two.d) < 0 && sameCourse(one.course, two.course, 1);
  if (alike && inLine) join(draft, one, two);
}

/** One wall in the place of two that leave a corner, unless something depends on the corner. True when it was done. */
export function join(draft: Draft, one: HalfWall, two: HalfWall): boolean {
  const corner = one.from;
  const used = [...namedBy(draft, 'corners', corner)].some(({ name }) => name !== 'walls');
  if (used || carries(draft, one.wall.id) || carries(draft, two.wall.id) || one.to === two.to) return false;
  const { wall } = one;
  // walked from the far end of the first to the far end of the second
  const [a, b] = [draft.corners[one.to]!, draft.corners[two.to]!];
  const arcs = one.bulge !== 0 && two.bulge !== 0;
  const bulge = arcs ? bulgeThrough(a, b, draft.corners[corner]!) : 0;
  const forward = wall.end === corner;
  draft.put('walls', {
    ...wall,
    ...(forward ? { end: two.to, bulge } : { start: two.to, bulge: 0 - bulge }),
  });
  draft.drop('walls', two.wall.id);
  return true;
}
