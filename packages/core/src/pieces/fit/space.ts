import type { DerivedRoom } from '../../derived';
import { type Point, type Ring, difference, piecesOf, ringsArea } from '../../geometry';
import { surfaceContains, widest } from '../../rooms';
import { clearFrom } from '../clear';
import { type PieceFrame, type PieceOnFloor, cornersIn, middleOfPiece, onSheet } from '../on-floor';
import { blocks, footprintOf } from './footprint';
import { rasterOf } from './raster';

/** What of a room is left free. mm, mm². */
export interface RoomSpace {
  readonly floor: number;
  readonly free: number;
  /** Of its floor, 0 to 1. */
  readonly share: number;
  /** What is free, as outlines. */
  readonly rings: readonly Ring[];
  /** The largest rectangle along its longest wall; null where nothing is free. */
  readonly rectangle: { readonly width: number; readonly depth: number; readonly ring: Ring } | null;
  /** The largest circle that is free. */
  readonly circle: { readonly at: Point; readonly radius: number } | null;
}

/** To turn in a wheelchair, mm: 1.50 m (DIN 18040-2, ISO 21542; from memory). */
export const TURNING_CIRCLE = 1500;

/** The pieces that take floor away in a room. */
export const takingFloorIn = (room: DerivedRoom, all: readonly PieceOnFloor[]): readonly PieceOnFloor[] =>
  all.filter((on) => blocks(on) && surfaceContains(room.outline.rings, middleOfPiece(on)));

/** The floor of a room less what stands on it; what hangs higher than a head takes nothing. */
export function freeFloor(room: DerivedRoom, all: readonly PieceOnFloor[]): readonly Ring[] {
  const taken = all.filter(blocks).flatMap(footprintOf);
  return taken.length === 0 ? room.standing : difference(room.standing, taken);
}

/** What is left free of a room. */
export function roomSpace(room: DerivedRoom, all: readonly PieceOnFloor[]): RoomSpace {
  const floor = Math.max(0, ringsArea(room.standing));
  const rings = freeFloor(room, all);
  const free = Math.max(0, ringsArea(rings));
  if (free < 1) return { floor, free: 0, share: 0, rings: [], rectangle: null, circle: null };
  const longest = room.faces.reduce((a, b) => (b.length > a.length ? b : a));
  return {
    floor,
    free,
    share: floor > 0 ? free / floor : 0,
    rings,
    rectangle: largestRectangle(rings, longest.d),
    circle: largestCircle(rings),
  };
}

function largestCircle(rings: readonly Ring[]): RoomSpace['circle'] {
  const found = piecesOf(rings).map((piece) => widest(piece, 5));
  const best = found.sort((a, b) => b.radius - a.radius)[0];
  return best ? { at: best.point, radius: best.radius } : null;
}

/** mm */
const STEP = 25;

/** The largest rectangle along a direction: on squares of 25 mm the largest that is wholly free, then as far on every side as there is floor. */
export function largestRectangle(rings: readonly Ring[], d: Point): RoomSpace['rectangle'] {
  const raster = rasterOf(rings, STEP, d);
  const found = largestFree(raster);
  if (!found) return null;
  const { column, row, wide, high } = found;
  const half = raster.step / 2;
  const corner = raster.at(column, row);
  let frame: PieceFrame = { at: { x: corner.x - d.x * half + d.y * half, y: corner.y - d.y * half - d.x * half }, d };
  const size = { width: wide * raster.step, depth: high * raster.step };
  // each side once: what one gains another has not to give
  for (const side of ['left', 'right', 'back', 'front'] as const) {
    const more = Math.min(clearFrom(frame, size, side, rings) ?? 0, raster.step);
    if (side === 'left') frame = { ...frame, at: onSheet(frame, -more, 0) };
    if (side === 'back') frame = { ...frame, at: onSheet(frame, 0, -more) };
    if (side === 'left' || side === 'right') size.width += more;
    else size.depth += more;
  }
  return { ...size, ring: cornersIn(frame, size) };
}

/** The largest rectangle of free squares: over each row the heights of what is free above, by a stack of rising ones. */
function largestFree({ columns, rows, free }: Pick<ReturnType<typeof rasterOf>, 'columns' | 'rows' | 'free'>) {
  const heights = new Int32Array(columns + 1);
  let best: { column: number; row: number; wide: number; high: number } | null = null;
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1)
      heights[column] = free[row * columns + column] ? heights[column]! + 1 : 0;
    const stack: number[] = [];
    for (let column = 0; column <= columns; column += 1) {
      while (stack.length > 0 && heights[stack.at(-1)!]! >= (column < columns ? heights[column]! : 0)) {
        const high = heights[stack.pop()!]!;
        const from = stack.length > 0 ? stack.at(-1)! + 1 : 0;
        const wide = column - from;
        if (high > 0 && (!best || high * wide > best.high * best.wide))
          best = { column: from, row: row - high + 1, wide, high };
      }
      stack.push(column);
    }
  }
  return best;
}
