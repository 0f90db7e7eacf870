import { type Point, alongOf, cross, dot, headingAt, leftOf, moved, pointAt, subtract } from '../geometry';
import { onceFor } from '../memory';
import type { Id, Plan, Reading, Units } from '../plan/plan';
import { floorBeside } from '../plan/storeys';
import { type Slip, slipOf } from '../trueup/slips';
import { isOuter } from '../trueup/standing';
import { formatLength, formatSize } from '../units';
import { type DerivedFloor, type WallFace, deriveFloor } from './derive-floor';

/** At 1 % of chance a wall that stands right is off by more than so many standard deviations (normal distribution, from memory). */
const LIMIT = 2.576;
/** Walls farther off each other than this do not belong together, mm. */
const FAR = 600;
/** Nor do those that differ by more in direction: sin 3°. */
const TURNED = 0.052;
/** Nor those that share less of their length. */
const SHARED = 0.5;

/** An outer wall that does not stand over the one below, though what was read says that it is where it is. */
export interface OverBelow {
  readonly face: WallFace;
  /** How much farther out it stands than the wall below, mm; negative: farther in. */
  readonly by: number;
  readonly below: string;
  /** The readings it rests on, the likeliest slip first, with what would fit, mm. */
  readonly suspects: readonly { readonly reading: Reading; readonly fits: number; readonly slip: Slip | null }[];
}

interface Outer {
  readonly face: WallFace;
  /** On its outer face, from left to right as the room sees it. */
  readonly a: Point;
  readonly b: Point;
  readonly d: Point;
}

const isOuterFace = ({ halves, bulge }: WallFace): boolean => bulge === 0 && halves.every(({ wall }) => isOuter(wall));

const outerWalls = onceFor((floor: DerivedFloor): readonly Outer[] =>
  floor.rooms.flatMap((room) =>
    room.faces.filter(isOuterFace).map((face) => {
      const thick = Math.max(...face.halves.map(({ left, right }) => left + right));
      const d = headingAt(face.course, 0);
      return { face, d, a: moved(face.a, leftOf(d), thick), b: moved(face.b, leftOf(d), thick) };
    }),
  ),
);

/**
 * The outer walls of a floor that was carried up, or of which that was chosen, are held against those of the floor below as a weak observation: they stand over each other to within the floor's standard
 * deviation, measured between their outer faces, as walls get thinner upwards on the inside. It moves nothing; what is farther off than chance
 * would bring about, and rests on readings, is said.
 */
export function overBelow(plan: Plan, id: Id): readonly OverBelow[] {
  const beneath = floorBeside(plan, id, 'below');
  const deviation = plan.floors[id]?.overBelow ?? null;
  if (!beneath || deviation === null) return [];
  const floor = deriveFloor(plan, id);
  const walls = outerWalls(deriveFloor(plan, beneath.id));
  return outerWalls(floor).flatMap((outer): OverBelow[] => {
    const by = offBelow(outer, walls);
    if (by === null || Math.abs(by) <= LIMIT * deviation) return [];
    const suspects = suspectsOf(floor, outer, by, deviation);
    return suspects.length === 0 ? [] : [{ face: outer.face, by, below: beneath.name, suspects }];
  });
}

/** How far out of the nearest wall below that runs alike it stands, mm; null where there is none. */
function offBelow({ a, b, d }: Outer, walls: readonly Outer[]): number | null {
  let best: number | null = null;
  const length = dot(subtract(b, a), d);
  for (const wall of walls) {
    if (dot(d, wall.d) <= 0 || Math.abs(cross(d, wall.d)) > TURNED) continue;
    const [from, to] = [dot(subtract(wall.a, a), d), dot(subtract(wall.b, a), d)];
    const shared = Math.min(length, to) - Math.max(0, from);
    if (shared < SHARED * Math.min(length, to - from)) continue;
    const at = pointAt({ a, b, bulge: 0, arc: null, length }, (Math.max(0, from) + Math.min(length, to)) / 2);
    // outwards is at the left hand
    const off = dot(subtract(at, wall.a), leftOf(wall.d));
    if (Math.abs(off) <= FAR && (best === null || Math.abs(off) < Math.abs(best))) best = off;
  }
  return best;
}

/** Lengths that were read across the house towards the wall: what a usual slip explains first, then those that end at it. */
function suspectsOf(floor: DerivedFloor, { face, d }: Outer, by: number, deviation: number): OverBelow['suspects'] {
  const across = floor.rooms
    .flatMap((room) => room.faces)
    .filter((other) => other.reading && other.bulge === 0 && Math.abs(dot(headingAt(other.course, 0), d)) < TURNED);
  const all = across.map((other) => {
    const reading = other.reading!;
    const fits = reading.value - by;
    const off = [other.a, other.b].map((p) =>
      Math.abs(alongOf(face.course, p) < -FAR ? Infinity : cross(d, subtract(p, face.a))),
    );
    return { reading, fits, slip: slipOf(reading, fits, deviation), ends: Math.min(...off) < 1 };
  });
  return all
    .filter(({ ends, slip }) => ends || slip)
    .sort((a, b) => Number(b.slip !== null) - Number(a.slip !== null) || Number(b.ends) - Number(a.ends))
    .map(({ reading, fits, slip }) => ({ reading, fits, slip }));
}

/** “This wall stands 90 mm farther out than on Ground floor: is it thinner here, or 5.33 m a slip? 5.24 m would fit.” */
export function overBelowInWords({ by, below, suspects }: OverBelow, units: Units): string {
  const [first] = suspects;
  const off = `stands ${formatSize(Math.abs(by), units)} farther ${by > 0 ? 'out' : 'in'} than on ${below}`;
  const fits = formatLength(first!.fits, units);
  const read = formatLength(first!.reading.value, units);
  return first!.slip
    ? `This wall ${off}. Most likely ${read} is a slip: ${first!.slip.kind}? ${formatLength(first!.slip.value, units)} would fit.`
    : `This wall ${off}: is it thinner here, or ${read} a slip? ${fits} would fit.`;
}
