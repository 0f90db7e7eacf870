import type { Point, Ring } from '../src';
import { type Pose, between, rectangleAt, routeFor } from '../src/pieces/get-in';

/** Two corridors that meet in a corner: one comes in from the left, `a` wide, the other leaves downwards, `b` wide. Their outer corner is at 0, 0. */
export const corner = (a: number, b: number, long = 6000): Ring => [
  { x: -long, y: 0 },
  { x: 0, y: 0 },
  { x: 0, y: long },
  { x: -b, y: long },
  { x: -b, y: a },
  { x: -long, y: a },
];

export const round = (a: number, b: number, length: number, width: number, steps = 72): readonly Pose[] | null =>
  routeFor({
    floor: [corner(a, b)],
    size: { width: length, depth: width },
    along: 0,
    steps,
    start: { at: { x: -4200, y: a / 2 }, within: 100 },
    goal: { x: -b / 2, y: 4200, angle: Math.PI / 2 },
  });

/**
 * The longest box that gets round, by its width: the least over all turns of the length between the outer walls of a box that touches the inner corner. A line at the angle t that stays w off the inner corner:
 * L(t) = (a − w cos t)/sin t + (b − w sin t)/cos t … for a rod the closed form (a^⅔ + b^⅔)^{3/2}.
 */
export function longest(a: number, b: number, w: number): number {
  let least = Infinity;
  for (let i = 1; i < 20_000; i += 1) {
    const t = ((Math.PI / 2) * i) / 20_000;
    least = Math.min(least, b / Math.cos(t) + a / Math.sin(t) - w / (Math.sin(t) * Math.cos(t)));
  }
  return least;
}

/** How far a point lies outside a ring, mm; 0 inside. By itself: no function of the core. */
function outside(ring: Ring, p: Point): number {
  let inside = false;
  let off = Infinity;
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    if (a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) * (b.x - a.x)) / (b.y - a.y)) inside = !inside;
    const long = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
    const k = Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / long));
    off = Math.min(off, Math.hypot(p.x - a.x - k * (b.x - a.x), p.y - a.y - k * (b.y - a.y)));
  });
  return inside ? 0 : off;
}

/** How far a way goes through walls, mm: points round the box, at poses a few mm apart; and corners of the walls within the box. */
export function through(ring: Ring, poses: readonly Pose[], width: number, depth: number): number {
  let worst = 0;
  for (const pose of between(poses, 8)) {
    const corners = rectangleAt(width, depth, pose.angle).map((p) => ({ x: p.x + pose.x, y: p.y + pose.y }));
    corners.forEach((a, i) => {
      const b = corners[(i + 1) % 4]!;
      for (let k = 0; k < 24; k += 1)
        worst = Math.max(worst, outside(ring, { x: a.x + ((b.x - a.x) * k) / 24, y: a.y + ((b.y - a.y) * k) / 24 }));
    });
    const [c, s] = [Math.cos(pose.angle), Math.sin(pose.angle)];
    for (const p of ring) {
      const [u, v] = [(p.x - pose.x) * c + (p.y - pose.y) * s, (p.y - pose.y) * c - (p.x - pose.x) * s];
      worst = Math.max(worst, Math.min(width / 2 - Math.abs(u), depth / 2 - Math.abs(v)));
    }
  }
  return worst;
}
