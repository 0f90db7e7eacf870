import { type DerivedFloor, deriveFloor } from '../derived';
import { type Box, type Ring, ringsBox } from '../geometry';
import { isThere, openingSpan } from '../openings';
import { type Plan, floorsInOrder } from '../plan/plan';
import { groundFloor } from '../plan/storeys';
import { openingSigns } from './opening-signs';

/** What is left of a floor in a picture the size of a thumb: outlines, mm of the house. */
export interface SmallPicture {
  readonly floors: readonly Ring[];
  readonly walls: readonly Ring[];
  /** Where doors, windows and plain openings interrupt the walls. */
  readonly gaps: readonly Ring[];
  readonly box: Box;
}

/** The floor a job is known by: the ground floor, else the lowest that has rooms, or walls. Null: nothing was drawn yet. */
export function smallPicture(plan: Plan): SmallPicture | null {
  const floors = [groundFloor(plan), ...floorsInOrder(plan)];
  for (const wanted of [(each: DerivedFloor) => each.rooms.length > 0, (each: DerivedFloor) => each.bodies.length > 0])
    for (const { id } of floors) {
      const floor = deriveFloor(plan, id);
      if (wanted(floor)) return outlinesOf(floor);
    }
  return null;
}

function outlinesOf({ rooms, bodies, openings, network }: DerivedFloor): SmallPicture | null {
  const floors = rooms.flatMap(({ outline }) => outline.rings);
  const walls = bodies.map(({ ring }) => ring);
  const box = ringsBox([...floors, ...walls]);
  if (!box) return null;
  const gaps = openings
    .filter((opening) => isThere(openingSpan(network, opening)))
    .flatMap((opening) => openingSigns(network, opening, false))
    .flatMap((mark) => (mark.kind === 'path' && mark.role === 'opening.gap' ? mark.rings : []));
  return { floors, walls, gaps, box };
}
