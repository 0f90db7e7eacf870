import fc from 'fast-check';
import {
  type Corner,
  type Intent,
  type Point,
  type Plan,
  applyEdit,
  deriveFloor,
  distance,
  distanceToCourse,
  misfitsOf,
  newPlan,
  openingSpan,
  pointAt,
} from '../src';
import { gesture, intentOf } from '../tests/gestures';

export interface Stays {
  looked: number;
  moved: number;
  readonly by: Record<string, number>;
  readonly seeds: string[];
}

/** What a person says of sizes and places may move an opening; these may not. */
const SHAPES: readonly Intent['kind'][] = [
  'drawBox',
  'drawPath',
  'closeEnd',
  'bump',
  'moveWall',
  'moveCorner',
  'addCorner',
  'removeCorner',
  'removeWall',
  'transformRooms',
  'setWallKind',
  'bendWall',
];

/** The jambs of every opening on the sheet, on the line of its wall. */
function jambs(plan: Plan): Map<string, { near: Point; far: Point; wall: string; anchor: Corner }> {
  const floor = deriveFloor(plan, 'ground');
  return new Map(
    floor.openings.map((opening) => {
      const { course, wall } = floor.network.half(opening.wall, true);
      const span = openingSpan(floor.network, opening);
      const anchor = plan.corners[wall[opening.anchor]]!;
      return [opening.id, { near: pointAt(course, span.from), far: pointAt(course, span.to), wall: wall.id, anchor }];
    }),
  );
}

const sequences = fc.array(gesture, { minLength: 4, maxLength: 18 });

/** Openings looked at through edits that left their wall alone: those that moved on the sheet by more than a millimetre. */
export function openingsStay(count: number, seed: number): Stays {
  const result: Stays = { looked: 0, moved: 0, by: {}, seeds: [] };
  const BATCH = 50;
  for (let batch = 0; batch * BATCH < count; batch += 1) {
    fc.sample(sequences, { seed: seed + batch, numRuns: Math.min(BATCH, count - batch * BATCH) }).forEach((list, i) => {
      let plan = newPlan({ name: 'Openings' });
      list.forEach((g, k) => {
        const intent = intentOf(plan, g);
        let done: ReturnType<typeof applyEdit> | null = null;
        try {
          done = intent && applyEdit(plan, intent, `g${k}`);
        } catch (error) {
          result.seeds.push(`${seed + batch}:${i}:${k} threw ${error}`);
        }
        if (!done?.ok) return;
        if (SHAPES.includes(intent!.kind) && done.notes.length === 0) {
          const before = jambs(plan);
          const after = jambs(done.plan);
          const now = deriveFloor(done.plan, 'ground');
          for (const [id, was] of before) {
            const is = after.get(id);
            if (!is) continue;
            const { course } = now.network.half(is.wall, true);
            const own = done.plan.corners[was.anchor.id];
            const alone =
              [was.near, was.far].every((p) => distanceToCourse(course, p) < 0.5) &&
              (!own || distance(own, was.anchor) < 0.5);
            if (!alone) continue;
            // what does not fit its wall stands at the nearest place there is, and that is said
            const opening = now.openings.find((each) => each.id === id)!;
            if (misfitsOf(now.network, opening, now.openings).length > 0) continue;
            result.looked += 1;
            if (distance(was.near, is.near) < 1 && distance(was.far, is.far) < 1) continue;
            if (distance(was.near, is.far) < 1 && distance(was.far, is.near) < 1) continue;
            result.moved += 1;
            result.by[intent!.kind] = (result.by[intent!.kind] ?? 0) + 1;
            result.seeds.push(`${seed + batch}:${i}:${k} ${intent!.kind}`);
          }
        }
        plan = done.plan;
      });
    });
  }
  return result;
}
