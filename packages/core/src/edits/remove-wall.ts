import { cross, dot } from '../geometry';
import type { Draft } from '../plan/draft';
import type { Id } from '../plan/plan';
import { networkOfFloor } from '../rooms';
import type { Intent } from './intent';
import { requireFace } from './require';
import { settle } from './settle';

/** The walls of a face go, with their openings. Walls that met them in line heal; rooms on both sides become one. */
export function removeWall(draft: Draft, { floor, face: key }: Extract<Intent, { kind: 'removeWall' }>): void {
  const face = requireFace(draft, floor, key);
  const touched = new Set<Id>();
  for (const { wall } of face.halves) {
    for (const opening of draft.openingsOn(wall.id)) draft.drop('openings', opening.id);
    draft.drop('walls', wall.id);
    touched.add(wall.start).add(wall.end);
  }
  for (const id of touched) heal(draft, floor, id);
  settle(draft, floor, { changed: [] });
}

/** A corner left with two like walls in one line is taken out, unless a reading begins or ends there. */
function heal(draft: Draft, floor: Id, id: Id): void {
  const star = networkOfFloor(draft, floor).stars.get(id);
  if (!star || star.around.length !== 2) return;
  const [one, two] = star.around as [(typeof star.around)[0], (typeof star.around)[0]];
  const alike = Math.abs(one.left - two.right) < 1e-6 && Math.abs(one.right - two.left) < 1e-6;
  const inLine = Math.abs(cross(one.d, two.d)) < 1e-6 && dot(one.d, two.d) < 0;
  const read = Object.values(draft.readings).some((reading) => reading.from === id || reading.to === id);
  const open = draft.openingsOn(one.wall.id).length + draft.openingsOn(two.wall.id).length > 0;
  if (!alike || !inLine || read || open) return;
  const wall = one.wall;
  draft.put('walls', wall.start === id ? { ...wall, start: two.to } : { ...wall, end: two.to });
  draft.drop('walls', two.wall.id);
}
