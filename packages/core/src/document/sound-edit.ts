import { COLLECTIONS, type Id, KINDS, type Plan, wallsOf } from '../plan/plan';
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
    if (isUntouched(before, after, floor)) continue;
    const [lost] = roomProblems(after, floor);
    if (lost) return lost;
  }
  return null;
}

/** Are the walls of a floor, with their corners, and its rooms the very same? */
function isUntouched(before: Plan, after: Plan, floor: Id): boolean {
  const [walls, old] = [wallsOf(after, floor), wallsOf(before, floor)];
  const still = (id: Id) => after.corners[id] === before.corners[id];
  return (
    walls.length === old.length &&
    walls.every((wall, i) => wall === old[i] && still(wall.start) && still(wall.end)) &&
    (after.rooms === before.rooms || roomsOf(after, floor).every((room) => before.rooms[room.id] === room)) &&
    (after.rooms === before.rooms || roomsOf(before, floor).every((room) => Object.hasOwn(after.rooms, room.id)))
  );
}

const roomsOf = ({ rooms }: Plan, floor: Id) => Object.values(rooms).filter((room) => room.floor === floor);
