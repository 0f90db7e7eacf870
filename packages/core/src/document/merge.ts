import { changeBetween, isNothing, withChange } from '../plan/changes';
import type { Plan } from '../plan/plan';
import { problemsOf } from './problems';

export interface Merge {
  readonly plan: Plan;
  /** Entities that both had changed; mine was kept. */
  readonly both: number;
  /** What I had done could not be put on top of theirs; their plan is in `plan`, mine must be kept apart. */
  readonly impossible: boolean;
}

/**
 * Puts my changes since `base` on top of their plan, entity by entity. Where both changed the same entity mine
 * holds. `repair` makes the walls a planar graph again when two sets of walls meet.
 */
export function mergePlans(
  base: Plan,
  mine: Plan,
  theirs: Plan,
  repair: (plan: Plan, before: Plan) => Plan | null,
): Merge {
  const change = changeBetween(base, mine);
  if (isNothing(change)) return { plan: theirs, both: 0, impossible: false };
  const their = changeBetween(base, theirs);
  if (isNothing(their)) return { plan: mine, both: 0, impossible: false };
  const merged = repair(withFooting(withChange(theirs, change), mine, theirs), mine);
  if (!merged || problemsOf(merged).length > 0) return { plan: theirs, both: 0, impossible: true };
  const touched = new Set(their.entities.map((e) => `${e.collection} ${e.id}`));
  return {
    plan: merged,
    both: change.entities.filter((e) => touched.has(`${e.collection} ${e.id}`)).length,
    impossible: false,
  };
}

/** What walls, openings and readings stand on comes along, even where the other side deleted it. */
function withFooting(merged: Plan, mine: Plan, theirs: Plan): Plan {
  const walls = { ...merged.walls };
  for (const { wall } of Object.values(merged.openings)) {
    const footing = walls[wall] ?? mine.walls[wall] ?? theirs.walls[wall];
    if (footing) walls[wall] = footing;
  }
  const types = { ...merged.types };
  for (const { type } of Object.values(merged.openings)) {
    const footing = types[type] ?? mine.types[type] ?? theirs.types[type];
    if (footing) types[type] = footing;
  }
  const corners = { ...merged.corners };
  for (const wall of Object.values(walls)) {
    for (const id of [wall.start, wall.end]) {
      const footing = corners[id] ?? mine.corners[id] ?? theirs.corners[id];
      if (footing) corners[id] = footing;
    }
  }
  const rooms = { ...merged.rooms };
  for (const { room } of Object.values(merged.heights)) {
    const footing = rooms[room] ?? mine.rooms[room] ?? theirs.rooms[room];
    if (footing) rooms[room] = footing;
  }
  return { ...merged, types, walls, corners, rooms };
}
