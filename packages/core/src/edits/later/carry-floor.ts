import { type Draft, Refusal } from '../../plan/draft';
import { type Id, type Plan, type Reading, USUAL_OVER_BELOW, type Wall, cornersOfReading } from '../../plan/plan';
import { floorBeside } from '../../plan/storeys';
import { networkBefore } from '../../rooms';
import { runOfReading } from '../../walls';
import { edit } from '../edit';
import { requireFloor } from '../require';
import { settle } from '../settle';
import { takeAlong } from '../take-along';

/**
 * What continues on another floor: walls, with the openings and solids of them that are named, come to the same place there, and with them the readings that
 * hold there too: along the same walls, between corners where the same walls meet.
 */
export interface CarryFloor {
  readonly kind: 'carryFloor';
  readonly from: Id;
  readonly to: Id;
  readonly walls: readonly Id[];
  readonly openings: readonly Id[];
  readonly solids: readonly Id[];
  /** Stairs that go on up from there. */
  readonly stairs?: readonly Id[];
  /** Rooms that are the same there: with their names, ceilings and heights. */
  readonly rooms: readonly Id[];
}

function carryFloor(draft: Draft, { from, to, walls, openings, solids, stairs = [], rooms }: CarryFloor): void {
  const source = requireFloor(draft, from);
  const target = requireFloor(draft, to);
  if (from === to) throw new Refusal('Carry to another floor than the one it comes from.');
  if (draft.on('walls', to).length > 0)
    throw new Refusal(`There are walls on ${target.name} already. Carry to an empty floor, or take them away first.`);
  const wanted = new Set(walls);
  const carried = draft.on('walls', from).filter(({ id }) => wanted.has(id));
  if (carried.length === 0) throw new Refusal('Choose what continues: a wall at least.');
  const corners = new Map<Id, Id>();
  for (const id of new Set(carried.flatMap(({ start, end }) => [start, end]))) {
    const { x, y } = draft.corners[id]!;
    corners.set(id, draft.addCorner(to, x, y).id);
  }
  const copyOf = (wall: Wall) =>
    draft.addWall({ ...wall, floor: to, start: corners.get(wall.start)!, end: corners.get(wall.end)! }).id;
  const copies = new Map(carried.map((wall) => [wall.id, copyOf(wall)]));
  const named = new Set([...openings, ...solids, ...stairs, ...rooms]);
  const holds = holdingReadings(draft, from, new Set(copies.keys()));
  takeAlong(
    draft,
    from,
    { floors: new Map([[from, to]]), corners, walls: copies },
    { to: (p) => p, turn: 0, mirror: false },
    {
      copy: true,
      inRooms: () => false,
      wants: (name, { id }) =>
        name === 'readings' ? holds.has(id) : name === 'gaps' || name === 'heights' || named.has(id),
    },
  );
  for (const reading of draft.on('readings', to))
    draft.put('readings', { ...reading, note: [`Carried from ${source.name}.`, reading.note].join(' ').trim() });
  const asTheyWere = new Set(draft.on('readings', to).map(({ id }) => id));
  // what came from the floor next to it stands over that
  const upper = target.level > source.level ? target : source;
  if (floorBeside(draft, upper.id, 'below')?.id === (upper === target ? from : to) && upper.overBelow === null)
    draft.put('floors', { ...upper, overBelow: USUAL_OVER_BELOW });
  settle(draft, to, { changed: copies.values(), asTheyWere });
}

/** What usually continues on the floor above: outer walls and party walls. */
export const wallsToCarry = (plan: Pick<Plan, 'walls'>, floor: Id): readonly Id[] =>
  Object.values(plan.walls)
    .filter((wall) => wall.floor === floor && (wall.kind === 'external' || wall.kind === 'party'))
    .map(({ id }) => id);

/** Readings along walls that are all carried, between corners at which all walls are. */
function holdingReadings(draft: Draft, floor: Id, carried: ReadonlySet<Id>): ReadonlySet<Id> {
  const network = networkBefore(draft, floor);
  const same = (reading: Reading): boolean =>
    cornersOfReading(reading).every((corner) =>
      (network.stars.get(corner)?.around ?? []).every(({ wall }) => carried.has(wall.id)),
    ) && (runOfReading(network, reading) ?? []).every(({ wall }) => carried.has(wall.id));
  return new Set(
    draft
      .on('readings', floor)
      .filter(same)
      .map(({ id }) => id),
  );
}

export const carryFloorEdits = {
  carryFloor: edit<CarryFloor>('carry to another floor', carryFloor),
};
