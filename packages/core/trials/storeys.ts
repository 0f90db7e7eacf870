import fc from 'fast-check';
import {
  type Entity,
  type Id,
  type Intent,
  type Plan,
  type PlanChange,
  applyEdit,
  changeBetween,
  deriveFloor,
  floorsInOrder,
  inverse,
  mergePlans,
  newPlan,
  problemsOf,
  readPlan,
  repairPlan,
  stairChecks,
  withChange,
} from '../src';
import { type Gesture, gesture, intentOf } from '../tests/gestures';
import { tilingOf } from './tiling';

export interface Storeys {
  houses: number;
  edits: number;
  refused: number;
  stairs: number;
  merges: number;
  /** A plan that is not sound, or can't be read; an edit that threw. */
  unsound: number;
  threw: number;
  /** Undone it was not what it was before. */
  undone: number;
  /** What is drawn on one floor changed on another. */
  elsewhere: number;
  /** Rooms over walls or over each other by more than 1e-3 m². */
  over: number;
  /** Two people on different floors: one overruled the other, or some of what one did was not there. */
  conflicts: number;
  readonly seeds: string[];
}

const step = fc.record({
  act: fc.constantFrom(
    ...(['draw', 'draw', 'draw', 'draw', 'draw', 'draw', 'stairs', 'stairs', 'change stairs'] as const),
    ...(['add', 'remove', 'move', 'height', 'carry', 'open', 'hide'] as const),
  ),
  on: fc.nat(9),
  g: gesture,
});
type Step = typeof step extends fc.Arbitrary<infer T> ? T : never;
const houses = fc.array(step, { minLength: 8, maxLength: 22 });

/**
 * Random houses of several floors: drawn on, floors added, taken away, put in another order, carried, joined by stairs. Each edit is sound and can be undone
 * exactly, what is drawn on one floor changes nothing on another, rooms and walls tile every floor, and two people on different floors never conflict.
 */
export function severalFloors(count: number, seed: number): Storeys {
  const result: Storeys = {
    ...{ houses: 0, edits: 0, refused: 0, stairs: 0, merges: 0, unsound: 0, threw: 0 },
    ...{ undone: 0, elsewhere: 0, over: 0, conflicts: 0, seeds: [] },
  };
  for (let i = 0; i < count; i += 1) {
    const [steps] = fc.sample(houses, { seed: seed + i, numRuns: 1 });
    const fault = oneHouse(steps!, result);
    result.houses += 1;
    if (fault) result.seeds.push(`${seed + i} ${fault}`);
  }
  return result;
}

function oneHouse(steps: readonly Step[], result: Storeys): string | null {
  let plan = newPlan({ name: 'Random house' });
  for (const [i, { act, on, g }] of steps.entries()) {
    const floors = floorsInOrder(plan);
    const floor = floors[on % floors.length]!.id;
    const intent = intentFor(plan, floor, act, g);
    if (!intent) continue;
    let done: ReturnType<typeof applyEdit>;
    try {
      done = applyEdit(plan, intent, `s${i}`);
      for (const each of done.ok ? Object.keys(done.plan.floors) : []) checkStairs(done.ok ? done.plan : plan, each);
    } catch (error) {
      result.threw += 1;
      return `${act} threw ${String(error)}`;
    }
    if (!done.ok) {
      if (done.fault) {
        result.unsound += 1;
        return `${act} ${done.fault}`;
      }
      result.refused += 1;
      continue;
    }
    result.edits += 1;
    const after = done.plan;
    const change = changeBetween(plan, after);
    if (changeBetween(withChange(after, inverse(change)), plan).entities.length > 0) {
      result.undone += 1;
      return `${act} not undone`;
    }
    if (act === 'draw' && change.entities.some((each) => isElsewhere(each, floor))) {
      result.elsewhere += 1;
      return `${intent.kind} elsewhere`;
    }
    plan = after;
  }
  const [problem] = problemsOf(plan);
  if (problem || !readPlan(JSON.parse(JSON.stringify(plan))).ok) {
    result.unsound += 1;
    return problem ?? 'can’t be read';
  }
  for (const { id } of floorsInOrder(plan)) {
    const { overWalls, twice, arcs } = tilingOf(deriveFloor(plan, id));
    if (Math.max(overWalls, twice) - arcs <= 1000) continue;
    result.over += 1;
    return `over ${Math.round(Math.max(overWalls, twice))}`;
  }
  result.stairs += Object.keys(plan.stairs).length;
  return twoPeople(plan, steps, result);
}

/** What is said of stairs can always be worked out. */
function checkStairs(plan: Plan, floor: Id): void {
  const derived = deriveFloor(plan, floor);
  for (const on of derived.stairs) {
    stairChecks(on, deriveFloor(plan, on.stair.floor));
    const { risers, riser, rise } = on.steps;
    if (Math.abs(risers * riser - rise) > 1e-6) throw new Error('risers × rise is not the height');
  }
  for (const { measures } of derived.rooms) if (!(measures.area >= 0)) throw new Error('an area below nothing');
}

const isElsewhere = ({ before, after }: PlanChange['entities'][number], floor: Id): boolean => {
  const own = (after ?? before) as Entity;
  return 'floor' in own && own.floor !== floor;
};

function intentFor(plan: Plan, floor: Id, act: Step['act'], g: Gesture): Intent | null {
  const stairs = Object.values(plan.stairs);
  const stair = stairs[g.pick % Math.max(1, stairs.length)];
  switch (act) {
    case 'draw':
      return intentOf(plan, g, floor);
    case 'add':
      return { kind: 'addFloor', of: floor, side: g.amount > 0 ? 'above' : 'below' };
    case 'remove':
      return g.w % 3 === 0 ? { kind: 'removeFloor', floor } : null;
    case 'move':
      return { kind: 'moveFloor', floor, to: g.amount > 0 ? 'above' : 'below' };
    case 'height':
      return { kind: 'changeFloor', floor, height: g.pick % 4 === 0 ? null : 2000 + Math.abs(g.amount) };
    case 'hide':
      return { kind: 'changeFloor', floor, hidden: g.amount > 0 };
    case 'carry': {
      const to = floorsInOrder(plan).find(({ id }) => id !== floor && !deriveFloor(plan, id).network.walls.length);
      if (!to) return null;
      const { network, openings, rooms } = deriveFloor(plan, floor);
      const walls = network.walls.filter((_, i) => (g.pick + i) % 5 > 0).map(({ id }) => id);
      const ids = openings.map(({ id }) => id);
      return {
        ...{ kind: 'carryFloor' as const, from: floor, to: to.id, walls, openings: ids, solids: [] },
        ...{ stairs: stairs.map(({ id }) => id), rooms: g.w % 2 ? rooms.map(({ room }) => room.id) : [] },
      };
    }
    case 'open': {
      const room = deriveFloor(plan, floor).rooms[g.pick % 3]?.room.id;
      return room === undefined ? null : { kind: 'openRoom', room, overVoid: g.amount > 0 };
    }
    case 'stairs': {
      const path = [
        { x: g.x * 250, y: g.y * 250 },
        { x: g.x * 250 + g.w * 200, y: g.y * 250 + g.jitter },
        { x: g.x * 250 + g.w * 200 + g.jitter, y: g.y * 250 + g.amount },
      ].slice(0, 1 + (g.pick % 3));
      const form = (['stairs', 'stairs', 'spiral', 'ladder', 'hatch', 'ramp'] as const)[g.h % 6]!;
      return { kind: 'addStairs', floor, form, path, turning: g.w % 2 ? 'winders' : 'landing' };
    }
    case 'change stairs': {
      if (!stair) return null;
      const turns = [{ after: g.w, angle: g.amount / 9, by: 'winders' as const }];
      const changes = [
        { width: 300 + g.w * 60 },
        { risers: g.h, going: g.w * 20 },
        { turns },
        { turns: [], form: 'spiral' as const, well: g.w * 30 },
        { opening: { shape: 'square' as const, margin: g.h * 10, from: g.w * 100 } },
        { to: { x: stair.x + g.amount, y: stair.y + g.jitter }, toWall: g.w % 2 === 0 },
        { turn: g.pick % 360, rise: 1000 + Math.abs(g.amount) },
      ];
      return { kind: 'changeStairs', stair: stair.id, change: changes[g.pick % changes.length]! };
    }
  }
}

const repaired = (plan: Plan, before: Plan, sound: readonly Plan[]) =>
  repairPlan(plan, before, 'm', sound)?.plan ?? null;

const OF_HOUSE: ReadonlySet<Gesture['what']> = new Set(['type', 'form', 'gap', 'space', 'thickness']);

/** One draws on one floor, one on another, of the same house. */
function twoPeople(plan: Plan, steps: readonly Step[], result: Storeys): string | null {
  const floors = floorsInOrder(plan);
  if (floors.length < 2) return null;
  const [a, b] = [floors[0]!.id, floors.at(-1)!.id];
  const drawn = (floor: Id, from: number, seed: string): Plan => {
    let now = plan;
    steps.slice(from, from + 3).forEach(({ g }, i) => {
      // types, and what is usual, belong to the whole house: who changes them does so on every floor
      const intent = OF_HOUSE.has(g.what) ? null : intentOf(now, g, floor);
      const done = intent && applyEdit(now, intent, `${seed}${i}`);
      if (done?.ok) now = done.plan;
    });
    return now;
  };
  const [mine, theirs] = [drawn(a, 0, 'mine'), drawn(b, 3, 'theirs')];
  const { plan: merged, overruled } = mergePlans(plan, mine, theirs, repaired);
  result.merges += 1;
  const [one, two, all] = [mine, theirs, merged].map((each) => changeBetween(plan, each).entities);
  // types belong to the whole house, as does the number of what is of none any more
  const own = (entities: PlanChange['entities']) => entities.filter(({ collection }) => collection !== 'types');
  const missing = [...own(one!), ...own(two!)].filter(
    (each) =>
      !all!.some(
        ({ collection, after, before }) =>
          collection === each.collection &&
          JSON.stringify(after) === JSON.stringify(each.after) &&
          before === each.before,
      ),
  );
  if (overruled.length === 0 && missing.length === 0 && problemsOf(merged).length === 0) return null;
  result.conflicts += 1;
  return `conflict ${overruled.join()} ${missing.map(({ collection }) => collection).join()}`;
}
