import { type Point, type Ring, add, distance, intersection, piecesOf, ringsBox, rounded } from '../../geometry';
import { surfaceContains } from '../../rooms';
import { type Pose, type Rectangle, apart, rectangleAt } from './poses';
import { insideOf, placesFor, sweptTurning } from './slices';
import { awayFrom, nearestIn, wayWithin } from './way';

export interface Search {
  readonly floor: readonly Ring[];
  readonly size: Rectangle;
  /** Along which walls run, radians: turned so it goes through the narrowest doors. */
  readonly along: number;
  /** Into how many steps half a turn is parted. */
  readonly steps: number;
  /** It may begin anywhere near, turned as one likes. */
  readonly start: { readonly at: Point; readonly within: number };
  /** Where it ends; the last bit is pushed. */
  readonly goal: Pose;
  /** It need not come to its goal, only so near to it, turned nearly so: mm. */
  readonly near?: number;
  /** Turned on the spot only: it finds less, and soon. */
  readonly rough?: boolean;
  /** Called now and then; true: stop. */
  readonly stop?: (share: number) => boolean;
}

/** The last bit, mm, into its place. */
const PUSHED = 60;
/** What is turned keeps so far off what is there, mm. */
const AIR = 1;

/** The search was stopped from outside. */
export class Stopped extends Error {}

/**
 * A way for a rectangle over a floor, sliding and turning, that touches nothing: exact while it slides, and while it turns from one step to the next kept clear of all it passes over. So a way that is found is one; that none is
 * found means that there is none with turns in these steps. Null: none.
 */
export function routeFor(search: Search): readonly Pose[] | null {
  const { size, steps, start, goal, stop } = search;
  const floor = reachable(search);
  if (!floor) return null;
  const slices = new Slices(floor, search);
  const ends = endsOf(slices, search);
  // on the spot first; then while it slides, too, as round a tight corner
  const ways = search.rough
    ? [ON_THE_SPOT]
    : [ON_THE_SPOT, [...ON_THE_SPOT, ...slidesOf(Math.max(size.width, size.depth), Math.PI / steps)]];
  for (const [k, slides] of ways.entries()) {
    const tell = (share: number) => {
      if (stop?.((k + share) / ways.length)) throw new Stopped();
    };
    const chain = fewestTurns(slices, slides, start, ends, tell);
    const poses = chain && posesAlong(chain, start.at, goal);
    if (poses) return poses;
  }
  return null;
}

/**
 * The part of a floor that matters: where the largest circle in the rectangle gets to from where it begins, and what the
 * rectangle touches from there. Null: not even the circle gets to the goal.
 */
function reachable({ floor, size, start, goal, near = PUSHED }: Search): readonly Ring[] | null {
  const [least, most] = [Math.min(size.width, size.depth) / 2, Math.hypot(size.width, size.depth) / 2];
  const middles = piecesOf(rounded(floor, -Math.max(1, least - ROUNDED))).filter(
    (part) => awayFrom(part, start.at) <= start.within && awayFrom(part, goal) <= near,
  );
  if (middles.length === 0) return null;
  return intersection(floor, rounded(middles.flat(), most + ROUNDED));
}
/** Arcs of what is drawn in and out again are this far off, mm. */
const ROUNDED = 3;

interface Node {
  readonly slice: number;
  readonly angle: number;
  readonly part: readonly Ring[];
}

/** Where its middle can be, for every step of half a turn, and how one gets from step to step: worked out when it is asked for. */
class Slices {
  private readonly nodes = new Map<number, readonly Node[]>();
  private readonly turns = new Map<string, readonly Between[]>();
  constructor(
    private readonly floor: readonly Ring[],
    private readonly search: Search,
  ) {}

  get steps(): number {
    return this.search.steps;
  }

  angleOf(i: number): number {
    return this.search.along + (Math.PI * i) / this.search.steps;
  }

  at(i: number): readonly Node[] {
    const known = this.nodes.get(i);
    if (known) return known;
    const { width, depth } = this.search.size;
    const angle = this.angleOf(i);
    const parts = placesFor(this.floor, rectangleAt(width, depth, angle));
    const made = parts.map((part) => ({ slice: i, angle, part }));
    this.nodes.set(i, made);
    return made;
  }

  /** From a step to the next one. */
  private between(i: number, by: Point): readonly Between[] {
    const key = `${i}/${by.x}/${by.y}`;
    const known = this.turns.get(key);
    if (known) return known;
    const [here, there] = [this.at(i), this.at((i + 1) % this.search.steps)];
    const made: Between[] = [];
    if (here.length > 0 && there.length > 0 && this.mayJoin(i, by)) {
      const swept = sweptTurning(this.search.size, this.angleOf(i), this.angleOf(i + 1), by, AIR);
      for (const turn of placesFor(this.floor, swept)) {
        const p = insideOf(turn);
        const q = { x: p.x + by.x, y: p.y + by.y };
        const from = here.find(({ part }) => surfaceContains(part, p));
        const to = there.find(({ part }) => surfaceContains(part, q));
        if (from && to) made.push({ from, to, turn, by });
      }
    }
    this.turns.set(key, made);
    return made;
  }

  /** While it slides only what does not hang together by turning on the spot is of use, where it overlaps at all. */
  private mayJoin(i: number, by: Point): boolean {
    if (by.x === 0 && by.y === 0) return true;
    const joined = this.between(i, ON_THE_SPOT[0]!);
    return this.at(i).some((from) =>
      this.at((i + 1) % this.search.steps).some(
        (to) => !joined.some((each) => each.from === from && each.to === to) && overlap(slid(from.part, by), to.part),
      ),
    );
  }

  /** The turns that lead to a node. */
  into(node: Node, slides: readonly Point[]): readonly { readonly from: Node; readonly turn: Turn }[] {
    const { steps } = this.search;
    const before = (node.slice + steps - 1) % steps;
    return slides.flatMap((by) => [
      ...this.between(before, by)
        .filter(({ to }) => to === node)
        .map(({ from, turn }) => ({ from, turn: { turn, by } })),
      ...this.between(node.slice, by)
        .filter(({ from }) => from === node)
        .map(({ to, turn }) => ({
          from: to,
          turn: {
            turn: slid(turn, by),
            by: { x: -by.x, y: -by.y },
          },
        })),
    ]);
  }
}

const slid = (part: readonly Ring[], by: Point): readonly Ring[] => part.map((ring) => ring.map((p) => add(p, by)));

function overlap(a: readonly Ring[], b: readonly Ring[]): boolean {
  const [one, other] = [ringsBox(a)!, ringsBox(b)!];
  if (one.minX > other.maxX || other.minX > one.maxX || one.minY > other.maxY || other.minY > one.maxY) return false;
  return intersection(a, b).length > 0;
}

interface Between {
  readonly from: Node;
  readonly to: Node;
  readonly turn: readonly Ring[];
  readonly by: Point;
}

/** Where it can begin to turn a step further, and how it slides meanwhile. */
interface Turn {
  readonly turn: readonly Ring[];
  readonly by: Point;
}

const ON_THE_SPOT: readonly Point[] = [{ x: 0, y: 0 }];
const DIRECTIONS = 12;
/** A rod both ends of which slide along walls moves half its length for a turn by 1 rad, whichever way. */
const slidesOf = (length: number, step: number): readonly Point[] =>
  Array.from({ length: DIRECTIONS }, (_, i) => {
    const t = (2 * Math.PI * i) / DIRECTIONS;
    return { x: (Math.cos(t) * length * step) / 2, y: (Math.sin(t) * length * step) / 2 };
  });

interface Step {
  readonly node: Node;
  /** How it goes on from there; null: it is where it ends. */
  readonly next: Turn | null;
}

/** Nearly as it lies at its goal, where it need not come to it: radians. */
const NEARLY = Math.PI / 9;

/** Where it may end: turned as it will stand before others, so that it is not turned for nothing. */
function endsOf(slices: Slices, { goal, near }: Search): readonly Node[] {
  const [turn, off] = near === undefined ? [Math.PI / slices.steps, PUSHED] : [NEARLY, near];
  return Array.from({ length: slices.steps }, (_, i) => i)
    .map((i) => ({ i, off: apart(slices.angleOf(i), goal.angle) }))
    .filter((each) => each.off <= turn)
    .sort((a, b) => a.off - b.off)
    .flatMap(({ i }) => slices.at(i).filter(({ part }) => awayFrom(part, goal) <= off));
}

/** The parts one after the other with fewest turns between them, by breadth first, back from the goal. */
function fewestTurns(
  slices: Slices,
  slides: readonly Point[],
  start: Search['start'],
  ends: readonly Node[],
  tell: (share: number) => void,
): readonly Step[] | null {
  const { steps } = slices;
  const goes = new Map<Node, { to: Node; turn: Turn } | null>(ends.map((node) => [node, null]));
  const seen = new Set<number>();
  let line = ends;
  while (line.length > 0) {
    const begin = line.find(({ part }) => awayFrom(part, start.at) <= start.within);
    if (begin) {
      const chain: Step[] = [];
      for (let node: Node | undefined = begin; node;) {
        const step: { to: Node; turn: Turn } | null = goes.get(node) ?? null;
        chain.push({ node, next: step?.turn ?? null });
        node = step?.to;
      }
      return chain;
    }
    const next: Node[] = [];
    for (const node of line) {
      tell(seen.add(node.slice).size / (steps + 1));
      for (const { from, turn } of slices.into(node, slides)) {
        if (goes.has(from)) continue;
        goes.set(from, { to: node, turn });
        next.push(from);
      }
    }
    line = next;
  }
  return null;
}

/** Where it lies, step by step: it slides to where it can turn, turns, and slides on. */
function posesAlong(chain: readonly Step[], start: Point, goal: Pose): readonly Pose[] | null {
  const poses: Pose[] = [];
  let at = nearestIn(chain[0]!.node.part, start);
  let { angle } = chain[0]!.node;
  poses.push({ ...at, angle });
  for (const [i, { node, next }] of chain.entries()) {
    const to = next ? nearestIn(next.turn, at) : nearestIn(node.part, goal);
    const way = wayWithin(node.part, at, to);
    if (!way) return null;
    for (const p of way.slice(1)) poses.push({ ...p, angle });
    at = to;
    if (next) {
      at = { x: at.x + next.by.x, y: at.y + next.by.y };
      angle = nearAngle(chain[i + 1]!.node.angle, angle);
      poses.push({ ...at, angle });
    }
  }
  const last = nearAngle(goal.angle, angle);
  if (distance(at, goal) > 1e-6 || Math.abs(last - angle) > 1e-9) poses.push({ x: goal.x, y: goal.y, angle: last });
  return poses;
}

/** The same direction, the shorter way round from another. */
const nearAngle = (angle: number, from: number): number => angle + Math.PI * Math.round((from - angle) / Math.PI);
