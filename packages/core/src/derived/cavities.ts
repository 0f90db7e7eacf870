import { onceFor } from '../memory';
import { type Point, type Ring, piecesOf, ringsArea, union } from '../geometry';
import { LEAST_FLOOR, labelPoint } from '../rooms';
import type { DerivedFloor } from './derive-floor';

/** What walls enclose without being a room: too narrow to be one, or between walls that stand against each other without a corner in common. */
export interface Cavity {
  readonly rings: readonly Ring[];
  /** mm² */
  readonly area: number;
  readonly at: Point;
}

/** The enclosed gaps of a floor of 0.05 m² and more; worked out when first asked for. With rooms, walls and solids they fill all that is enclosed. */
export const cavitiesOf = onceFor((floor: DerivedFloor): readonly Cavity[] => findCavities(floor));

function findCavities(floor: DerivedFloor): Cavity[] {
  const covered = union([
    ...floor.bodies.map(({ ring }) => ring),
    ...floor.rooms.flatMap(({ outline }) => outline.rings),
    ...floor.solids.map(({ ring }) => ring),
  ]);
  // what is left open in what is covered
  const open = piecesOf(covered).flatMap(([, ...holes]) => holes.map((hole) => [...hole].reverse()));
  return open.flatMap((ring) => {
    const area = ringsArea([ring]);
    return area >= LEAST_FLOOR ? [{ rings: [ring], area, at: labelPoint([ring]) }] : [];
  });
}
