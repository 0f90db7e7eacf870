import type { Point, Solid, WallFace } from '@velvet-tape/core';

/** The face something leans on, and where on it. */
interface Lean {
  readonly face: WallFace;
  readonly from: number;
  readonly to: number;
}

/** Where something is that was moved by so much: its middle where it stands free, else its place along its wall. */
export function movedBy(stand: Solid['stand'] | undefined, lean: Lean | null, { x: dx, y: dy }: Point) {
  if (stand?.kind === 'free') return { to: { x: stand.x + dx, y: stand.y + dy } };
  return lean && { place: placeAlong(lean.face, lean.from, lean.to, dx, dy) };
}

/** Moved along its wall, to the right as seen from the room for the right and up keys. */
export function placeAlong(face: WallFace, from: number, to: number, dx: number, dy: number) {
  const by = dx !== 0 ? dx : -dy;
  const offset = Math.min(Math.max(0, from + by), Math.max(0, face.length - (to - from)));
  return { face: face.key, end: 'left' as const, offset };
}
