import { Draft, Refusal } from '../plan/draft';
import { dropLost } from '../plan/footing';
import { networkOfFloor, reconcileKinds, reconcileRooms } from '../rooms';
import { valueOnPlan } from '../trueup';
import { isAlikeOn } from '../plan/floor-plan';
import { COLLECTIONS, type Plan, type Reading, floorsInOrder, nextNumber, wallsOf } from '../plan/plan';
import { type Network, keepingSpots, networkOf, planarise, standFree } from '../walls';
import { fitToReadings } from './settle';
import { dropUnusedTypes } from './opening-types';
import { dropIdleDimensions } from './tidy';

/**
 * Makes a plan whose walls came from two places sound again: the graph planar, rooms on their outlines, nothing
 * left of what has lost its wall. Null when it can't be done. A floor that is as it is in one of the plans it came from (`sound`) is left as it is: it was sound
 * there, and who drew on it alone finds it as they left it.
 */
export function repairPlan(
  plan: Plan,
  before: Plan,
  seed: string,
  sound: readonly Plan[] = [],
): { plan: Plan; notes: readonly string[] } | null {
  const draft = new Draft(before, seed);
  draft.job = plan.job;
  for (const name of COLLECTIONS) {
    for (const id of Object.keys(draft[name])) if (!Object.hasOwn(plan[name], id)) draft.drop(name, id);
    for (const entity of Object.values(plan[name])) draft.put(name, entity);
  }
  try {
    for (const source of [before, ...sound])
      standFree(draft, new Set(Object.keys(source.walls).filter((id) => !Object.hasOwn(draft.walls, id))), source);
    dropLost(draft);
    for (const floor of Object.keys(draft.floors)) {
      if (sound.some((each) => isAlikeOn(plan, each, floor))) continue;
      const walls = draft.on('walls', floor).map((wall) => wall.id);
      keepingSpots(draft, floor, (places) => {
        planarise(draft, floor, walls, places);
        reconcileKinds(draft, floor);
      });
      fitAgain(draft, floor, [before, ...sound]);
      reconcileRooms(draft, floor);
      renumber(draft, floor);
    }
    dropLost(draft);
    partLevels(draft);
    dropUnusedTypes(draft);
    dropIdleDimensions(draft);
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
  return { plan: draft.plan(), notes: draft.notes };
}

/** Off by more than this a reading is no longer met, mm. */
const MET = 0.5;

/** Walls from two places, with the readings of both: where one no longer holds that held where it came from, the floor is fitted to all of them. */
function fitAgain(draft: Draft, floor: string, sources: readonly Plan[]): void {
  const network = networkOfFloor(draft, floor);
  const off = (at: Network, reading: Reading) => Math.abs((valueOnPlan(at, reading) ?? reading.value) - reading.value);
  const lost = draft.on('readings', floor).some(
    (reading) =>
      off(network, reading) > MET &&
      sources.some((source) => {
        const own = source.readings[reading.id];
        return own?.value === reading.value && off(networkOf(source.corners, wallsOf(source, floor)), own) <= MET;
      }),
  );
  if (lost) fitToReadings(draft, floor, []);
}

/** Two people may have added a floor at the same level: the later one goes up one, or down below ground, with those beyond. */
function partLevels(draft: Draft): void {
  const all = floorsInOrder(draft);
  let level = -1;
  for (const floor of all.filter((each) => each.level >= 0)) {
    level = Math.max(level + 1, floor.level);
    if (level !== floor.level) draft.put('floors', { ...floor, level });
  }
  level = 0;
  for (const floor of all.filter((each) => each.level < 0).reverse()) {
    level = Math.min(level - 1, floor.level);
    if (level !== floor.level) draft.put('floors', { ...floor, level });
  }
}

/** Two people may have made a door with the same number: the later one gets the next that is free. */
function renumber(draft: Draft, floor: string): void {
  const taken = new Set<string>();
  for (const opening of draft.openingsOf(floor)) {
    const { kind } = opening;
    const number = taken.has(`${kind} ${opening.number}`) ? nextNumber(draft, floor, kind) : opening.number;
    taken.add(`${kind} ${number}`);
    if (number !== opening.number) draft.put('openings', { ...opening, number });
  }
}
