import type { DerivedFloor } from '../derived';
import {
  type Box,
  type Point,
  alongOf,
  boxAround,
  cross,
  direction,
  distance,
  distanceToSegment,
  dot,
  leftOf,
  lineMeeting,
  offOf,
  rightOf,
  turned,
} from '../geometry';

/** How much is made of a stroke: walls within this of a right angle are squared, and jogs smaller than this share of the room are evened out. */
const STRICTNESS = {
  straight: { square: (24 * Math.PI) / 180, jog: 0.09 },
  'less straight': { square: (9 * Math.PI) / 180, jog: 0.04 },
} as const;
export type Straightness = keyof typeof STRICTNESS;

/** A room drawn smaller than this each way is a slip, mm. */
const SMALLEST = 400;
/** A whole stroke turned by less than this was meant to lie square on the sheet. */
const MEANT_LEVEL = (15 * Math.PI) / 180;

interface Edge {
  /** A point of its line, and the direction walked. */
  readonly at: Point;
  readonly d: Point;
  readonly length: number;
  readonly squared: boolean;
}

/**
 * A room drawn in one finger stroke becomes an outline of straight walls: squared where it looks squared, slanted where
 * it clearly is, on the lines of the walls it runs along. `reach` mm is how far a finger may miss. Null when there is
 * no room in it.
 */
export function straightenLoop(
  stroke: readonly Point[],
  straightness: Straightness,
  derived: DerivedFloor | null,
  reach: number,
): Point[] | null {
  const box = boxAround(stroke);
  if (!box || stroke.length < 4 || Math.max(box.maxX - box.minX, box.maxY - box.minY) < SMALLEST) return null;
  const { square, jog } = STRICTNESS[straightness];
  const most = sizeOf(box) * jog;
  const pieces = piecesOf(stroke, most);
  if (pieces.length < 3) return null;
  const level = levelOf(pieces.map((piece) => piece[0]!));
  let edges = pieces.map((piece) => edgeOf(piece, level, square));
  edges = evened(edges, most);
  if (derived) edges = edges.map((edge) => ontoWall(derived, edge, reach));
  if (edges.length < 3) return null;
  const outline = meetingPoints(edges);
  return outline.length >= 3 ? outline : null;
}

const sizeOf = (box: Box): number => Math.hypot(box.maxX - box.minX, box.maxY - box.minY);

/**
 * A closed stroke cut at its corners, each piece from corner to corner: as few as keep within `most` mm of it (Ramer,
 * Douglas and Peucker). It begins at a corner, wherever the finger began.
 */
function piecesOf(stroke: readonly Point[], most: number): Point[][] {
  const rough = peucker([...stroke, stroke[0]!], most).slice(0, -1);
  const start = stroke.indexOf(rough[Math.min(1, rough.length - 1)]!);
  const round = [...stroke.slice(start), ...stroke.slice(0, start + 1)];
  const cuts = peucker(round, most).map((p, i, all) => (i + 1 === all.length ? round.length - 1 : round.indexOf(p)));
  return cuts.slice(0, -1).map((from, i) => round.slice(from, cuts[i + 1]! + 1));
}

/** The corners of a stroke from end to end: as few as keep within `most` mm of it. */
export const cornersOfStroke = (stroke: readonly Point[], most: number): readonly Point[] =>
  stroke.length < 2 ? stroke : peucker(stroke, most);

function peucker(points: readonly Point[], most: number): Point[] {
  let far = { i: -1, off: 0 };
  const [first, last] = [points[0]!, points.at(-1)!];
  const closed = distance(first, last) < 1e-9;
  for (let i = 1; i < points.length - 1; i += 1) {
    const off = closed ? distance(first, points[i]!) : distanceToSegment(first, last, points[i]!);
    if (off > far.off) far = { i, off };
  }
  if (far.i < 0 || far.off <= most) return [first, last];
  return [...peucker(points.slice(0, far.i + 1), most), ...peucker(points.slice(far.i), most).slice(1)];
}

/** The turn of the whole figure against the sheet, by its long edges, radians; 0 when it was meant to be level. */
function levelOf(corners: readonly Point[]): number {
  let [x, y] = [0, 0];
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    const four = 4 * Math.atan2(b.y - a.y, b.x - a.x);
    const weight = distance(a, b) ** 2;
    x += weight * Math.cos(four);
    y += weight * Math.sin(four);
  });
  const level = Math.atan2(y, x) / 4;
  return Math.abs(level) < MEANT_LEVEL ? 0 : level;
}

/** The line of a piece of the stroke, by its middle: a finger cuts corners. */
function edgeOf(piece: readonly Point[], level: number, square: number): Edge {
  const [a, b] = [piece[0]!, piece.at(-1)!];
  const aside = Math.floor(piece.length * 0.2);
  const core = piece.slice(aside, piece.length - aside);
  const at = core.reduce((sum, p) => ({ x: sum.x + p.x / core.length, y: sum.y + p.y / core.length }), { x: 0, y: 0 });
  const angle = Math.atan2(b.y - a.y, b.x - a.x) - level;
  const nearest = Math.round(angle / (Math.PI / 2)) * (Math.PI / 2);
  const squared = Math.abs(angle - nearest) <= square;
  const d = squared
    ? turned({ x: Math.round(Math.cos(nearest)), y: Math.round(Math.sin(nearest)) }, level)
    : direction(core[0]!, core.at(-1)!);
  return { at, d, length: distance(a, b), squared };
}

/** Edges that go on in the same direction with hardly a step between them are one; slivers are left out. */
function evened(given: readonly Edge[], most: number): Edge[] {
  const edges = given.filter((edge) => edge.length > most * 0.6);
  for (let i = 0; i < edges.length && edges.length > 3;) {
    const one = edges[i]!;
    const next = edges[(i + 1) % edges.length]!;
    const parallel = Math.abs(cross(one.d, next.d)) < 0.02;
    const step = Math.abs(cross(one.d, { x: next.at.x - one.at.x, y: next.at.y - one.at.y }));
    if (!parallel || (dot(one.d, next.d) > 0 && step > most)) {
      i += 1;
      continue;
    }
    // the longer one counts for more; where it doubles back the spike between them is left out
    const [w, v] = [one.length, next.length];
    const at = { x: (one.at.x * w + next.at.x * v) / (w + v), y: (one.at.y * w + next.at.y * v) / (w + v) };
    const d = w >= v ? one.d : next.d;
    edges.splice(i, 1, { ...one, at, d, length: w + v });
    edges.splice((i + 1) % edges.length, 1);
    i = 0;
  }
  return edges;
}

/** An edge that runs along a wall goes onto its line. */
function ontoWall(derived: DerivedFloor, edge: Edge, reach: number): Edge {
  let best: { edge: Edge; off: number } | null = null;
  for (const wall of derived.network.walls) {
    const { course, left, right } = derived.network.half(wall.id, true);
    const d = direction(course.a, course.b);
    if (course.arc || Math.abs(cross(d, edge.d)) > 0.3) continue;
    const along = alongOf(course, edge.at);
    const half = edge.length / 2;
    const overlap = Math.min(course.length, along + half) - Math.max(0, along - half);
    if (overlap < Math.min(300, edge.length / 2)) continue;
    const off = offOf(course, edge.at);
    const outside = Math.max(off - right, -left - off, 0);
    if (outside > reach || (best && outside >= best.off)) continue;
    best = { off: outside, edge: { ...edge, at: course.a, d: dot(d, edge.d) > 0 ? d : { x: -d.x, y: -d.y } } };
  }
  return (best as { edge: Edge } | null)?.edge ?? edge;
}

/** Where each edge meets the next; between two that run the same way goes a step square to them. */
function meetingPoints(edges: readonly Edge[]): Point[] {
  return edges.flatMap((edge, i) => {
    const next = edges[(i + 1) % edges.length]!;
    const at = Math.abs(cross(edge.d, next.d)) > 0.05 ? meet(edge, next) : null;
    if (at) return [round(at)];
    const end = { x: edge.at.x + (edge.d.x * edge.length) / 2, y: edge.at.y + (edge.d.y * edge.length) / 2 };
    const across = cross(edge.d, { x: next.at.x - end.x, y: next.at.y - end.y });
    const side = across > 0 ? rightOf(edge.d) : leftOf(edge.d);
    return [round(end), round({ x: end.x + side.x * Math.abs(across), y: end.y + side.y * Math.abs(across) })];
  });
}

const meet = (one: Edge, two: Edge): Point | null =>
  lineMeeting(one.at, { x: one.at.x + one.d.x * 1000, y: one.at.y + one.d.y * 1000 }, two.at, {
    x: two.at.x + two.d.x * 1000,
    y: two.at.y + two.d.y * 1000,
  });
const round = (p: Point): Point => ({ x: Math.round(p.x), y: Math.round(p.y) });
