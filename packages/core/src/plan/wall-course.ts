import { lastFor } from '../memory';
import { type Box, type Course, courseBox, courseOf } from '../geometry';
import type { Collection, Corner, Wall } from './plan';

interface WallCourse {
  readonly course: Course;
  readonly box: Box;
}

const lastCourse = lastFor<Wall, WallCourse>();

/** The line of a wall from start to end, and the box round it; the same as last time while its corners are where they were. */
export function wallCourse(corners: Collection<Corner>, wall: Wall): WallCourse {
  const start = corners[wall.start]!;
  const end = corners[wall.end]!;
  return lastCourse(wall, [start, end], () => {
    const course = courseOf(start, end, wall.bulge);
    return { course, box: courseBox(course) };
  });
}
