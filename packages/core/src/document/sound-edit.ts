import { COLLECTIONS, KINDS, type Plan, wallsOf } from '../plan/plan';
import { referenceProblems, roomProblems } from './problems';

/**
 * Why a plan that an edit made could not be read again, in words; null when it can. What the edit left alone is not looked at again. That walls
 * do not cross is for the edit to see to (`settle`).
 */
export function unsoundness(before: Plan, after: Plan): string | null {
  for (const name of COLLECTIONS) {
    if (after[name] === before[name]) continue;
    for (const [id, entity] of Object.entries(after[name])) {
      if (before[name][id] === entity) continue;
      const result = KINDS[name].schema.safeParse(entity);
      if (!result.success) return `${result.error.issues[0]!.path.join(' › ')}: ${result.error.issues[0]!.message}`;
    }
  }
  const [problem] = referenceProblems(after);
  if (problem) return problem;
  for (const floor of Object.keys(after.floors)) {
    const walls = wallsOf(after, floor);
    const old = wallsOf(before, floor);
    const same =
      after.corners === before.corners && walls.length === old.length && walls.every((wall, i) => wall === old[i]);
    if (same && after.rooms === before.rooms) continue;
    const [lost] = roomProblems(after, floor);
    if (lost) return lost;
  }
  return null;
}
