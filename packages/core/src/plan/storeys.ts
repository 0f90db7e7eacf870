import type { Id } from './values';
import { type Floor, floorsInOrder } from './kinds/floors';
import type { Plan } from './plan';

/** From a ceiling to the floor above, mm: joists and boards, or a slab with its screed. Common practice, no source. */
export const CEILING_TO_FLOOR = 300;

/** The floor next above, or below; null where there is none. */
export function floorBeside(plan: Pick<Plan, 'floors'>, floor: Id, where: 'above' | 'below'): Floor | null {
  const all = floorsInOrder(plan);
  const at = all.findIndex(({ id }) => id === floor);
  return at < 0 ? null : (all[where === 'above' ? at + 1 : at - 1] ?? null);
}

/** The floor that is looked at first: the lowest with a level of 0 or more, else the highest. */
export function groundFloor(plan: Pick<Plan, 'floors'>): Floor {
  const all = floorsInOrder(plan);
  return all.find(({ level }) => level >= 0) ?? all.at(-1)!;
}

/** From a floor to the floor above, mm: as it was read, else its highest ceiling and what lies over it. */
export function floorHeight(plan: Pick<Plan, 'floors' | 'rooms' | 'job'>, floor: Id): number {
  return plan.floors[floor]!.height ?? highestCeiling(plan, floor) + buildUpOf(plan.floors[floor]!);
}

/** From a ceiling to the floor above, mm. */
export const buildUpOf = ({ buildUp }: Floor): number => buildUp ?? CEILING_TO_FLOOR;

/** The highest ceiling of the rooms of a floor, mm; the usual one where it has none. */
export function highestCeiling({ rooms, job }: Pick<Plan, 'rooms' | 'job'>, floor: Id): number {
  const { ceilingHeight: usual } = job.usual;
  const heights = Object.values(rooms).flatMap((room) => (room.floor === floor ? [room.ceilingHeight ?? usual] : []));
  return heights.length > 0 ? Math.max(...heights) : usual;
}

/** How high a floor lies over the ground floor, mm; below it negative. The ground floor is the lowest with a level of 0 or more. */
export function elevationOf(plan: Pick<Plan, 'floors' | 'rooms' | 'job'>, floor: Id): number {
  const all = floorsInOrder(plan);
  const found = all.findIndex(({ level }) => level >= 0);
  const ground = found < 0 ? all.length : found;
  const at = all.findIndex(({ id }) => id === floor);
  const between = at < ground ? all.slice(at, ground) : all.slice(ground, at);
  const sum = between.reduce((high, { id }) => high + floorHeight(plan, id), 0);
  return at < ground ? -sum : sum;
}
