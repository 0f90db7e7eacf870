import {
  type Point,
  type Ring,
  difference,
  distance,
  dot,
  isSimple,
  leftOf,
  moved,
  rightOf,
  ringsArea,
  signedArea,
} from '../geometry';
import type { Id } from '../plan/plan';
import {
  type Face,
  type HalfWall,
  type Loop,
  type Joint,
  type Network,
  cornerRing,
  goesStraightOn,
  jointAfter,
  pointsAfter,
} from '../walls';

/** One straight inner face of a room, over however many walls it runs. The room is at the right hand from a to b. */
export interface FaceRun {
  /** `from>to`: the corners at its left and right end, as seen from inside the room. */
  readonly key: string;
  readonly from: Id;
  readonly to: Id;
  readonly halves: readonly HalfWall[];
  /** Its ends: the inside corners of the room, mm. */
  readonly a: Point;
  readonly b: Point;
  readonly length: number;
  readonly d: Point;
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
export function roomOutline(network: Network, face: Face): RoomOutline {
  const loops = face.holes.length > 0 ? [face.outline, ...face.holes] : [face.outline];
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
  const rings = loops.map(innerRing);
  const sound = loops.every(facesRunForward) && rings.every(isSimple) && signedArea(rings[0]!) > 0;
  const floor = sound ? rings : withoutBodies(network, loops);
  return { rings: floor, runs, area: Math.max(0, ringsArea(floor)) };
}

/** Does every face, from joint to joint, run the way its wall does? Where a wall is shorter than its neighbours are thick, one may not. */
function facesRunForward({ halves }: Loop): boolean {
  return halves.every((half, i) => {
    const a = pointsAfter(halves[(i + halves.length - 1) % halves.length]!).at(-1)!;
    const b = pointsAfter(half)[0]!;
    return dot({ x: b.x - a.x, y: b.y - a.y }, half.d) > -1e-6;
  });
}

const innerRing = (loop: Loop): Ring => loop.halves.flatMap(pointsAfter);

function withoutBodies(network: Network, loops: readonly Loop[]): Ring[] {
  const bodies = loops.flatMap((loop) =>
    loop.halves.map((half) => {
      const a = network.corners.get(half.from)!;
      const b = network.corners.get(half.to)!;
      const r = rightOf(half.d);
      const l = leftOf(half.d);
      return [moved(a, l, half.left), moved(b, l, half.left), moved(b, r, half.right), moved(a, r, half.right)];
    }),
  );
  const free = loops.slice(1).map((loop) => [...cornerRing(network, loop)].reverse());
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
    const from = members[0]!.from;
    const to = members.at(-1)!.to;
    const chord = distance(a, b);
    const d = chord > 0 && members.length > 1 ? { x: (b.x - a.x) / chord, y: (b.y - a.y) / chord } : members[0]!.d;
    runs.push({ key: `${from}>${to}`, from, to, halves: members, a, b, length: chord, d });
    done += count;
  }
  return runs;
}
