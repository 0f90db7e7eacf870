import { type Box, type Course, courseBox, courseOf } from '../geometry';
import type { Collection, Corner, Wall } from './plan';

interface WallCourse {
  readonly course: Course;
  readonly box: Box;
}

const remembered = new WeakMap<Wall, WallCourse & { readonly start: Corner; readonly end: Corner }>();

/** The line of a wall from start to end, and the box round it; the same as last time while its corners are where they were. */
export function wallCourse(corners: Collection<Corner>, wall: Wall): WallCourse {
  const start = corners[wall.start]!;
  const end = corners[wall.end]!;
  const last = remembered.get(wall);
  if (last?.start === start && last.end === end) return last;
  const course = courseOf(start, end, wall.bulge);
  const made = { course, box: courseBox(course), start, end };
  remembered.set(wall, made);
  return made;
}
