import { type DerivedFloor, deriveFloor } from '../derived';
import { type Box, type Ring, ringsBox } from '../geometry';
import { isThere, openingSpan } from '../openings';
import type { Plan } from '../plan/plan';
import { openingSigns } from './opening-signs';

/** What is left of a floor in a picture the size of a thumb: outlines, mm of the house. */
export interface SmallPicture {
  readonly floors: readonly Ring[];
  readonly walls: readonly Ring[];
  /** Where doors, windows and plain openings interrupt the walls. */
  readonly gaps: readonly Ring[];
  readonly box: Box;
}

/** The floor a job is known by: the one at ground level, or of those that have rooms the next above or below it. Null: nothing was drawn yet. */
export function smallPicture(plan: Plan): SmallPicture | null {
  const floors = Object.values(plan.floors).sort((a, b) => Math.abs(a.level) - Math.abs(b.level) || b.level - a.level);
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
