import type { Draft } from '../plan/draft';
import type { Id } from '../plan/plan';
import { heal } from './heal';
import { dropOpening } from './openings';
import type { Intent } from './intent';
import { requireFace } from './require';
import { settle } from './settle';

/** The walls of a face go, with their openings. Walls that met them in line heal; rooms on both sides become one. */
export function removeWall(draft: Draft, { floor, face: key }: Extract<Intent, { kind: 'removeWall' }>): void {
  const face = requireFace(draft, floor, key);
  const touched = new Set<Id>();
  for (const { wall } of face.halves) {
    for (const opening of draft.openingsOn(wall.id)) dropOpening(draft, opening.id);
    for (const solid of draft.solidsOn(wall.id)) draft.drop('solids', solid.id);
    draft.drop('walls', wall.id);
    touched.add(wall.start).add(wall.end);
  }
  for (const id of touched) heal(draft, floor, id);
  settle(draft, floor, { changed: [] });
}
