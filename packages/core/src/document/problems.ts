import {
  COLLECTIONS,
  type Collection,
  type Collections,
  type Entity,
  type Id,
  KINDS,
  type Plan,
  kindOf,
  wallsOf,
} from '../plan/plan';
import type { Kind } from '../plan/kinds/kind';
import { surfaceAt, surfacesOf } from '../rooms';
import { networkOf } from '../walls';
import { isPlanar } from './planar';

/** An entity under an id that is a key of the collection's own: what an object has by nature is no entity. */
const own = <T>(collection: Collection<T>, id: Id): T | undefined =>
  Object.hasOwn(collection, id) ? collection[id] : undefined;

/**
 * Looks for what must never be in a plan: a wall without length, numbers that are not, walls that cross, touch
 * or lie on each other away from a shared corner, references to what is not there or is on another floor, a room without a floor. Returns plain
 * sentences; an empty list is a sound plan.
 */
export function problemsOf(plan: Plan): string[] {
  const problems = referenceProblems(plan);
  if (problems.length > 0) return problems;
  for (const floor of Object.keys(plan.floors)) {
    if (!isPlanar(plan, floor)) problems.push('Walls cross each other.');
    else problems.push(...roomProblems(plan, floor));
  }
  return problems;
}

/** Of what there is more than one plan can have, in words; null when there is not. */
export function tooMany(plan: Plan): string | null {
  const name = COLLECTIONS.find((each) => Object.keys(plan[each]).length > KINDS[each].most);
  return name ? `A job can have ${KINDS[name].most} ${KINDS[name].many} at most.` : null;
}

/** What points at what is not there, or can't be. Quick: it looks at no geometry but the length of walls. */
export function referenceProblems(plan: Plan): string[] {
  const problems: string[] = [];
  if (Object.keys(plan.floors).length === 0) problems.push('There is no floor to draw on.');
  for (const name of COLLECTIONS) {
    const kind = kindOf(name);
    for (const entity of Object.values<Entity>(plan[name])) {
      const problem = lostBy(plan, kind, entity) ?? kind.unsound?.(entity, plan) ?? null;
      if (problem !== null) problems.push(problem);
    }
  }
  return problems;
}

/** Why something names what isn't there, or is on another floor. */
function lostBy(plan: Plan, kind: Kind<Entity, Collections>, entity: Entity): string | null {
  for (const { to, ids, lost, elsewhere } of kind.refers) {
    const target = kindOf(to);
    for (const id of ids(entity)) {
      const named = own<Entity>(plan[to], id);
      if (!named) return lost(entity, plan);
      if (elsewhere === null) continue;
      const floor = target.floorOf(named, plan);
      if (floor !== undefined && floor !== kind.floorOf(entity, plan)) return (elsewhere ?? lost)(entity, plan);
    }
  }
  return null;
}

/** Every room has a floor of its own, between walls. */
export function roomProblems(plan: Plan, floor: Id): string[] {
  const floors = surfacesOf(networkOf(plan.corners, wallsOf(plan, floor)));
  const taken = new Set<unknown>();
  return Object.values(plan.rooms).flatMap((room) => {
    if (room.floor !== floor) return [];
    const home = surfaceAt(floors, room.at);
    if (!home) return [`${room.name || 'A room'} has no floor: no walls enclose it.`];
    if (taken.has(home)) return [`${room.name || 'A room'} and another room are one floor.`];
    taken.add(home);
    return [];
  });
}
