import { edit } from './edit';
import type { Draft } from '../plan/draft';
import { dropWithAll } from '../plan/footing';
import type { Id } from '../plan/plan';
import { heal } from './heal';
import { requireFace } from './require';
import { settle } from './settle';

export interface RemoveWall {
  readonly kind: 'removeWall';
  readonly floor: Id;
  readonly face: string;
}

/** The walls of a face go, with their openings. Walls that met them in line heal; rooms on both sides become one. */
export function removeWall(draft: Draft, { floor, face: key }: RemoveWall): void {
  const face = requireFace(draft, floor, key);
  const touched = new Set<Id>();
  for (const { wall } of face.halves) {
    dropWithAll(draft, 'walls', wall.id, 'wanted');
    touched.add(wall.start).add(wall.end);
  }
  for (const id of touched) heal(draft, floor, id);
  settle(draft, floor, { changed: [] });
}

export const removeWallEdits = {
  removeWall: edit<RemoveWall>('remove wall', removeWall),
};
