import { alongOf, pointAt } from '../geometry';
import type { WallStand } from '../plan/plan';
import { type Network, faceStretch, wallInsets } from '../walls';
import type { WallFace } from './derive-floor';

/** Where on its wall something stands that begins `from` mm along a face and is `width` mm wide: on the piece of wall its middle is on. */
export function standOnFace(
  network: Network,
  face: Pick<WallFace, 'halves' | 'course'>,
  from: number,
  width: number,
): WallStand {
  const at = pointAt(face.course, from + width / 2);
  const half =
    face.halves.find(({ course }) => {
      const along = alongOf(course, at);
      return along >= 0 && along <= course.length;
    }) ?? face.halves[0]!;
  const side = half.forward ? 'right' : 'left';
  const anchor = half.forward ? 'start' : 'end';
  const insets = wallInsets(network, half.wall.id);
  const stretch = faceStretch(insets, side);
  const left = pointAt(face.course, from);
  const along = alongOf(half.course, left) - insets[side][anchor];
  return { kind: 'wall', wall: half.wall.id, anchor, side, offset: along * stretch };
}
