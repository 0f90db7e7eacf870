import { distance } from '../geometry';
import {
  COLLECTIONS,
  type Collection,
  type Id,
  type Plan,
  cornersOfReading,
  kindOfForm,
  openingsOfGap,
  withArticle,
  wallsOf,
} from '../plan/plan';
import { floorAt, floorsOf } from '../rooms';
import { MOST } from '../plan/schema';
import { networkOf } from '../walls';
import { CLOSE, isPlanar } from './planar';

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
  const name = COLLECTIONS.find((each) => Object.keys(plan[each]).length > MOST[each]);
  return name ? `A job can have ${MOST[name]} ${PLURAL[name]} at most.` : null;
}

/** What points at what is not there. Quick: it looks at no geometry but the length of walls. */
export function referenceProblems(plan: Plan): string[] {
  const problems: string[] = [];
  if (Object.keys(plan.floors).length === 0) problems.push('There is no floor to draw on.');
  for (const name of COLLECTIONS) {
    for (const entity of Object.values<{ id: Id; floor?: Id }>(plan[name]))
      if (entity.floor !== undefined && !own(plan.floors, entity.floor))
        problems.push(`Something is on no floor: ${SINGULAR[name]} ${entity.id}.`);
  }
  for (const corner of Object.values(plan.corners)) {
    if (!Number.isFinite(corner.x) || !Number.isFinite(corner.y)) problems.push(`Corner ${corner.id} has no place.`);
  }
  for (const wall of Object.values(plan.walls)) {
    const a = own(plan.corners, wall.start);
    const b = own(plan.corners, wall.end);
    if (!a || !b) problems.push(`Wall ${wall.id} has lost a corner.`);
    else if (a.floor !== wall.floor || b.floor !== wall.floor)
      problems.push(`Wall ${wall.id} has a corner on another floor.`);
    else if (distance(a, b) < CLOSE) problems.push(`Wall ${wall.id} has no length.`);
    if (!Number.isFinite(wall.bulge)) problems.push(`Wall ${wall.id} has no bend that can be drawn.`);
    if (!(wall.left >= 0 && wall.right >= 0)) problems.push(`Wall ${wall.id} has a negative thickness.`);
  }
  for (const opening of Object.values(plan.openings)) {
    const type = own(plan.types, opening.type);
    if (!type) problems.push('A door or window has lost its type.');
    else if (!own(plan.walls, opening.wall))
      problems.push(`${capital(withArticle(kindOfForm(type.form)))} has lost its wall.`);
  }
  for (const { stand, floor } of Object.values(plan.solids)) {
    if (stand.kind === 'wall' && own(plan.walls, stand.wall)?.floor !== floor)
      problems.push('A column or chimney breast has lost its place.');
  }
  const corner = (id: Id, floor: Id) => own(plan.corners, id)?.floor === floor;
  for (const reading of Object.values(plan.readings)) {
    if (!cornersOfReading(reading).every((id) => corner(id, reading.floor)))
      problems.push(`A reading has lost its wall.`);
  }
  for (const { room, floor } of Object.values(plan.heights)) {
    if (own(plan.rooms, room)?.floor !== floor) problems.push(`A height has lost its room.`);
  }
  for (const gap of Object.values(plan.gaps)) {
    const there = openingsOfGap(gap).every((id) => own(plan.openings, id));
    if (!there || ![gap.from, gap.to].every((id) => corner(id, gap.floor)))
      problems.push('A reading along a wall has lost what it was read from.');
  }
  return problems;
}

export const SINGULAR = {
  floors: 'floor',
  corners: 'corner',
  walls: 'wall',
  types: 'type',
  openings: 'opening',
  solids: 'column or chimney breast',
  rooms: 'room',
  readings: 'reading',
  heights: 'height',
  gaps: 'reading along a wall',
  underlays: 'underlay',
} as const satisfies Record<(typeof COLLECTIONS)[number], string>;

const PLURAL: Record<(typeof COLLECTIONS)[number], string> = {
  floors: 'floors',
  corners: 'corners',
  walls: 'walls',
  types: 'types of doors and windows',
  openings: 'doors and windows',
  solids: 'columns and chimney breasts',
  rooms: 'rooms',
  readings: 'readings',
  heights: 'heights',
  gaps: 'readings along walls',
  underlays: 'underlays',
};

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);

/** Every room has a floor of its own, between walls. */
export function roomProblems(plan: Plan, floor: Id): string[] {
  const floors = floorsOf(networkOf(plan.corners, wallsOf(plan, floor)));
  const taken = new Set<unknown>();
  return Object.values(plan.rooms).flatMap((room) => {
    if (room.floor !== floor) return [];
    const home = floorAt(floors, room.at);
    if (!home) return [`${room.name || 'A room'} has no floor: no walls enclose it.`];
    if (taken.has(home)) return [`${room.name || 'A room'} and another room are one floor.`];
    taken.add(home);
    return [];
  });
}
