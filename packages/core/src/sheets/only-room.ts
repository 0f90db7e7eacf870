import type { DerivedFloor } from '../derived';
import { surfaceContains } from '../rooms';
import type { Id } from '../plan/plan';

/** A room of a floor as if it stood alone: its walls with what is in them, and what stands or is written in it. */
export function onlyRoom(derived: DerivedFloor, id: Id): DerivedFloor {
  const room = derived.rooms.find((each) => each.room.id === id);
  if (!room) return derived;
  const walls = new Set(room.outline.runs.flatMap(({ halves }) => halves.map(({ wall }) => wall.id)));
  const inside = (p: { readonly x: number; readonly y: number }) => surfaceContains(room.outline.rings, p);
  const { plan } = derived;
  const kept = <T>(all: Readonly<Record<Id, T>>, is: (it: T) => boolean) =>
    Object.fromEntries(Object.entries(all).filter(([, it]) => is(it)));
  return {
    ...derived,
    plan: {
      ...plan,
      dimensions: kept(plan.dimensions, ({ laid }) => laid === id),
      annotations: kept(plan.annotations, ({ at, to }) => inside(at) || (to !== null && inside(to))),
    },
    rooms: [room],
    bodies: derived.bodies.filter(({ wall }) => walls.has(wall.id)),
    chalk: derived.chalk.filter((wall) => walls.has(wall.id)),
    openings: derived.openings.filter(({ wall }) => walls.has(wall)),
    solids: derived.solids.filter(({ ring }) => inside(ring[0]!) || inside(ring[Math.floor(ring.length / 2)]!)),
    stairs: derived.stairs.filter(({ stair }) => inside(stair)),
    slopes: derived.slopes.filter(({ slope }) => slope.room === null || slope.room === id),
    breaks: derived.breaks.filter(({ ring }) => ring.some(inside)),
    free: [],
    overall: [],
    openEnds: [],
    readings: [],
  };
}
