import { bulgeThrough, cross, dot, sameCourse } from '../geometry';
import type { Draft } from '../plan/draft';
import { namedBy } from '../plan/footing';
import { type Id, type WallEnd, type WallSide, otherSide } from '../plan/plan';
import { networkOfFloor } from '../rooms';
import { type HalfWall, carries, putAt, standingOn } from '../walls';

/** A corner left with two like walls in one line, or on one arc, is taken out, unless something is taped from it. */
export function heal(draft: Draft, floor: Id, id: Id): void {
  const star = networkOfFloor(draft, floor).stars.get(id);
  if (!star || star.around.length !== 2) return;
  const [one, two] = star.around as [HalfWall, HalfWall];
  const alike =
    Math.abs(one.left - two.right) < 1e-6 &&
    Math.abs(one.right - two.left) < 1e-6 &&
    one.wall.kind === two.wall.kind &&
    one.wall.hatch === two.wall.hatch &&
    one.wall.tint === two.wall.tint;
  const inLine =
    one.bulge === 0 && two.bulge === 0
      ? Math.abs(cross(one.d, two.d)) < 1e-6 && dot(one.d, two.d) < 0
      : dot(one.d, two.d) < 0 && sameCourse(one.course, two.course, 1);
  if (alike && inLine && wholesOf(draft, one, 'right') === wholesOf(draft, two, 'left')) join(draft, one, two);
}

/** What is on a wall from end to end, as one walks along it out from a corner; of two that leave it in one line the right of the one is the left of the other. */
const wholesOf = (draft: Draft, { wall, forward }: HalfWall, first: WallSide): string =>
  standingOn(draft, wall.id)
    .flatMap(({ how, entity, it }) =>
      how.whole ? [`${(forward ? it.side : otherSide(it.side)) === first} ${how.whole(entity)}`] : [],
    )
    .sort()
    .join();

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
  comeAlong(draft, corner, two, { wall: wall.id, end: forward ? 'end' : 'start' });
  draft.put('walls', {
    ...wall,
    ...(forward ? { end: two.to, bulge } : { start: two.to, bulge: 0 - bulge }),
  });
  draft.drop('walls', two.wall.id);
  return true;
}

/**
 * What stands lightly on the second of two walls that become one: what is taped from its far end is so on the one wall, at the end that is now there; what was taped from
 * the corner that goes, goes with it.
 */
function comeAlong(draft: Draft, corner: Id, two: HalfWall, { wall, end }: { wall: Id; end: WallEnd }): void {
  const far = two.wall.start === corner ? 'end' : 'start';
  for (const each of [...standingOn(draft, wall), ...standingOn(draft, two.wall.id)]) {
    const { name, id, it, how } = each;
    const second = it.wall === two.wall.id;
    if (how.whole) {
      if (second) draft.drop(name, id);
      continue;
    }
    if (it.anchor !== (second ? far : end === 'end' ? 'start' : 'end')) draft.drop(name, id);
    else if (second) putAt(draft, each, { wall, anchor: end, side: far === end ? it.side : otherSide(it.side) });
  }
}
