import fc from 'fast-check';
import { type Plan, applyEdit, deriveFloor, floorPlan, newPlan, problemsOf } from '../src';
import { gesture, intentOf } from '../tests/gestures';
import { tilingOf } from './tiling';

export interface Carried {
  houses: number;
  /** Carried, and refused in words. */
  carried: number;
  refused: number;
  /** A plan that is not sound, a floor below that changed, a corner that is elsewhere than below, rooms over each other or over walls (mm² and more). */
  unsound: number;
  below: number;
  elsewhere: number;
  over: number;
  threw: number;
  readonly seeds: string[];
}

const GROUND = 'ground';
const house = fc.tuple(
  fc.array(gesture, { minLength: 2, maxLength: 14 }),
  fc.array(fc.boolean(), { minLength: 64, maxLength: 64 }),
);

/** Houses drawn by random gestures, and a random part of each carried to the floor above. */
export function carryUp(count: number, seed: number): Carried {
  const result: Carried = {
    houses: 0,
    carried: 0,
    refused: 0,
    unsound: 0,
    below: 0,
    elsewhere: 0,
    over: 0,
    threw: 0,
    seeds: [],
  };
  fc.sample(house, { seed, numRuns: count }).forEach(([gestures, wanted], i) => {
    result.houses += 1;
    let plan = newPlan({ name: 'Random house' });
    gestures.forEach((each, k) => {
      const intent = intentOf(plan, each);
      const done = intent && applyEdit(plan, intent, `g${k}`);
      if (done?.ok) plan = done.plan;
    });
    const bad = carryOne(plan, (k) => wanted[k % wanted.length]!, result);
    if (bad) result.seeds.push(`${seed}:${i} ${bad}`);
  });
  return result;
}

function carryOne(drawn: Plan, wanted: (k: number) => boolean, result: Carried): string | null {
  const added = applyEdit(drawn, { kind: 'addFloor', of: GROUND, side: 'above' }, 'up');
  if (!added.ok) throw new Error(added.reason);
  const to = added.made!;
  const { network, openings, solids, rooms } = deriveFloor(added.plan, GROUND);
  const some = (things: readonly { readonly id: string }[]) => things.filter((_, k) => wanted(k)).map(({ id }) => id);
  const intent = {
    kind: 'carryFloor' as const,
    from: GROUND,
    to,
    walls: some(network.walls),
    openings: some(openings),
    solids: some(solids.map(({ solid }) => solid)),
    rooms: some(rooms.map(({ room }) => room)),
  };
  let done: ReturnType<typeof applyEdit>;
  try {
    done = applyEdit(added.plan, intent, 'carry');
  } catch (error) {
    result.threw += 1;
    return `threw ${String(error)}`;
  }
  if (!done.ok) {
    if (done.fault) {
      result.unsound += 1;
      return `fault ${done.fault}`;
    }
    result.refused += 1;
    return null;
  }
  result.carried += 1;
  const { plan } = done;
  const [problem] = problemsOf(plan);
  if (problem) {
    result.unsound += 1;
    return problem;
  }
  if (JSON.stringify(floorPlan(plan, GROUND)) !== JSON.stringify(floorPlan(added.plan, GROUND))) {
    result.below += 1;
    return 'below';
  }
  const places = new Set([...network.corners.values()].map(({ x, y }) => `${x} ${y}`));
  const above = deriveFloor(plan, to);
  if ([...above.network.corners.values()].some(({ x, y }) => !places.has(`${x} ${y}`))) {
    result.elsewhere += 1;
    return 'elsewhere';
  }
  const { overWalls, twice, arcs } = tilingOf(above);
  if (Math.max(overWalls, twice) - arcs > 1000) {
    result.over += 1;
    return `over ${Math.round(Math.max(overWalls, twice))}`;
  }
  return null;
}
