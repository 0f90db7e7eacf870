import { onceFor } from '../memory';
import {
  type Course,
  type Point,
  type Ring,
  type RingPoint,
  bandAlong,
  courseOf,
  difference,
  direction,
  dot,
  isSimple,
  partOf,
  reversedRing,
  ringsArea,
  signedArea,
  withoutSpikes,
} from '../geometry';
import type { Id } from '../plan/plan';
import {
  type Cell,
  type HalfWall,
  type Loop,
  type Joint,
  type Network,
  bowed,
  cornerRing,
  enclosedSides,
  goesStraightOn,
  jointAfter,
  loopsOf,
  pointsAfter,
} from '../walls';

/** One inner face of a room, straight or along one arc, over however many walls it runs. The room is at the right hand from a to b. */
export interface FaceRun {
  /** `from>to`: the corners at its left and right end, as seen from inside the room; `from(to` and `from)to` where it bows out and in. */
  readonly key: string;
  readonly from: Id;
  readonly to: Id;
  readonly halves: readonly HalfWall[];
  /** Its ends: the inside corners of the room, mm. */
  readonly a: Point;
  readonly b: Point;
  /** Along the face, mm. */
  readonly length: number;
  /** Unit direction from a to b, straight across where the face is an arc. */
  readonly d: Point;
  /** Of the face itself: 0 straight, positive where it bows out of the room. */
  readonly bulge: number;
  readonly course: Course;
}

export interface RoomOutline {
  /** First the outline (clockwise), then what is cut out of it (anticlockwise). */
  readonly rings: readonly Ring[];
  readonly runs: readonly FaceRun[];
  /** mm², never negative */
  readonly area: number;
}

/**
 * The floor of a room: the loop of the inner faces of its walls, less what stands inside it. Where walls are so
 * close that their faces cross, the floor is what remains when the bodies of the walls are taken off.
 */
export function roomOutline(network: Network, cell: Cell): RoomOutline {
  const loops = cell.holes.length > 0 ? [cell.outline, ...cell.holes] : [cell.outline];
  const halves = loops.flatMap((loop) => loop.halves);
  const first = jointAfter(halves[0]!);
  const last = remembered.get(first);
  if (last && sameWalk(last.halves, halves)) return last.outline;
  const outline = outlineOf(network, loops);
  remembered.set(first, { halves, outline });
  return outline;
}

/** Every joint belongs to one room: while all joints and walls of an outline are the same, so is the outline. */
const remembered = new WeakMap<Joint, { halves: readonly HalfWall[]; outline: RoomOutline }>();

const sameWalk = (a: readonly HalfWall[], b: readonly HalfWall[]): boolean =>
  a.length === b.length && a.every((half, i) => half.wall === b[i]!.wall && jointAfter(half) === jointAfter(b[i]!));

function outlineOf(network: Network, loops: readonly Loop[]): RoomOutline {
  const runs = loops.flatMap(runsOf);
  const rings = loops.map((loop) => withoutSpikes(innerRing(loop)));
  const sound = loops.every(facesRunForward) && rings.every(isSimple) && signedArea(rings[0]!) > 0;
  const floor = sound ? rings : withoutBodies(network, loops);
  return { rings: floor, runs, area: Math.max(0, ringsArea(floor)) };
}

/** Does every face, from joint to joint, run the way its wall does? Where a wall is shorter than its neighbours are thick, one may not. */
function facesRunForward({ halves }: Loop): boolean {
  return halves.every((half, i) => {
    const a = pointsAfter(halves[(i + halves.length - 1) % halves.length]!).at(-1)!;
    const b = pointsAfter(half)[0]!;
    if (half.bulge !== 0) return (bowed(half.course, a, b).bulge ?? 0) * half.bulge > -1e-9;
    return dot({ x: b.x - a.x, y: b.y - a.y }, half.d) > -1e-6;
  });
}

function innerRing({ halves }: Loop): Ring {
  if (!halves.some((half) => half.bulge !== 0)) return halves.flatMap(pointsAfter);
  return halves.flatMap((half, i): readonly RingPoint[] => {
    const points = pointsAfter(half);
    const next = halves[(i + 1) % halves.length]!;
    return [...points.slice(0, -1), bowed(next.course, points.at(-1)!, pointsAfter(next)[0]!)];
  });
}

function withoutBodies(network: Network, loops: readonly Loop[]): Ring[] {
  const bodies = loops.flatMap((loop) =>
    loop.halves.flatMap(({ course, left, right }) => (left + right > 0 ? [bandAlong(course, left, right)] : [])),
  );
  const free = loops.slice(1).map((loop) => reversedRing(cornerRing(network, loop)));
  return difference([cornerRing(network, loops[0]!)], [...bodies, ...free]);
}

function runsOf(loop: Loop): FaceRun[] {
  const { halves } = loop;
  const steps = halves.map(pointsAfter);
  // a run goes on where the wall does and its face makes no step
  const goesOn = halves.map(
    (half, i) => goesStraightOn(half, halves[(i + 1) % halves.length]!) && steps[i]!.length === 1,
  );
  const first = goesOn.at(-1) ? goesOn.indexOf(false) + 1 : 0;
  const runs: FaceRun[] = [];
  for (let done = 0; done < halves.length;) {
    const begin = (first + done) % halves.length;
    let count = 1;
    while (count < halves.length && goesOn[(begin + count - 1) % halves.length]) count += 1;
    const members = Array.from({ length: count }, (_, k) => halves[(begin + k) % halves.length]!);
    const a = steps[(begin + halves.length - 1) % halves.length]!.at(-1)!;
    const b = steps[(begin + count - 1) % halves.length]![0]!;
    runs.push(runOf(members, a, b));
    done += count;
  }
  return runs;
}

/** The walls that look at no room on either side, each once, seen from the right of the walk from start to end. */
export const freeRuns = onceFor((network: Network): readonly FaceRun[] => {
  const enclosing = enclosedSides(network);
  if (enclosing.size === network.walls.length) return [];
  const bare = (half: HalfWall) => !enclosing.has(half.wall.id);
  return loopsOf(network)
    .filter((loop) => loop.halves.some(bare))
    .flatMap(runsOf)
    .filter((run) => run.halves[0]!.forward && run.halves.every(bare));
});

function runOf(halves: readonly HalfWall[], a: Point, b: Point): FaceRun {
  const { from, d: first, bulge: bow } = halves[0]!;
  const { to } = halves.at(-1)!;
  const bulge = bow === 0 ? 0 : faceBulge(halves, a, b);
  const course = courseOf(a, b, bulge);
  // the face of a single straight wall runs as the wall does, however short it is
  const d = bow === 0 && (halves.length === 1 || course.length === 0) ? first : direction(a, b);
  const link = bow === 0 ? '>' : bow > 0 ? '(' : ')';
  return { key: `${from}${link}${to}`, from, to, halves, a, b, length: course.length, d, bulge, course };
}

/** The bend of a face over several walls of one circle. */
function faceBulge(halves: readonly HalfWall[], a: Point, b: Point): number {
  const { course } = halves[0]!;
  const turned = halves.reduce((sum, half) => sum + half.course.arc!.sweep, 0);
  const over = partOf(course, 0, (course.length * turned) / course.arc!.sweep);
  return bowed(over, a, b).bulge ?? 0;
}
