import { type Point, cross } from '../geometry';
import type { Id } from '../plan/plan';
import { type PlacedSpot, type Spot, addUnknowns, placeSpot } from './spot';
import type { Unknowns } from './unknowns';

/** Something that can be measured, as a function of the vector of unknowns: mm, of angles radians, of areas mm². */
export interface Quantity {
  /** The unknowns it depends on, by their place in the vector. */
  readonly at: readonly number[];
  value(x: Float64Array): number;
  /** Adds its derivative by each of `at` to `into`, beginning at `from`. */
  slopes(x: Float64Array, into: Float64Array, from: number): void;
}

function layOut(spots: readonly Spot[], unknowns: Unknowns): { at: number[]; placed: PlacedSpot[] } {
  const at: number[] = [];
  for (const spot of spots) addUnknowns(spot, unknowns, at);
  return { at, placed: spots.map((spot) => placeSpot(spot, unknowns, (unknown) => at.indexOf(unknown))) };
}

/** The distance between two spots. */
export function distanceBetween(one: Spot, two: Spot, unknowns: Unknowns): Quantity {
  const {
    at,
    placed: [a, b],
  } = layOut([one, two], unknowns) as { at: number[]; placed: [PlacedSpot, PlacedSpot] };
  return {
    at,
    value: (x) => {
      const p = a.place(x);
      const q = b.place(x);
      const [dx, dy] = [q.x - p.x, q.y - p.y];
      return Math.sqrt(dx * dx + dy * dy);
    },
    slopes: (x, into, from) => {
      const [p, q] = [a.place(x), b.place(x)];
      const length = Math.sqrt((q.x - p.x) ** 2 + (q.y - p.y) ** 2) || 1;
      const [ux, uy] = [(q.x - p.x) / length, (q.y - p.y) / length];
      a.pull(x, -ux, -uy, into, from);
      b.pull(x, ux, uy, into, from);
    },
  };
}

/** From the middle of one face square across to the middle of the line of the other. */
export function distanceAcross(one: readonly [Spot, Spot], two: readonly [Spot, Spot], unknowns: Unknowns): Quantity {
  const { at, placed } = layOut([...one, ...two], unknowns);
  const look = (x: Float64Array) => {
    const [p, q, r, s] = placed.map((spot) => spot.place(x)) as [Point, Point, Point, Point];
    const length = Math.hypot(q.x - p.x, q.y - p.y) || 1;
    const u = { x: (q.x - p.x) / length, y: (q.y - p.y) / length };
    const m = { x: (r.x + s.x - p.x - q.x) / 2, y: (r.y + s.y - p.y - q.y) / 2 };
    return { length, u, m, off: cross(u, m) };
  };
  return {
    at,
    value: (x) => Math.abs(look(x).off),
    slopes: (x, into, from) => {
      const { length, u, m, off } = look(x);
      const sign = Math.sign(off);
      const [nx, ny] = [-u.y * sign, u.x * sign];
      // the face turns by what its ends move across
      const turn = (u.x * m.x + u.y * m.y) / length;
      const shares = [turn - 0.5, -turn - 0.5, 0.5, 0.5];
      placed.forEach((spot, i) => spot.pull(x, shares[i]! * nx, shares[i]! * ny, into, from));
    },
  };
}

/** What one corner moves across turns a line from another by that over the length. */
function pullTurn(x: Float64Array, from: number, to: number, share: number): [number, number] {
  const [vx, vy] = [x[to]! - x[from]!, x[to + 1]! - x[from + 1]!];
  const square = vx * vx + vy * vy || 1;
  return [(-share * vy) / square, (share * vx) / square];
}

/** The angle at a corner, clockwise from the line to one corner to the line to the next, 0 to 2π. */
export function angleAt(corner: Id, one: Id, next: Id, unknowns: Unknowns): Quantity {
  const [c, a, b] = [unknowns.at(corner), unknowns.at(one), unknowns.at(next)];
  return {
    at: [c, c + 1, a, a + 1, b, b + 1],
    value: (x) => {
      const d = { x: x[a]! - x[c]!, y: x[a + 1]! - x[c + 1]! };
      const e = { x: x[b]! - x[c]!, y: x[b + 1]! - x[c + 1]! };
      const turn = Math.atan2(cross(d, e), d.x * e.x + d.y * e.y);
      return turn < 0 ? turn + 2 * Math.PI : turn;
    },
    slopes: (x, into, from) => {
      const [ax, ay] = pullTurn(x, c, a, -1);
      const [bx, by] = pullTurn(x, c, b, 1);
      for (const [i, by_] of [-ax - bx, -ay - by, ax, ay, bx, by].entries()) into[from + i]! += by_;
    },
  };
}

/** By how much the line between two corners is turned clockwise out of a direction, −π to π. */
export function turnOutOf(direction: Point, start: Id, end: Id, unknowns: Unknowns): Quantity {
  const [a, b] = [unknowns.at(start), unknowns.at(end)];
  return {
    at: [a, a + 1, b, b + 1],
    value: (x) => {
      const v = { x: x[b]! - x[a]!, y: x[b + 1]! - x[a + 1]! };
      return Math.atan2(cross(direction, v), direction.x * v.x + direction.y * v.y);
    },
    slopes: (x, into, from) => {
      const [px, py] = pullTurn(x, a, b, 1);
      into[from]! -= px;
      into[from + 1]! -= py;
      into[from + 2]! += px;
      into[from + 3]! += py;
    },
  };
}

/** How far a corner is to the right of the line between two others. */
export function offLine(start: Id, end: Id, corner: Id, unknowns: Unknowns): Quantity {
  const [i, j, k] = [unknowns.at(start), unknowns.at(end), unknowns.at(corner)];
  const look = (x: Float64Array) => {
    const [vx, vy] = [x[j]! - x[i]!, x[j + 1]! - x[i + 1]!];
    const length = Math.sqrt(vx * vx + vy * vy) || 1;
    const [ux, uy] = [vx / length, vy / length];
    const [px, py] = [x[k]! - x[i]!, x[k + 1]! - x[i + 1]!];
    return { ux, uy, along: (ux * px + uy * py) / length, off: ux * py - uy * px };
  };
  return {
    at: [i, i + 1, j, j + 1, k, k + 1],
    value: (x) => look(x).off,
    slopes: (x, into, from) => {
      const { ux, uy, along } = look(x);
      into[from]! += (along - 1) * -uy;
      into[from + 1]! += (along - 1) * ux;
      into[from + 2]! += along * uy;
      into[from + 3]! -= along * ux;
      into[from + 4]! -= uy;
      into[from + 5]! += ux;
    },
  };
}

/** One unknown less another, or one alone. */
export function difference(of: number, less?: number): Quantity {
  if (less === undefined)
    return {
      at: [of],
      value: (x) => x[of]!,
      slopes: (_, into, from) => {
        into[from]! += 1;
      },
    };
  return {
    at: [of, less],
    value: (x) => x[of]! - x[less]!,
    slopes: (_, into, from) => {
      into[from]! += 1;
      into[from + 1]! -= 1;
    },
  };
}

/** What is no unknown. */
export const constant = (value: number): Quantity => ({ at: [], value: () => value, slopes: () => undefined });

/** mm: small against what is measured, large against rounding. */
const STEP = 1e-2;

/** A function of some unknowns whose derivatives are taken by central differences. */
export function numerical(at: readonly number[], value: (x: Float64Array) => number): Quantity {
  return {
    at,
    value,
    slopes: (x, into, from) => {
      const near = Float64Array.from(x);
      at.forEach((unknown, i) => {
        near[unknown] = x[unknown]! + STEP;
        const ahead = value(near);
        near[unknown] = x[unknown]! - STEP;
        into[from + i]! += (ahead - value(near)) / (2 * STEP);
        near[unknown] = x[unknown]!;
      });
    },
  };
}

/** Halfway between two quantities. */
export const meanOf = (one: Quantity, two: Quantity): Quantity => ({
  at: [...one.at, ...two.at],
  value: (x) => (one.value(x) + two.value(x)) / 2,
  slopes: (x, into, from) => {
    const own = new Float64Array(one.at.length + two.at.length);
    one.slopes(x, own, 0);
    two.slopes(x, own, one.at.length);
    own.forEach((slope, i) => (into[from + i]! += slope / 2));
  },
});

/**
 * What is swept when faces move, each counted by its weight: the change of an area whose edges they are (exact for small moves; round a closed outline of one
 * weight it is that of the shoelace formula). A face sweeps what it moves to its left.
 */
export function sweptArea(
  edges: readonly { readonly from: Spot; readonly to: Spot; readonly weight: number }[],
  unknowns: Unknowns,
): Quantity {
  const { at, placed } = layOut(
    edges.flatMap(({ from, to }) => [from, to]),
    unknowns,
  );
  const ends = edges.map(({ weight }, i) => [placed[2 * i]!, placed[2 * i + 1]!, weight] as const);
  return {
    at,
    value: (x) => ends.reduce((sum, [a, b, weight]) => sum + (weight * cross(a.place(x), b.place(x))) / 2, 0),
    slopes: (x, into, from) => {
      for (const [a, b, weight] of ends) {
        const [p, q] = [a.place(x), b.place(x)];
        const [across, down] = [(weight * (q.y - p.y)) / 2, (weight * (p.x - q.x)) / 2];
        a.pull(x, across, down, into, from);
        b.pull(x, across, down, into, from);
      }
    },
  };
}
