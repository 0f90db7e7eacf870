import {
  type Course,
  type Point,
  type Ring,
  type RingPoint,
  between,
  courseOf,
  cross,
  direction,
  dot,
  leftOf,
  moved,
  reversedRing,
  rightOf,
  subtract,
  turned,
} from '../geometry';
import type { Stair, StairTurn } from '../plan/plan';
import type { Steps } from './steps';

export interface Tread {
  /** Clockwise, mm. */
  readonly ring: Ring;
  /** How high it lies over the lower floor, mm. */
  readonly level: number;
  readonly part: 'flight' | 'landing' | 'winder';
  /** Along the walking line, mm. */
  readonly from: number;
  readonly to: number;
}

/** A piece of the walking line, straight or an arc. */
export interface Pace {
  readonly course: Course;
  /** Along the line, mm. */
  readonly from: number;
  readonly to: number;
}

/** Stairs seen from above, mm of the sheet. */
export interface StairShape {
  readonly treads: readonly Tread[];
  /** From the middle of the first riser to that of the last. */
  readonly line: readonly Pace[];
  /** Length of the walking line, mm. */
  readonly length: number;
}

/** Stairs laid out from where they begin, step after step; for what has no steps one piece from end to end. */
export function shapeOf(stair: Stair, steps: Steps): StairShape {
  const walk = new Walk(stair, steps);
  if (stair.form === 'spiral') walk.spiral(steps.flights[0]!);
  else
    steps.flights.forEach((treads, i) => {
      walk.flight(treads);
      const turn = stair.turns[i];
      if (i < steps.turning.length && turn) walk.turn(turn, steps.turning[i]!);
    });
  return { treads: walk.treads, line: walk.line, length: walk.along };
}

/** Walks up, laying treads. */
class Walk {
  readonly treads: Tread[] = [];
  readonly line: Pace[] = [];
  along = 0;
  private at: Point;
  private d: Point;

  constructor(
    private readonly stair: Stair,
    private readonly steps: Steps,
  ) {
    this.at = { x: stair.x, y: stair.y };
    this.d = turned({ x: 1, y: 0 }, (stair.turn * Math.PI) / 180);
  }

  flight(treads: number): void {
    const half = this.stair.width / 2;
    for (let i = 0; i < treads; i += 1) {
      const next = moved(this.at, this.d, this.steps.going);
      const left = leftOf(this.d);
      const ring = [
        moved(this.at, left, half),
        moved(next, left, half),
        moved(next, left, -half),
        moved(this.at, left, -half),
      ];
      this.lay([ring], 'flight', next, 0, this.steps.going);
    }
  }

  /** About the inner corner; one that turns back about the middle between its flights. */
  turn({ angle, by }: StairTurn, treads: number): void {
    const { width, well } = this.stair;
    const way = angle < 0 ? -1 : 1;
    const sweep = (Math.abs(angle) * Math.PI) / 180;
    const back = Math.abs(angle) > 170;
    const inward = way > 0 ? rightOf(this.d) : leftOf(this.d);
    const radius = width / 2 + (back ? well / 2 : 0);
    const pivot = moved(this.at, inward, radius);
    const reach = radius + width / 2;
    const outer = moved(pivot, inward, -reach);
    const spoke = (by: number) => turned(subtract(outer, pivot), way * by);
    const end = { x: pivot.x + spoke(sweep).x, y: pivot.y + spoke(sweep).y };
    const edge = back
      ? [outer, moved(outer, this.d, width), moved(end, this.d, width), end]
      : [outer, moved(outer, this.d, reach * Math.tan(sweep / 2)), end];
    const rings = Array.from({ length: treads }, (_, i) =>
      wedge(pivot, edge, spoke((sweep * i) / treads), spoke((sweep * (i + 1)) / treads), way),
    );
    const on = turned(subtract(this.at, pivot), way * sweep);
    const next = { x: pivot.x + on.x, y: pivot.y + on.y };
    this.lay(rings, by === 'landing' ? 'landing' : 'winder', next, way * Math.tan(sweep / 4), radius * sweep);
    this.d = turned(this.d, way * sweep);
  }

  spiral(treads: number): void {
    const { width, well, side } = this.stair;
    const way = side === 'left' ? -1 : 1;
    const [inner, radius] = [well / 2, well / 2 + width / 2];
    const centre = moved(this.at, way > 0 ? rightOf(this.d) : leftOf(this.d), radius);
    const step = this.steps.going / radius;
    const bulge = way * Math.tan(step / 4);
    for (let i = 0; i < treads; i += 1) {
      const from = direction(centre, this.at);
      const to = turned(from, way * step);
      const ring: RingPoint[] = [
        { ...moved(centre, from, inner + width), bulge },
        moved(centre, to, inner + width),
        ...(inner > 0 ? [{ ...moved(centre, to, inner), bulge: -bulge }, moved(centre, from, inner)] : [centre]),
      ];
      this.lay([way > 0 ? ring : reversedRing(ring)], 'flight', moved(centre, to, radius), bulge, this.steps.going);
      this.d = turned(this.d, way * step);
    }
  }

  private lay(rings: readonly Ring[], part: Tread['part'], next: Point, bulge: number, length: number): void {
    const { riser } = this.steps;
    rings.forEach((ring, i) => {
      const [from, to] = [i, i + 1].map((k) => this.along + (length * k) / rings.length) as [number, number];
      this.treads.push({ ring, level: riser * (this.treads.length + 1), part, from, to });
    });
    this.line.push({ course: courseOf(this.at, next, bulge), from: this.along, to: this.along + length });
    this.at = next;
    this.along += length;
  }
}

/** What lies between two spokes of a pivot, as far as an outer edge. `way` is that in which the spokes follow one another. */
function wedge(pivot: Point, edge: readonly Point[], from: Point, to: Point, way: 1 | -1): Ring {
  const a = onEdge(pivot, edge, from);
  const b = onEdge(pivot, edge, to);
  const corners = edge
    .slice(1, -1)
    .filter((p) => way * cross(from, subtract(p, pivot)) > 1e-6 && way * cross(subtract(p, pivot), to) > 1e-6);
  const ring = [pivot, a, ...corners, b];
  return way > 0 ? ring : [...ring].reverse();
}

/** Where a spoke meets the edge. */
function onEdge(pivot: Point, edge: readonly Point[], spoke: Point): Point {
  let best: { p: Point; off: number } | null = null;
  for (let i = 0; i + 1 < edge.length; i += 1) {
    const [a, b] = [edge[i]!, edge[i + 1]!];
    const run = subtract(b, a);
    const across = cross(run, spoke);
    if (Math.abs(across) < 1e-9) continue;
    const k = cross(subtract(pivot, a), spoke) / across;
    const p = between(a, b, Math.min(1, Math.max(0, k)));
    const off = Math.abs(k - Math.min(1, Math.max(0, k)));
    if (dot(subtract(p, pivot), spoke) > 0 && (!best || off < best.off - 1e-12)) best = { p, off };
  }
  return (best as { p: Point } | null)?.p ?? edge[0]!;
}
