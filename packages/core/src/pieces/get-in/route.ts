import { type Point, type Ring, distance } from '../../geometry';
import { surfaceContains } from '../../rooms';
import { type Slice, insideOf, placesFor, rectangleAt, sweptTurning } from './slices';
import { awayFrom, nearestIn, wayWithin } from './way';

/** How something lies on the way: its middle, and how its width is turned, radians. */
export interface Pose extends Point {
  readonly angle: number;
}

export interface Rectangle {
  readonly width: number;
  readonly depth: number;
}

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
  const { floor, size, along, steps, start, goal, stop } = search;
  const angleOf = (i: number) => along + (Math.PI * i) / steps;
  const slices: Slice[] = [];
  for (let i = 0; i < steps; i += 1) {
    if (stop?.((i / steps) * 0.2)) throw new Stopped();
    slices.push({ angle: angleOf(i), parts: placesFor(floor, rectangleAt(size.width, size.depth, angleOf(i))) });
  }
  const nodes = slices.flatMap(({ angle, parts }, slice) => parts.map((part) => ({ slice, angle, part })));
  const first = slices.map((_, i) => slices.slice(0, i).reduce((sum, { parts }) => sum + parts.length, 0));
  const begins = nodes.flatMap(({ part }, i) => (awayFrom(part, start.at) <= start.within ? [i] : []));
  const ends = new Set(
    nodes.flatMap(({ angle, part }, i) =>
      apart(angle, goal.angle) <= Math.PI / steps && awayFrom(part, goal) <= PUSHED ? [i] : [],
    ),
  );
  if (begins.length === 0 || ends.size === 0) return null;
  const beside = new Map<number, Turn[]>();
  // on the spot first; then while it slides, too, as round a tight corner
  const ways = [ON_THE_SPOT, slidesOf(Math.max(size.width, size.depth), Math.PI / steps)];
  for (const [k, slides] of ways.entries()) {
    for (let i = 0; i < steps; i += 1) {
      if (stop?.(0.2 + (k === 0 ? 0.1 : 0.1 + 0.7 * (i / steps)))) throw new Stopped();
      const next = (i + 1) % steps;
      if (slices[i]!.parts.length === 0 || slices[next]!.parts.length === 0) continue;
      for (const by of slides) {
        const swept = sweptTurning(size, angleOf(i), angleOf(i + 1), by, AIR);
        for (const turn of placesFor(floor, swept)) {
          const p = insideOf(turn);
          const q = { x: p.x + by.x, y: p.y + by.y };
          const a = slices[i]!.parts.findIndex((part) => surfaceContains(part, p));
          const b = slices[next]!.parts.findIndex((part) => surfaceContains(part, q));
          if (a < 0 || b < 0) continue;
          const [u, v] = [first[i]! + a, first[next]! + b];
          add(beside, u, { to: v, turn, by });
          const back = turn.map((ring) => ring.map((each) => ({ x: each.x + by.x, y: each.y + by.y })));
          add(beside, v, { to: u, turn: back, by: { x: -by.x, y: -by.y } });
        }
      }
    }
    const chain = fewestTurns(nodes.length, beside, begins, ends);
    const poses = chain && posesAlong(chain, nodes, start.at, goal);
    if (poses) return poses;
  }
  return null;
}

/** From one part to one that is turned a step further: where it can begin, and how it slides meanwhile. */
interface Turn {
  readonly to: number;
  readonly turn: readonly Ring[];
  readonly by: Point;
}

const add = (beside: Map<number, Turn[]>, at: number, turn: Turn): void => {
  const list = beside.get(at);
  if (list) list.push(turn);
  else beside.set(at, [turn]);
};

const ON_THE_SPOT: readonly Point[] = [{ x: 0, y: 0 }];
const DIRECTIONS = 12;
/** A rod both ends of which slide along walls moves half its length for a turn by 1 rad, whichever way. */
const slidesOf = (length: number, step: number): readonly Point[] =>
  Array.from({ length: DIRECTIONS }, (_, i) => {
    const t = (2 * Math.PI * i) / DIRECTIONS;
    return { x: (Math.cos(t) * length * step) / 2, y: (Math.sin(t) * length * step) / 2 };
  });

/** How far two directions of a rectangle are apart: half a turn is none. */
export function apart(a: number, b: number): number {
  const off = (((a - b) % Math.PI) + Math.PI) % Math.PI;
  return Math.min(off, Math.PI - off);
}

interface Step {
  readonly node: number;
  /** How it came there; null: it began there. */
  readonly turn: Turn | null;
}

/** The parts one after the other with fewest turns between them, by breadth first. */
function fewestTurns(
  count: number,
  beside: ReadonlyMap<number, readonly Turn[]>,
  begins: readonly number[],
  ends: ReadonlySet<number>,
): readonly Step[] | null {
  const came = new Map<number, { from: number; turn: Turn } | null>(begins.map((i) => [i, null]));
  let line = [...begins];
  while (line.length > 0 && came.size <= count) {
    const end = line.find((i) => ends.has(i));
    if (end !== undefined) {
      const chain: Step[] = [];
      for (let i: number | undefined = end; i !== undefined;) {
        const step: { from: number; turn: Turn } | null = came.get(i) ?? null;
        chain.push({ node: i, turn: step?.turn ?? null });
        i = step?.from;
      }
      return chain.reverse();
    }
    const next: number[] = [];
    for (const i of line)
      for (const turn of beside.get(i) ?? []) {
        if (came.has(turn.to)) continue;
        came.set(turn.to, { from: i, turn });
        next.push(turn.to);
      }
    line = next;
  }
  return null;
}

/** Where it lies, step by step: it slides to where it can turn, turns, and slides on. */
function posesAlong(
  chain: readonly Step[],
  nodes: readonly { angle: number; part: readonly Ring[] }[],
  start: Point,
  goal: Pose,
): readonly Pose[] | null {
  const poses: Pose[] = [];
  let at = nearestIn(nodes[chain[0]!.node]!.part, start);
  let angle = nodes[chain[0]!.node]!.angle;
  poses.push({ ...at, angle });
  for (let i = 0; i < chain.length; i += 1) {
    const { part } = nodes[chain[i]!.node]!;
    const next = chain[i + 1];
    const to = next ? nearestIn(next.turn!.turn, at) : nearestIn(part, goal);
    const way = wayWithin(part, at, to);
    if (!way) return null;
    for (const p of way.slice(1)) poses.push({ ...p, angle });
    at = to;
    if (next) {
      const { by } = next.turn!;
      at = { x: at.x + by.x, y: at.y + by.y };
      angle = nearAngle(nodes[next.node]!.angle, angle);
      poses.push({ ...at, angle });
    }
  }
  const last = nearAngle(goal.angle, angle);
  if (distance(at, goal) > 1e-6 || Math.abs(last - angle) > 1e-9) poses.push({ x: goal.x, y: goal.y, angle: last });
  return poses;
}

/** The same direction, the shorter way round from another. */
const nearAngle = (angle: number, from: number): number => angle + Math.PI * Math.round((from - angle) / Math.PI);
