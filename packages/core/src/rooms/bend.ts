import { distance, edgeLength, sagittaOf } from '../geometry';
import type { FaceRun } from './room-outline';

/** How a face is bent: mm, and which way. */
export const bendOf = (face: FaceRun) => ({
  sagitta: Math.abs(sagittaOf(distance(face.a, face.b), face.bulge)),
  radius: face.course.arc?.radius ?? null,
  length: edgeLength(face.a, face.b, face.bulge),
  way: face.bulge >= 0 ? ('out' as const) : ('in' as const),
});
