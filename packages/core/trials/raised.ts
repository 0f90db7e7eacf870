import fc from 'fast-check';
import { type Plan, applyEdit, deriveFloor, flattened, newPlan, ringsArea, union } from '../src';
import { openEdges, raisedHouse, volumeOf } from '../src/raised';
import { type Gesture, gesture, intentOf } from '../tests/gestures';

export interface Raised {
  plans: number;
  /** Things that were raised, those with an edge that has not a triangle on either side, and those that look inwards or are nothing. */
  things: number;
  open: number;
  inverted: number;
  /** Floors with level ceilings whose walls, boards and lids, with the air of rooms and of openings, were held against area × height; by more than 10⁻⁶, or 10⁻³ where a wall is curved. */
  filled: number;
  unfilled: number;
  threw: number;
  slowest: number;
  readonly seeds: string[];
}

function planOf(gestures: readonly Gesture[]): Plan {
  let plan = newPlan({ name: 'Raised' });
  gestures.forEach((each, i) => {
    const intent = intentOf(plan, each);
    const result = intent && applyEdit(plan, intent, `r${i}`);
    if (result?.ok) plan = result.plan;
  });
  const added = applyEdit(plan, { kind: 'addFloor', of: 'ground', side: 'above' } as never, 'up');
  return added.ok ? added.plan : plan;
}

/** Random plans raised, with a floor above. */
export function raiseHouses(count: number, seed: number): Raised {
  const seen: Raised = {
    ...{ plans: 0, things: 0, open: 0, inverted: 0, filled: 0, unfilled: 0, threw: 0, slowest: 0 },
    seeds: [],
  };
  const all = fc.sample(fc.array(gesture, { minLength: 4, maxLength: 26 }), { seed, numRuns: count });
  for (const [n, gestures] of all.entries()) {
    seen.plans += 1;
    try {
      const plan = planOf(gestures);
      const start = performance.now();
      const house = raisedHouse(plan);
      seen.slowest = Math.max(seen.slowest, performance.now() - start);
      for (const { things } of house)
        for (const { mesh } of things) {
          seen.things += 1;
          const isOpen = openEdges(mesh) > 0;
          const inverted = !(volumeOf(mesh) > 0);
          if (isOpen) seen.open += 1;
          if (inverted) seen.inverted += 1;
          if (isOpen || inverted) seen.seeds.push(`${seed} ${n}`);
        }
      const off = unfilledShare(plan);
      if (off === null) continue;
      seen.filled += 1;
      const curved = Object.values(plan.walls).some(({ bulge }) => bulge !== 0);
      if (off > (curved ? 1e-3 : 1e-6)) {
        seen.unfilled += 1;
        seen.seeds.push(`${seed} ${n}`);
      }
    } catch {
      seen.threw += 1;
      seen.seeds.push(`${seed} ${n}`);
    }
  }
  return { ...seen, slowest: Math.round(seen.slowest), seeds: seen.seeds.slice(0, 10) };
}

/** By how much of it what stands on the ground floor does not fill it; null where that can't be reckoned so simply. */
function unfilledShare(plan: Plan): number | null {
  const floor = deriveFloor(plan, 'ground');
  if (floor.rooms.some(({ ceiling }) => !ceiling.level) || floor.solids.length > 0) return null;
  const bodies = floor.bodies.map(({ ring }) => flattened(ring));
  const area = ringsArea([...bodies, ...floor.rooms.flatMap(({ outline }) => outline.rings.map(flattened))]);
  if (area === 0 || ringsArea(bodies) - ringsArea(union(bodies)) > 1e-5 * area) return null;
  const volume = (of: Plan, ...parts: string[]) => {
    const [ground] = raisedHouse(of);
    const things = ground!.things.filter(({ part }) => parts.includes(part));
    return { sum: things.reduce((sum, { mesh }) => sum + volumeOf(mesh), 0), height: ground!.height };
  };
  const { sum, height } = volume(plan, 'walls', 'floors', 'ceilings');
  const gaps = volume({ ...plan, openings: {} }, 'walls').sum - volume(plan, 'walls').sum;
  const air = floor.rooms.reduce((total, { measures }) => total + measures.volume, 0);
  return Math.abs(sum + gaps + air - area * height) / (area * height);
}
