import type { Floor, Id, Wall } from '../plan/plan';
import type { Standing } from './least-movement';

/** Against a corner of inner walls: one of outer walls; and where they were carried from the floor below, and are held over that. */
const OUTER = 1.5;
const CARRIED = 100;

/** Is this a wall that belongs to the shell of the house? */
export const isOuter = ({ kind }: Pick<Wall, 'kind'>): boolean => kind === 'external' || kind === 'party';

/** How firmly the corners of a floor stand where they are: those of outer walls more than those of inner ones, most of all those over the floor below. */
export function standingOf(floor: Pick<Floor, 'overBelow'> | undefined, walls: readonly Wall[]): Standing {
  const firm = floor && floor.overBelow !== null ? CARRIED : OUTER;
  const standing = new Map<Id, number>();
  for (const wall of walls) {
    if (!isOuter(wall)) continue;
    standing.set(wall.start, firm);
    standing.set(wall.end, firm);
  }
  return standing;
}
