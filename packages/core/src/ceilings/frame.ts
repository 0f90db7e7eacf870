import { type Affine, type Point, type Ring, away, headingAt, moved, pointAt, rightOf, turned } from '../geometry';
import type { EitherStand } from '../plan/plan';
import { type Network, spanOf, wallInsets } from '../walls';

/** How something under a ceiling lies on the sheet: from a point of its foot line, along that line, and the way it goes from there. Unit directions. */
export interface Frame {
  readonly at: Point;
  readonly along: Point;
  readonly out: Point;
}

/** The frame of what leans on a wall, its middle on that wall's face, or stands free. Null where its wall is gone. */
export function frameOf(network: Network, stand: EitherStand, width: number): Frame | null {
  if (stand.kind === 'free') {
    const along = turned({ x: 1, y: 0 }, (stand.turn * Math.PI) / 180);
    return { at: { x: stand.x, y: stand.y }, along, out: rightOf(along) };
  }
  if (!network.walls.some(({ id }) => id === stand.wall)) return null;
  const insets = wallInsets(network, stand.wall);
  const span = spanOf(insets, { ...stand, width });
  const mid = (span.from + span.to) / 2;
  const right = stand.side === 'right';
  const at = pointAt(insets.course, mid, right ? insets.wall.right : -insets.wall.left);
  const heading = headingAt(insets.course, mid);
  // the room is at the right hand of the walk along its face
  const along = right ? heading : { x: -heading.x, y: -heading.y };
  return { at, along, out: rightOf(along) };
}

/** From mm along and out to the sheet. */
export const onSheet = ({ at, along, out }: Frame, x: number, y: number): Point => moved(moved(at, along, x), out, y);

/** From the sheet to mm along and out. */
export const inFrame = ({ at, along, out }: Frame, p: Point): Point => ({
  x: (p.x - at.x) * along.x + (p.y - at.y) * along.y,
  y: (p.x - at.x) * out.x + (p.y - at.y) * out.y,
});

/** A height that is c at the frame's point and changes by so much per mm out and along. */
export function planeInFrame({ at, along, out }: Frame, c: number, perOut: number, perAlong: number): Affine {
  const a = perOut * out.x + perAlong * along.x;
  const b = perOut * out.y + perAlong * along.y;
  return { a, b, c: c - a * at.x - b * at.y };
}

/** How far what leans on a wall reaches into it, so that nothing is left between, mm. */
const BEHIND = 2;

/** The rectangle of a break: `near` mm to `far` mm out from its frame. */
function reach(stand: EitherStand, depth: number): { near: number; far: number } {
  return stand.kind === 'wall' ? { near: -BEHIND, far: depth } : { near: -depth / 2, far: depth / 2 };
}

export function rectangleIn(frame: Frame, stand: EitherStand, width: number, depth: number): Ring {
  const { far } = reach(stand, depth);
  // what is seen of it ends at the face of its wall
  const from = stand.kind === 'wall' ? 0 : -far;
  return [
    onSheet(frame, -width / 2, from),
    onSheet(frame, width / 2, from),
    onSheet(frame, width / 2, far),
    onSheet(frame, -width / 2, far),
  ];
}

/** Functions that are over 0 inside that rectangle, and only there. */
export function insideRectangle(frame: Frame, stand: EitherStand, width: number, depth: number): readonly Affine[] {
  const { near, far } = reach(stand, depth);
  const { along, out } = frame;
  const back = (d: Point): Point => ({ x: -d.x, y: -d.y });
  return [
    away(onSheet(frame, -width / 2, 0), along),
    away(onSheet(frame, width / 2, 0), back(along)),
    away(onSheet(frame, 0, near), out),
    away(onSheet(frame, 0, far), back(out)),
  ];
}
