import type { Point } from '../../geometry';

/** How something lies on the way: its middle, and how its width is turned, radians. */
export interface Pose extends Point {
  readonly angle: number;
}

/** mm */
export interface Rectangle {
  readonly width: number;
  readonly depth: number;
}

/** A rectangle round its middle, turned. */
export function rectangleAt(width: number, depth: number, angle: number): readonly Point[] {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([u, v]) => {
    const [x, y] = [(u! * width) / 2, (v! * depth) / 2];
    return { x: x * c - y * s, y: x * s + y * c };
  });
}

/** It as it lies there. */
export const outlineAt = ({ width, depth }: Rectangle, { x, y, angle }: Pose): readonly Point[] =>
  rectangleAt(width, depth, angle).map((p) => ({ x: p.x + x, y: p.y + y }));

/** Poses with others between them, no farther apart than a hand. */
export function between(poses: readonly Pose[], step = 60): Pose[] {
  return poses.flatMap((pose, i) => {
    const next = poses[i + 1];
    if (!next) return [pose];
    const long = Math.hypot(next.x - pose.x, next.y - pose.y) + 800 * Math.abs(next.angle - pose.angle);
    const parts = Math.max(1, Math.ceil(long / step));
    return Array.from({ length: parts }, (_, k) => ({
      x: pose.x + ((next.x - pose.x) * k) / parts,
      y: pose.y + ((next.y - pose.y) * k) / parts,
      angle: pose.angle + ((next.angle - pose.angle) * k) / parts,
    }));
  });
}

/** How far two directions of a rectangle are apart: half a turn is none. */
export function apart(a: number, b: number): number {
  const off = (((a - b) % Math.PI) + Math.PI) % Math.PI;
  return Math.min(off, Math.PI - off);
}
