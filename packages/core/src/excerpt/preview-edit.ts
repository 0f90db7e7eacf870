import { type DerivedFloor, deriveFloor, faceByKey } from '../derived';
import { type EditResult, type Intent, applyEdit } from '../edits';
import type { Id, Plan } from '../plan/plan';
import { MARGINS, deriveExcerpt, excerptAround, restOf, staysWithin } from './excerpt';

/** What an edit would do. `near` tells the excerpt the result is an edit of; null when it is of the whole plan. */
export interface Preview {
  readonly result: EditResult;
  readonly near: Near | null;
}

/** Which excerpt: the walls that move, and how far round them it reaches, mm. */
export interface Near {
  readonly walls: readonly Id[];
  readonly margin: number;
}

/**
 * Does an edit to be looked at, as at every step of a drag: on the excerpt round what moves where that gives the same,
 * else on the whole plan.
 */
export function previewEdit(plan: Plan, floor: Id, intent: Intent, seed: string): Preview {
  const derived = deriveFloor(plan, floor);
  const walls = moving(derived, intent);
  for (const margin of walls ? MARGINS : []) {
    const excerpt = excerptAround(derived, walls!, margin);
    if (!excerpt) break;
    const result = applyEdit(excerpt.plan, intent, seed, excerpt.rim);
    if (result.ok && staysWithin(excerpt, result.plan)) return { result, near: { walls: walls!, margin } };
  }
  return { result: applyEdit(plan, intent, seed), near: null };
}

/** The walls that an edit moves; null where that is not known before. */
function moving(derived: DerivedFloor, intent: Intent): readonly Id[] | null {
  const at = (corner: Id) => derived.network.stars.get(corner)?.around.map((half) => half.wall.id) ?? [];
  switch (intent.kind) {
    case 'moveWall': {
      const face = faceByKey(derived, intent.face);
      if (!face) return null;
      const walls = face.halves.map((half) => half.wall.id);
      return intent.neighbours === 'turn' ? [...walls, ...at(face.from), ...at(face.to)] : walls;
    }
    case 'moveCorner':
      return at(intent.corner);
    case 'changeOpening': {
      const wall = derived.plan.openings[intent.opening]?.wall;
      const onto = intent.place && faceByKey(derived, intent.place.face);
      return wall ? [wall, ...(onto?.halves.map((half) => half.wall.id) ?? [])] : null;
    }
    default:
      return null;
  }
}

/** A floor while a part of it is worked on: what stays as it was, and the part as it is now. */
export interface PartedFloor {
  readonly rest: DerivedFloor;
  readonly part: DerivedFloor;
}

/** The floor of a preview, parted; `plan` is the plan before the edit, `after` what the preview gave. */
export function partedFloor(plan: Plan, floor: Id, after: Plan, near: Near): PartedFloor | null {
  const derived = deriveFloor(plan, floor);
  const excerpt = excerptAround(derived, near.walls, near.margin);
  return excerpt && { rest: restOf(derived, excerpt), part: deriveExcerpt(after, excerpt, derived) };
}
