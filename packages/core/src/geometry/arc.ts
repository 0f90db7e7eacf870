import { type Point, cross, direction, distance, dot, leftOf, middle, moved, subtract } from './point';

/**
 * Arcs are written as in DXF: a chord and a bulge, the tangent of a quarter of the angle turned. On the sheet a
 * positive bulge turns clockwise, so the arc bows to the left of whoever walks the chord. 0 is straight, ±1 a half circle.
 */
export interface Arc {
  readonly centre: Point;
  /** mm */
  readonly radius: number;
  /** Direction from the centre to where the arc begins, radians clockwise from straight right. */
  readonly begin: number;
  /** The angle turned on the way, radians; positive clockwise. */
  readonly sweep: number;
}

/** Flatter than this, an arc is a straight line: a sagitta of 5 µm on 10 m. */
export const STRAIGHT_BULGE = 1e-6;

/** The circle an edge with a bulge lies on. Refuses nothing: a straight edge is for the caller to treat. */
export function arcOf(a: Point, b: Point, bulge: number): Arc {
  const chord = distance(a, b);
  const towardsLeft = ((bulge * bulge - 1) * chord) / (4 * bulge);
  const centre = moved(middle(a, b), leftOf(direction(a, b)), towardsLeft);
  return {
    centre,
    radius: distance(centre, a),
    begin: Math.atan2(a.y - centre.y, a.x - centre.x),
    sweep: 4 * Math.atan(bulge),
  };
}

export const pointOfArc = (arc: Arc, k: number): Point => {
  const angle = arc.begin + arc.sweep * k;
  return { x: arc.centre.x + arc.radius * Math.cos(angle), y: arc.centre.y + arc.radius * Math.sin(angle) };
};

/** How far along the arc (0 at its beginning, 1 at its end, unclamped up to half of the rest of the circle) a point lies, seen from the centre. */
export function shareOfArc(arc: Arc, p: Point): number {
  const turned = Math.atan2(p.y - arc.centre.y, p.x - arc.centre.x) - arc.begin;
  const rest = (2 * Math.PI - Math.abs(arc.sweep)) / 2;
  const along = arc.sweep > 0 ? turned : -turned;
  const angle = ((((along + rest) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)) - rest;
  return angle / Math.abs(arc.sweep);
}

export const arcLength = (arc: Arc): number => arc.radius * Math.abs(arc.sweep);

/** Signed area between an arc and its chord, mm²: r²(θ − sin θ)/2 (exact); positive for a positive bulge. */
export function segmentArea(a: Point, b: Point, bulge: number): number {
  if (Math.abs(bulge) < STRAIGHT_BULGE) return 0;
  const { radius, sweep } = arcOf(a, b, bulge);
  return (radius * radius * (sweep - Math.sin(sweep))) / 2;
}

/** Length of an edge, straight or bowed, mm. */
export const edgeLength = (a: Point, b: Point, bulge = 0): number =>
  Math.abs(bulge) < STRAIGHT_BULGE ? distance(a, b) : arcLength(arcOf(a, b, bulge));

/** How far an arc over this chord rises above it, mm, signed like the bulge: bulge × chord / 2 (exact). */
export const sagittaOf = (chord: number, bulge: number): number => (bulge * chord) / 2;
export const bulgeOfSagitta = (chord: number, sagitta: number): number => (2 * sagitta) / chord;

/** The bulge of the arc from a to b that passes through p; 0 when the three are in line. */
export function bulgeThrough(a: Point, b: Point, p: Point): number {
  const u = subtract(a, p);
  const v = subtract(b, p);
  // the angle the chord is seen under from a point of the arc is π − sweep / 2
  const seen = Math.atan2(cross(u, v), dot(u, v));
  if (Math.abs(seen) < 1e-12) return 0;
  const half = seen > 0 ? Math.PI - seen : -Math.PI - seen;
  return Math.tan(-half / 2);
}

/** How far a flattened arc may be off, mm. */
const FLATNESS = 0.1;

/** The points of an edge from a on, without b, close enough together that no chord is off by more than a tenth of a millimetre. */
export function flattenEdge(a: Point, b: Point, bulge = 0): Point[] {
  if (Math.abs(bulge) < STRAIGHT_BULGE) return [a];
  const arc = arcOf(a, b, bulge);
  const step = 2 * Math.acos(Math.max(0, 1 - FLATNESS / arc.radius));
  const count = Math.max(2, Math.ceil(Math.abs(arc.sweep) / step));
  return [{ x: a.x, y: a.y }, ...Array.from({ length: count - 1 }, (_, i) => pointOfArc(arc, (i + 1) / count))];
}

/** Where the circles (centre, radius) and (other, otherRadius) meet: no, one or two points. */
export function circlesMeeting(centre: Point, radius: number, other: Point, otherRadius: number): Point[] {
  const apart = distance(centre, other);
  if (apart < 1e-9) return [];
  const along = (apart * apart + radius * radius - otherRadius * otherRadius) / (2 * apart);
  return acrossFrom(centre, direction(centre, other), along, radius);
}

/** Where the line through a in direction d meets a circle: no, one or two points. */
export function lineMeetingCircle(a: Point, d: Point, centre: Point, radius: number): Point[] {
  const across = { x: -d.y, y: d.x };
  return acrossFrom(centre, across, dot(subtract(a, centre), across), radius);
}

/** The points of the circle on the line square to d at `along` from the centre. A line that misses by a hair touches. */
function acrossFrom(centre: Point, d: Point, along: number, radius: number): Point[] {
  const squared = radius * radius - along * along;
  if (squared < -1e-6 * radius) return [];
  const foot = moved(centre, d, along);
  const half = Math.sqrt(Math.max(0, squared));
  if (half < 1e-6) return [foot];
  const across = { x: -d.y, y: d.x };
  return [moved(foot, across, half), moved(foot, across, -half)];
}

/** d turned clockwise by an angle. */
export function turned(d: Point, angle: number): Point {
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  return { x: d.x * cos - d.y * sin, y: d.x * sin + d.y * cos };
}
