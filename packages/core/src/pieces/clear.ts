import type { DerivedFloor, DerivedRoom } from '../derived';
import { type Point, type Ring, boxesMeet, flattened, ringsBox, union } from '../geometry';
import { onceFor } from '../memory';
import { surfaceContains } from '../rooms';
import { type PieceFrame, type PieceOnFloor, boxOfPiece, inFrame, middleOfPiece } from './on-floor';
import type { Side } from './kind';

/** What a piece may meet on its floor: walls, what stands solid, other pieces at its height. */
export interface Surroundings {
  readonly rings: readonly Ring[];
  readonly pieces: readonly PieceOnFloor[];
}

/** Do they reach into each other’s height? What lies flat, or hangs over, is not in the way. */
export const meetInHeight = (a: PieceOnFloor, b: PieceOnFloor): boolean => a.bottom < b.top - 1 && b.bottom < a.top - 1;

const onTop = (a: PieceOnFloor, b: PieceOnFloor): boolean =>
  (a.piece.stand.kind === 'piece' && a.piece.stand.piece === b.piece.id) ||
  (b.piece.stand.kind === 'piece' && b.piece.stand.piece === a.piece.id);

/** The pieces that something could run into. */
export const inTheWay = (on: PieceOnFloor, all: readonly PieceOnFloor[]): readonly PieceOnFloor[] =>
  all.filter(
    (other) => other.piece.id !== on.piece.id && !other.kind.passable && !onTop(on, other) && meetInHeight(on, other),
  );

/** Rooms that only chalk lines part, as one: outlines of what is built round them. */
export interface Space {
  readonly rooms: readonly DerivedRoom[];
  readonly rings: readonly Ring[];
}

/** The spaces of a floor, each between walls. */
export const spacesOf = onceFor((floor: DerivedFloor): readonly Space[] => {
  const parts = floor.rooms.map((room) => new Set([room]));
  for (const { id } of floor.chalk) {
    const beside = parts.filter((part) =>
      [...part].some(({ faces }) => faces.some(({ halves }) => halves.some(({ wall }) => wall.id === id))),
    );
    const [first, ...others] = beside;
    for (const other of others) {
      other.forEach((room) => first!.add(room));
      parts.splice(parts.indexOf(other), 1);
    }
  }
  return parts.map((part) => {
    const rooms = [...part];
    // a chalk line has no thickness: its rooms touch along it
    return {
      rooms,
      rings: rooms.length === 1 ? rooms[0]!.outline.rings : union(rooms.flatMap(({ outline }) => outline.rings)),
    };
  });
});

/** The space a point is in; null: none. */
export const spaceAt = (floor: DerivedFloor, p: Point): Space | null =>
  spacesOf(floor).find(({ rings }) => surfaceContains(rings, p)) ?? null;

/** What is built round a point: the walls of its space, and what stands solid there; outside, the house. */
export function builtRound(floor: DerivedFloor, p: Point): readonly Ring[] {
  const { solids, bodies } = floor;
  return spaceAt(floor, p)?.rings ?? [...bodies, ...solids].map(({ ring }) => ring);
}

/** Less than this is touching, mm. */
const TOUCH = 0.5;
/** Beside its edges it may graze, mm. */
const GRAZE = 1;

/** From a side of a rectangle in a frame outwards to the first thing that any part of that side would meet, mm; null where nothing is in the way. */
export function clearFrom(
  frame: PieceFrame,
  { width, depth }: { readonly width: number; readonly depth: number },
  side: Side,
  rings: readonly Ring[],
): number | null {
  // turned so that the side looks to +x
  const look = (p: Point): Point => {
    const { x, y } = inFrame(frame, p);
    switch (side) {
      case 'right':
        return { x: x - width, y };
      case 'left':
        return { x: -x, y };
      case 'front':
        return { x: y - depth, y: x };
      case 'back':
        return { x: -y, y: x };
    }
  };
  const long = side === 'left' || side === 'right' ? depth : width;
  const [low, high] = [Math.min(GRAZE, long / 4), long - Math.min(GRAZE, long / 4)];
  let best = Infinity;
  for (const ring of rings) {
    const points = flattened(ring).map(look);
    for (let i = 0; i < points.length; i += 1) {
      const near = nearest(points[i]!, points[(i + 1) % points.length]!, low, high);
      if (near !== null && near < best) best = near;
    }
  }
  return Number.isFinite(best) ? Math.max(0, best) : null;
}

/** The least x of a segment within a strip of y, no less than where the strip begins. */
function nearest(a: Point, b: Point, low: number, high: number): number | null {
  if (Math.max(a.y, b.y) < low || Math.min(a.y, b.y) > high) return null;
  const at = (y: number) => (a.y === b.y ? Math.min(a.x, b.x) : a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y));
  const ys = [Math.min(high, Math.max(low, a.y)), Math.min(high, Math.max(low, b.y))];
  const xs = a.y === b.y ? [a.x, b.x] : ys.map(at);
  const ahead = xs.filter((x) => x >= -TOUCH);
  if (ahead.length === xs.length) return Math.min(...xs);
  // it crosses the side itself: then nothing is clear
  return ahead.length > 0 ? 0 : null;
}

/** What is free beside a piece, up to walls, what stands solid, and pieces at its height. */
export function clearRound(
  on: PieceOnFloor,
  derived: DerivedFloor,
  all: readonly PieceOnFloor[],
): Readonly<Record<Side, number | null>> {
  const space = spaceAt(derived, middleOfPiece(on));
  // what is in another space is behind its walls
  const box = space && ringsBox(space.rings)!;
  const near = box ? all.filter((other) => boxesMeet(boxOfPiece(other), box)) : all;
  const rings = [...builtRound(derived, middleOfPiece(on)), ...inTheWay(on, near).map(({ ring }) => ring)];
  const clear = (side: Side) => clearFrom(on.frame, on.piece, side, rings);
  return { left: clear('left'), right: clear('right'), front: clear('front'), back: clear('back') };
}
