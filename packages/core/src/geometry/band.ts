import { type Course, pointAt } from './course';
import type { Ring } from './polygon';

/** The band that reaches `left` and `right` mm from a course, square at its ends; clockwise. On the inside of an arc no farther than to its centre, beyond which it would be turned inside out. */
export function bandAlong(course: Course, toLeft: number, toRight: number): Ring {
  const most = course.arc ? Math.max(0, course.arc.radius - 1) : Infinity;
  const turnsRight = course.bulge > 0;
  const left = turnsRight ? toLeft : Math.min(toLeft, most);
  const right = turnsRight ? Math.min(toRight, most) : toRight;
  const at = (along: number, off: number) => pointAt(course, along, off);
  const { length, bulge } = course;
  const bow = bulge !== 0 && { bulge };
  const back = bulge !== 0 && { bulge: -bulge };
  return [{ ...at(0, -left), ...bow }, at(length, -left), { ...at(length, right), ...back }, at(0, right)];
}
