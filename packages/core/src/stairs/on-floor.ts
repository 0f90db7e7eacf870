import { lastFor } from '../memory';
import {
  type Point,
  type Ring,
  headingAt,
  inset,
  intersection,
  moved,
  pointAt,
  rightOf,
  turned,
  union,
} from '../geometry';
import { type Id, type Plan, type Stair, type StairRule, isSeenOn } from '../plan/plan';
import { buildUpOf, floorBeside, floorHeight } from '../plan/storeys';
import { type StairShape, type Tread, shapeOf } from './shape';
import { type Steps, stepsOf } from './steps';

/** Headroom over a pitch line that is enough, mm: Approved Document K (England), 2.0 m; IRC R311.7.2, 6′ 8″. */
export const HEADROOM: Record<StairRule, number> = { general: 2000, UK: 2000, US: 2032 };

/** Stairs as they stand in a house, seen from the floor they go up from, or from the one above. */
export interface StairOnFloor {
  readonly stair: Stair;
  /** Seen from the floor above: through its opening. */
  readonly fromAbove: boolean;
  readonly steps: Steps;
  readonly shape: StairShape;
  /** All of it from above, mm. */
  readonly outline: readonly Ring[];
  /** The hole in the floor above; empty where there is none. */
  readonly opening: readonly Ring[];
  /** Where the opening begins, along the walking line, mm. */
  readonly openFrom: number;
  /** How high the underside of the floor above lies over this one, mm; null where there is no floor above. */
  readonly underside: number | null;
}

const lastOn = lastFor<Stair, StairOnFloor>();
const lastAbove = lastFor<StairOnFloor, StairOnFloor>();

/** The stairs that go up from a floor, and those that come up to it. */
export function stairsOn(plan: Plan, floor: Id): readonly StairOnFloor[] {
  return Object.values(plan.stairs).flatMap((stair): StairOnFloor[] => {
    if (stair.floor === floor) return [stairInHouse(plan, stair)];
    if (!isSeenOn('stairs', stair, plan, floor)) return [];
    const on = stairInHouse(plan, stair);
    return [lastAbove(on, [], () => ({ ...on, fromAbove: true }))];
  });
}

/** Worked out from its floor's height: changes with that. */
export function stairInHouse(plan: Pick<Plan, 'floors' | 'rooms' | 'job'>, stair: Stair): StairOnFloor {
  const toFloor = floorHeight(plan, stair.floor);
  const underside = toFloor - buildUpOf(plan.floors[stair.floor]!);
  const leads = floorBeside(plan, stair.floor, 'above') !== null;
  const { stairRule } = plan.job;
  return lastOn(stair, [toFloor, underside, leads, stairRule], () => {
    const steps = stepsOf(stair, toFloor, stairRule);
    const shape = shapeOf(stair, steps);
    const openFrom = openFromOf(stair, steps, shape, underside, stairRule);
    return {
      stair,
      fromAbove: false,
      steps,
      shape,
      outline: union(shape.treads.map(({ ring }) => ring)),
      opening: leads ? openingOf(stair, shape, openFrom) : [],
      openFrom,
      underside: leads ? underside : null,
    };
  });
}

/** As far up as one walks upright under the ceiling; all of it where the floor has to be open from the first riser on. */
function openFromOf(stair: Stair, steps: Steps, shape: StairShape, underside: number, rule: StairRule): number {
  if (stair.form === 'hatch') return 0;
  if (stair.opening.from !== null) return Math.min(stair.opening.from, shape.length);
  const most = underside - HEADROOM[rule];
  for (const { from, to, level, part } of shape.treads) {
    if (level > most) return from;
    if (part === 'landing' || level + steps.riser <= most) continue;
    return from + ((to - from) * (most - level)) / steps.riser;
  }
  return shape.length;
}

function openingOf(stair: Stair, shape: StairShape, from: number): readonly Ring[] {
  const { shape: form, margin } = stair.opening;
  if (form === 'none' || stair.form === 'ramp') return [];
  const over = union(shape.treads.flatMap((tread) => beyond(tread, shape, from)));
  if (over.length === 0) return [];
  const rings = form === 'square' ? [rectangleRound(over, stair.turn)] : over;
  return margin > 0 ? inset(rings, -margin) : rings;
}

/** What of a tread lies farther up than so many mm along the walking line. */
function beyond(tread: Tread, shape: StairShape, from: number): readonly Ring[] {
  if (tread.from >= from - 0.5) return [tread.ring];
  if (tread.to <= from + 0.5) return [];
  const { at, d } = onLine(shape, from);
  const side = rightOf(d);
  const [a, b] = [moved(at, side, -FAR), moved(at, side, FAR)];
  return intersection([tread.ring], [[a, moved(a, d, FAR), moved(b, d, FAR), b]]);
}

/** Farther than anything on stairs, mm. */
const FAR = 50_000;

/** A point of the walking line, and the way up there. */
export function onLine({ line }: StairShape, along: number): { readonly at: Point; readonly d: Point } {
  const pace = line.find(({ to }) => along <= to) ?? line.at(-1)!;
  const { course, from, to } = pace;
  const on = course.length * Math.min(1, Math.max(0, (along - from) / Math.max(1e-9, to - from)));
  return { at: pointAt(course, on), d: headingAt(course, on) };
}

/** The rectangle round rings that lies as the stairs begin. */
function rectangleRound(rings: readonly Ring[], turn: number): Ring {
  const d = turned({ x: 1, y: 0 }, (turn * Math.PI) / 180);
  const n = rightOf(d);
  const points = rings.flat();
  const along = points.map((p) => p.x * d.x + p.y * d.y);
  const across = points.map((p) => p.x * n.x + p.y * n.y);
  const at = (u: number, v: number): Point => ({ x: u * d.x + v * n.x, y: u * d.y + v * n.y });
  const [u0, u1, v0, v1] = [Math.min(...along), Math.max(...along), Math.min(...across), Math.max(...across)];
  return [at(u0, v0), at(u1, v0), at(u1, v1), at(u0, v1)];
}
