import { piecesOfRoom } from '../ceilings';
import { deriveFloor } from '../derived';
import { type Point, type Ring, bandAlong, inset, partOf, union } from '../geometry';
import { isThere, openingSpan } from '../openings';
import { type Id, type Plan, floorsInOrder } from '../plan/plan';
import { elevationOf } from '../plan/storeys';
import { cornersOfRings } from './triangulate';

/** What one stands on: an outline and how high it is over the ground floor, mm. */
export interface Footing {
  readonly rings: readonly Ring[];
  readonly level: number;
  /** The floors whose walls are in the way there, by their place in `floors`. */
  readonly floors: readonly number[];
  /** The room, on the floor of one. */
  readonly room: Id | null;
}

/** Where one can walk in a house. */
export interface Walkable {
  readonly floors: readonly {
    readonly floor: Id;
    readonly elevation: number;
    /** What a body can be in without touching a wall: through doors, and up and down stairs. */
    readonly clear: readonly Ring[];
    readonly rooms: readonly {
      readonly room: Id;
      readonly name: string;
      readonly rings: readonly Ring[];
      readonly at: Point;
    }[];
  }[];
  readonly footings: readonly Footing[];
}

/** Half of a person’s breadth, and what doors are narrower by, mm (common practice, no source). */
const HALF = 180;

/** Where one can walk: rooms joined by doors and openings without a sill, with the stairs that lead on. Pieces are stepped past. */
export function walkableOf(plan: Plan): Walkable {
  const ids = floorsInOrder(plan).map(({ id }) => id);
  const stairs = ids.flatMap((id, i) =>
    deriveFloor(plan, id)
      .stairs.filter(({ fromAbove, stair }) => !fromAbove && stair.form !== 'hatch')
      .map((on) => ({ on, i, elevation: elevationOf(plan, id) })),
  );
  const footings: Footing[] = [];
  for (const { on, i, elevation } of stairs)
    for (const { ring, level } of on.shape.treads)
      footings.push({ rings: cornersOfRings([ring]), level: elevation + level, floors: [i, i + 1], room: null });
  const floors = ids.map((id, i) => {
    const floor = deriveFloor(plan, id);
    const elevation = elevationOf(plan, id);
    const doors = floor.openings.flatMap((opening) => {
      const span = openingSpan(floor.network, opening);
      if (opening.kind === 'window' || opening.sill > 300 || !isThere(span)) return [];
      const { wall, course } = floor.network.half(opening.wall, true);
      // as far into the rooms as bodies are kept off walls
      return [bandAlong(partOf(course, span.from, span.to), wall.left + 2, wall.right + 2)];
    });
    for (const ring of doors)
      footings.push({ rings: cornersOfRings([ring]), level: elevation, floors: [i], room: null });
    for (const room of floor.rooms)
      for (const { rings, step } of piecesOfRoom(room.ceiling, room.standing))
        footings.push({ rings: cornersOfRings(rings), level: elevation + step, floors: [i], room: room.room.id });
    const treads = stairs.filter((each) => each.i === i || each.i + 1 === i).flatMap(({ on }) => on.outline);
    const whole = union(cornersOfRings([...floor.rooms.flatMap(({ standing }) => standing), ...doors, ...treads]));
    const rooms = floor.rooms.map(({ room, outline, label }) => ({
      ...{ room: room.id, name: room.name || 'Unnamed room' },
      ...{ rings: cornersOfRings(outline.rings), at: label },
    }));
    return { floor: id, elevation, clear: inset(whole, HALF), rooms };
  });
  return { floors, footings };
}
