import fc from 'fast-check';
import {
  type DerivedFloor,
  type Ring,
  arcLength,
  applyEdit,
  cavitiesOf,
  deriveFloor,
  intersection,
  newPlan,
  problemsOf,
  readPlan,
  ringContains,
  ringsArea,
  union,
} from '../src';
import { type Gesture, gesture, intentOf } from '../tests/gestures';

export interface Tiling {
  plans: number;
  edits: number;
  /** mm²: the worst there was, and plans with more than is promised. */
  readonly overWalls: Worst;
  readonly twice: Worst;
  readonly pockets: Worst;
  lost: number;
  unreadable: number;
  threw: number;
  slowest: { ms: number; edit: string };
  readonly seeds: string[];
}
interface Worst {
  worst: number;
  plans: number;
}

/** 1e-3 m² in mm². */
const PROMISED = 1000;

/** By how much the rooms of a floor lie over walls, over each other, and what is enclosed without being said to be anything; mm². */
export function tilingOf(floor: DerivedFloor): { overWalls: number; twice: number; pockets: number; arcs: number } {
  const rooms = floor.rooms.map(({ outline }) => outline.rings);
  const all = rooms.flat();
  const bodies = union(floor.bodies.map(({ ring }) => ring));
  const solids = floor.solids.map(({ ring }) => ring);
  // arcs are cut as chords, none off by more than a tenth of a millimetre
  const arcs = floor.network.walls.reduce((sum, { id }) => {
    const { arc } = floor.network.half(id, true).course;
    return sum + (arc ? 0.6 * arcLength(arc) : 0);
  }, 60 * floor.solids.length);
  const cavities = cavitiesOf(floor);
  const known = (ring: Ring) => cavities.some(({ at }) => ringContains(ring, at));
  const together = union([...floor.bodies.map(({ ring }) => ring), ...all, ...solids]);
  return {
    overWalls: ringsArea(intersection(all, bodies)),
    twice: ringsArea(all) - ringsArea(union(all)),
    // holes in what walls and rooms cover together that the floor does not know as cavities
    pockets: Math.max(
      0,
      ...together.filter((ring) => ringsArea([ring]) < 0 && !known(ring)).map((ring) => -ringsArea([ring])),
    ),
    arcs,
  };
}

const sequences = fc.array(gesture, { minLength: 2, maxLength: 18 });

export function tilePlans(count: number, seed: number): Tiling {
  const none = (): Worst => ({ worst: 0, plans: 0 });
  const result: Tiling = {
    plans: 0,
    edits: 0,
    overWalls: none(),
    twice: none(),
    pockets: none(),
    lost: 0,
    unreadable: 0,
    threw: 0,
    slowest: { ms: 0, edit: '' },
    seeds: [],
  };
  const BATCH = 100;
  for (let batch = 0; batch * BATCH < count; batch += 1) {
    const list = fc.sample(sequences, { seed: seed + batch, numRuns: Math.min(BATCH, count - batch * BATCH) });
    list.forEach((gestures, i) => {
      result.plans += 1;
      const bad = tileOne(gestures, result);
      if (bad) result.seeds.push(`${seed + batch}:${i} ${bad}`);
    });
  }
  return result;
}

export function tileOne(gestures: readonly Gesture[], result: Tiling): string | null {
  let plan = newPlan({ name: 'Random house' });
  try {
    gestures.forEach((g, i) => {
      const intent = intentOf(plan, g);
      const start = performance.now();
      const done = intent && applyEdit(plan, intent, `g${i}`);
      const took = performance.now() - start;
      if (took > result.slowest.ms)
        result.slowest = {
          ms: Math.round(took),
          edit: `${intent?.kind} ${done?.ok ? '' : done?.reason} ${Object.keys(plan.walls).length}`,
        };
      if (process.env['LOOK'] && took > 1000) console.log(took, JSON.stringify(intent), Object.keys(plan.walls).length);
      if (done?.ok) plan = done.plan;
      else if (done?.fault) throw new Error(done.fault);
      result.edits += 1;
    });
  } catch (error) {
    result.threw += 1;
    return `threw ${error instanceof Error ? error.message : error}`;
  }
  const problems = problemsOf(plan);
  if (problems.length > 0 || !readPlan(JSON.parse(JSON.stringify(plan))).ok) {
    result.unreadable += 1;
    return `unreadable ${problems[0] ?? ''}`;
  }
  const floor = deriveFloor(plan, 'ground');
  if (floor.rooms.length !== Object.keys(plan.rooms).length) {
    result.lost += 1;
    return 'lost';
  }
  const { arcs, ...areas } = tilingOf(floor);
  let bad: string | null = null;
  for (const name of ['overWalls', 'twice', 'pockets'] as const) {
    const over = areas[name] - arcs;
    const worst = result[name];
    worst.worst = Math.max(worst.worst, over);
    if (over <= (name === 'pockets' ? 50_000 : PROMISED)) continue;
    worst.plans += 1;
    bad = `${name} ${Math.round(over)}`;
  }
  return bad;
}
