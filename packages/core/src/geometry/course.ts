import { type Arc, STRAIGHT_BULGE, arcOf, circlesMeeting, lineMeetingCircle, shareOfArc, turned } from './arc';
import { type Point, cross, direction, distance, dot, moved, rightOf, subtract } from './point';
import { distanceToSegment, footAlong, lineMeeting, properCrossing } from './segment';

/** A line from a to b, straight or along an arc, that can be walked: distances in mm along it, offsets in mm to its right. */
export interface Course {
  readonly a: Point;
  readonly b: Point;
  readonly bulge: number;
  /** Null when straight. */
  readonly arc: Arc | null;
  readonly length: number;
}

export function courseOf(a: Point, b: Point, bulge = 0): Course {
  if (Math.abs(bulge) < STRAIGHT_BULGE) return { a, b, bulge: 0, arc: null, length: distance(a, b) };
  const arc = arcOf(a, b, bulge);
  return { a, b, bulge, arc, length: arc.radius * Math.abs(arc.sweep) };
}

/** Unit direction of the walk at `along` mm. */
export function headingAt({ a, b, arc, length }: Course, along: number): Point {
  if (!arc) return direction(a, b);
  const angle = arc.begin + arc.sweep * (along / length);
  const quarter = arc.sweep > 0 ? 1 : -1;
  return { x: -Math.sin(angle) * quarter, y: Math.cos(angle) * quarter };
}

/** The point `along` mm down the course and `off` mm to the right of it. */
export function pointAt(course: Course, along: number, off = 0): Point {
  const { a, b, arc, length } = course;
  if (!arc) {
    const d = direction(a, b);
    return moved(moved(a, d, along), rightOf(d), off);
  }
  const angle = arc.begin + arc.sweep * (along / length);
  const radius = arc.radius - Math.sign(arc.sweep) * off;
  return { x: arc.centre.x + radius * Math.cos(angle), y: arc.centre.y + radius * Math.sin(angle) };
}

/** How far down the course the foot of p lies, mm, unclamped. */
export const alongOf = ({ a, b, arc, length }: Course, p: Point): number =>
  arc ? shareOfArc(arc, p) * length : footAlong(a, b, p) * length;

/** How far to the right of the course p lies, mm. */
export function offOf({ a, b, arc }: Course, p: Point): number {
  if (!arc) return cross(direction(a, b), subtract(p, a));
  return (arc.radius - distance(arc.centre, p)) * Math.sign(arc.sweep);
}

/** Length of a line `off` mm to the right of the course, per mm of the course: 1 when straight, shorter on the inside of a bend. */
export const stretchAt = ({ arc }: Course, off: number): number =>
  arc ? Math.max(0, arc.radius - Math.sign(arc.sweep) * off) / arc.radius : 1;

/** The nearest point of the course, clamped to its ends, as mm along it. */
export const nearestAlong = (course: Course, p: Point): number =>
  Math.min(course.length, Math.max(0, alongOf(course, p)));

export function distanceToCourse(course: Course, p: Point): number {
  if (!course.arc) return distanceToSegment(course.a, course.b, p);
  const along = alongOf(course, p);
  if (along >= 0 && along <= course.length) return Math.abs(offOf(course, p));
  return Math.min(distance(p, course.a), distance(p, course.b));
}

/** The course bent or straight on from `from` to `to` mm along it. */
export function partOf(course: Course, from: number, to: number): Course {
  const bulge = course.arc ? Math.tan((course.arc.sweep * (to - from)) / course.length / 4) : 0;
  return courseOf(pointAt(course, from), pointAt(course, to), bulge);
}

/** The smallest upright box round a course. */
export function courseBox({ a, b, arc }: Course): { minX: number; minY: number; maxX: number; maxY: number } {
  const box = {
    minX: Math.min(a.x, b.x),
    minY: Math.min(a.y, b.y),
    maxX: Math.max(a.x, b.x),
    maxY: Math.max(a.y, b.y),
  };
  if (!arc) return box;
  for (const [x, y] of [
    [1, 0],
    [-1, 0],
    [0, 1],
    [0, -1],
  ] as const) {
    const p = { x: arc.centre.x + x * arc.radius, y: arc.centre.y + y * arc.radius };
    const k = shareOfArc(arc, p);
    if (k < 0 || k > 1) continue;
    box.minX = Math.min(box.minX, p.x);
    box.minY = Math.min(box.minY, p.y);
    box.maxX = Math.max(box.maxX, p.x);
    box.maxY = Math.max(box.maxY, p.y);
  }
  return box;
}

/** Where two courses cross at an inner point of both, at least `clear` mm from the ends of both where one of them is an arc. */
export function crossingsOf(one: Course, two: Course, clear: number): Point[] {
  if (!one.arc && !two.arc) {
    if (!properCrossing(one.a, one.b, two.a, two.b)) return [];
    return [lineMeeting(one.a, one.b, two.a, two.b)!];
  }
  const inner = (course: Course, p: Point) => {
    const along = alongOf(course, p);
    return along > 0 && along < course.length && distance(p, course.a) > clear && distance(p, course.b) > clear;
  };
  return meetings(one, two).filter((p) => inner(one, p) && inner(two, p));
}

/** Where the lines or circles of two courses meet. */
export function meetings(one: Course, two: Course): Point[] {
  if (one.arc && two.arc) return circlesMeeting(one.arc.centre, one.arc.radius, two.arc.centre, two.arc.radius);
  if (one.arc) return lineMeetingCircle(two.a, direction(two.a, two.b), one.arc.centre, one.arc.radius);
  if (two.arc) return lineMeetingCircle(one.a, direction(one.a, one.b), two.arc.centre, two.arc.radius);
  const p = lineMeeting(one.a, one.b, two.a, two.b);
  return p ? [p] : [];
}

/** Direction of the walk where an edge begins and where it ends. */
export function headings(a: Point, b: Point, bulge: number): { begin: Point; end: Point } {
  const chord = direction(a, b);
  if (Math.abs(bulge) < STRAIGHT_BULGE) return { begin: chord, end: chord };
  const half = 2 * Math.atan(bulge);
  return { begin: turned(chord, -half), end: turned(chord, half) };
}

/** Do the two lie on one line, or on one circle, within `near` mm? */
export function sameCourse(one: Course, two: Course, near: number): boolean {
  if (!one.arc !== !two.arc) return false;
  if (one.arc && two.arc)
    return distance(one.arc.centre, two.arc.centre) < near && Math.abs(one.arc.radius - two.arc.radius) < near;
  const d = direction(one.a, one.b);
  return Math.abs(cross(d, subtract(two.a, one.a))) < near && Math.abs(cross(d, subtract(two.b, one.a))) < near;
}

/** Does `next` go on where `course` ends, without a turn and with the same bend? */
export const headsOn = (d: Point, next: Point, sine: number): boolean =>
  dot(d, next) > 0 && Math.abs(cross(d, next)) < sine;
