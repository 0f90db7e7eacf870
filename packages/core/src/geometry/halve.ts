import { STRAIGHT_BULGE, arcOf, lineMeetingCircle, pointOfArc, segmentArea, shareOfArc } from './arc';
import { type Point, between, direction, dot, leftOf, middle, moved } from './point';
import type { Ring, RingPoint } from './polygon';

/** What grows evenly over the sheet: a·x + b·y + c. A height over it is a plane. */
export interface Affine {
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

export const valueOf = ({ a, b, c }: Affine, { x, y }: Point): number => a * x + b * y + c;
export const constant = (c: number): Affine => ({ a: 0, b: 0, c });
export const minus = (f: Affine, g: Affine): Affine => ({ a: f.a - g.a, b: f.b - g.b, c: f.c - g.c });

/** It grows by 1 for each mm from p in direction d. */
export const away = (p: Point, d: Point): Affine => ({ a: d.x, b: d.y, c: -dot(p, d) });

/** A line the function is 0 along; null for one that is the same everywhere. */
export function zeroLine({ a, b, c }: Affine): { readonly p: Point; readonly d: Point } | null {
  const squared = a * a + b * b;
  if (squared < 1e-18) return null;
  const length = Math.sqrt(squared);
  return { p: { x: (-a * c) / squared, y: (-b * c) / squared }, d: { x: -b / length, y: a / length } };
}

/** Less than this over the line counts as on it, in units of the function. */
const ON = 1e-7;

/**
 * Rings parted along the line where a function is 0, arcs as arcs. A ring that is parted more than once runs along the line between its parts: what is
 * counted over it (area, moments) is exact, and filled it looks as it should.
 */
export function halved(rings: readonly Ring[], f: Affine): { readonly over: Ring[]; readonly under: Ring[] } {
  const over: Ring[] = [];
  const under: Ring[] = [];
  for (const ring of rings) {
    const edges = partedEdges(ring, f);
    const sides = edges.map(({ a, b, bulge }) => sideOf(f, a, b, bulge));
    const up = gathered(edges, sides, 1);
    const down = gathered(edges, sides, -1);
    if (up.length > 2 || hasArc(up)) over.push(up);
    if (down.length > 2 || hasArc(down)) under.push(down);
  }
  return { over, under };
}

interface Edge {
  readonly a: Point;
  readonly b: Point;
  readonly bulge: number;
}

const hasArc = (ring: Ring): boolean => ring.length > 1 && ring.some(({ bulge }) => bulge);

/** The edges, none of which crosses the line. */
function partedEdges(ring: Ring, f: Affine): Edge[] {
  return ring.flatMap((a, i): Edge[] => {
    const b = ring[(i + 1) % ring.length]!;
    const bulge = a.bulge && Math.abs(a.bulge) >= STRAIGHT_BULGE ? a.bulge : 0;
    if (bulge !== 0) return partedArc({ a, b, bulge }, f);
    const [u, v] = [valueOf(f, a), valueOf(f, b)];
    if ((u > ON && v < -ON) || (u < -ON && v > ON)) {
      const m = between(a, b, u / (u - v));
      return [
        { a, b: m, bulge: 0 },
        { a: m, b, bulge: 0 },
      ];
    }
    return [{ a, b, bulge: 0 }];
  });
}

function partedArc(edge: Edge, f: Affine): Edge[] {
  const { a, b, bulge } = edge;
  const arc = arcOf(a, b, bulge);
  const line = zeroLine(f);
  if (!line) return [edge];
  const cuts = lineMeetingCircle(line.p, line.d, arc.centre, arc.radius)
    .map((p) => shareOfArc(arc, p))
    .filter((k) => k > 1e-9 && k < 1 - 1e-9)
    .sort((k, l) => k - l);
  const ks = [0, ...cuts, 1];
  return ks.slice(1).map((to, i) => {
    const from = ks[i]!;
    return {
      a: from === 0 ? a : pointOfArc(arc, from),
      b: to === 1 ? b : pointOfArc(arc, to),
      bulge: Math.tan((arc.sweep * (to - from)) / 4),
    };
  });
}

/** 1 over the line, −1 under it, 0 along it. */
function sideOf(f: Affine, a: Point, b: Point, bulge: number): -1 | 0 | 1 {
  const at = bulge === 0 ? middle(a, b) : pointOfArc(arcOf(a, b, bulge), 0.5);
  const value = valueOf(f, at);
  return value > ON ? 1 : value < -ON ? -1 : 0;
}

/** The edges on one side as a ring; between them it runs straight, along the line. */
function gathered(edges: readonly Edge[], sides: readonly number[], side: 1 | -1): RingPoint[] {
  const ring: RingPoint[] = [];
  edges.forEach(({ a, b, bulge }, i) => {
    if (sides[i] !== side) return;
    ring.push(bulge ? { x: a.x, y: a.y, bulge } : { x: a.x, y: a.y });
    if (sides[(i + 1) % edges.length] !== side) ring.push({ x: b.x, y: b.y });
  });
  return ring;
}

/** Area of rings, mm², and its moments about the origin, mm³: ∫x dA and ∫y dA. Clockwise counts as positive. Exact, arcs too. */
export function momentsOf(rings: readonly Ring[]): { area: number; x: number; y: number } {
  const sum = { area: 0, x: 0, y: 0 };
  const add = (area: number, at: Point) => {
    sum.area += area;
    sum.x += area * at.x;
    sum.y += area * at.y;
  };
  for (const ring of rings) {
    const o = ring[0]!;
    for (let i = 1; i + 1 < ring.length; i += 1) {
      const [p, q] = [ring[i]!, ring[i + 1]!];
      const area = ((p.x - o.x) * (q.y - o.y) - (q.x - o.x) * (p.y - o.y)) / 2;
      add(area, { x: (o.x + p.x + q.x) / 3, y: (o.y + p.y + q.y) / 3 });
    }
    ring.forEach((a, i) => {
      if (!a.bulge || Math.abs(a.bulge) < STRAIGHT_BULGE) return;
      const b = ring[(i + 1) % ring.length]!;
      add(segmentArea(a, b, a.bulge), segmentCentroid(a, b, a.bulge));
    });
  }
  return sum;
}

/** Of a circular segment: 4 r sin³(θ/2) / (3 (θ − sin θ)) from the centre (from memory of handbooks); a flat one as a parabola, two fifths of its sagitta over the chord. */
function segmentCentroid(a: Point, b: Point, bulge: number): Point {
  const { centre, radius, sweep } = arcOf(a, b, bulge);
  const out = leftOf(direction(a, b));
  const angle = Math.abs(sweep);
  if (angle < 0.02) return moved(middle(a, b), out, (0.4 * bulge * Math.hypot(b.x - a.x, b.y - a.y)) / 2);
  const from = (4 * radius * Math.sin(angle / 2) ** 3) / (3 * (angle - Math.sin(angle)));
  return moved(centre, out, Math.sign(sweep) * from);
}

/** ∫ f dA over rings. */
export function integralOver(rings: readonly Ring[], f: Affine): number {
  const { area, x, y } = momentsOf(rings);
  return f.a * x + f.b * y + f.c * area;
}
