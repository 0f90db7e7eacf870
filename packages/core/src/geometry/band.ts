import { type Course, pointAt } from './course';
import type { Ring } from './polygon';

/** The band that reaches `left` and `right` mm from a course, square at its ends; clockwise. */
export function bandAlong(course: Course, left: number, right: number): Ring {
  const at = (along: number, off: number) => pointAt(course, along, off);
  const { length, bulge } = course;
  const bow = bulge !== 0 && { bulge };
  const back = bulge !== 0 && { bulge: -bulge };
  return [{ ...at(0, -left), ...bow }, at(length, -left), { ...at(length, right), ...back }, at(0, right)];
}
