import type { DerivedFloor } from '../derived';
import {
  type Box,
  type Point,
  type Ring,
  boxAround,
  boxesMeet,
  direction,
  middle,
  moved,
  pointAt,
  rightOf,
  turned,
  widened,
} from '../geometry';
import { onceFor } from '../memory';
import { type Collection, type Id, type Piece, acrossWall } from '../plan/plan';
import { surfaceContains } from '../rooms';
import { type Network, spanOf, wallInsets } from '../walls';
import { pieceKindOf } from './catalogue';
import type { PieceKind } from './kind';

/** How a piece lies: its corner at the back, at the left as one looks at its front, and which way its width runs. */
export interface PieceFrame {
  readonly at: Point;
  readonly d: Point;
}

/** A piece where it stands. */
export interface PieceOnFloor {
  readonly piece: Piece;
  readonly kind: PieceKind;
  readonly frame: PieceFrame;
  /** What it covers of the floor: clockwise from its corner at the back left, mm. */
  readonly ring: Ring;
  /** Over the floor, mm. */
  readonly bottom: number;
  readonly top: number;
}

/** Round what it covers. */
export const boxOfPiece = onceFor(({ ring }: PieceOnFloor): Box => boxAround(ring)!);

/** Do two pieces come so near to each other, mm? Boxes round them are asked: it may say yes of more. */
export const areNear = (a: PieceOnFloor, b: PieceOnFloor, mm: number): boolean =>
  boxesMeet(widened(boxOfPiece(a), mm), boxOfPiece(b));

/** A point of a piece’s frame on the sheet: x along its width, y from its back to its front. */
export const onSheet = ({ at, d }: PieceFrame, x: number, y: number): Point => ({
  x: at.x + d.x * x - d.y * y,
  y: at.y + d.y * x + d.x * y,
});

/** A point of the sheet in a piece’s frame. */
export const inFrame = ({ at, d }: PieceFrame, p: Point): Point => ({
  x: (p.x - at.x) * d.x + (p.y - at.y) * d.y,
  y: (p.y - at.y) * d.x - (p.x - at.x) * d.y,
});

export const middleOfPiece = ({ frame, piece: { width, depth } }: Pick<PieceOnFloor, 'frame' | 'piece'>): Point =>
  onSheet(frame, width / 2, depth / 2);

/** Degrees clockwise. */
export const turnOfFrame = ({ d }: PieceFrame): number => (Math.atan2(d.y, d.x) * 180) / Math.PI;

/** The frame of something with its middle there, turned so far. */
export function frameAround(middle: Point, turn: number, width: number, depth: number): PieceFrame {
  const d = turned({ x: 1, y: 0 }, (turn * Math.PI) / 180);
  return { at: moved(moved(middle, d, -width / 2), rightOf(d), -depth / 2), d };
}

/** Where a wall stand puts something; null where its wall is not there. */
function frameAtWall(network: Network, { stand, width, depth, gap }: Piece): PieceFrame | null {
  if (stand.kind !== 'wall' || !network.walls.some(({ id }) => id === stand.wall)) return null;
  const insets = wallInsets(network, stand.wall);
  const { along, out } = acrossWall({ width, depth }, stand.quarter);
  const span = spanOf(insets, { ...stand, width: along });
  const off = stand.side === 'right' ? insets.wall.right : -insets.wall.left;
  const [a, b] = [pointAt(insets.course, span.from, off), pointAt(insets.course, span.to, off)];
  const [left, right] = stand.side === 'right' ? [a, b] : [b, a];
  const d = direction(left, right);
  const at = moved(middle(left, right), rightOf(d), gap + out / 2);
  const turn = (Math.atan2(d.y, d.x) * 180) / Math.PI + 90 * stand.quarter;
  return frameAround(at, turn, width, depth);
}

/** Corners of what lies in a frame: clockwise from the one at the back left. */
export const cornersIn = (frame: PieceFrame, { width, depth }: Pick<Piece, 'width' | 'depth'>): Ring => [
  onSheet(frame, 0, 0),
  onSheet(frame, width, 0),
  onSheet(frame, width, depth),
  onSheet(frame, 0, depth),
];

const remembered = new WeakMap<Piece, { readonly of: readonly unknown[]; readonly on: PieceOnFloor }>();

/**
 * The pieces of a floor where they stand, those that stand on others after them. `near` is a part of the floor that is being dragged: what stands at its walls stands
 * there. What did not move is the same object as before.
 */
export function piecesOn(
  pieces: Collection<Piece>,
  derived: DerivedFloor,
  near: DerivedFloor | null = null,
): readonly PieceOnFloor[] {
  const placed = new Map<Id, PieceOnFloor | null>();
  const place = (piece: Piece, deep: number): PieceOnFloor | null => {
    const known = placed.get(piece.id);
    if (known !== undefined || deep > 20) return known ?? null;
    const { stand } = piece;
    const under = stand.kind === 'piece' && pieces[stand.piece] ? place(pieces[stand.piece]!, deep + 1) : null;
    const on = placeOf(piece, derived, near, under);
    placed.set(piece.id, on);
    return on;
  };
  for (const piece of Object.values(pieces)) if (piece.floor === derived.floor) place(piece, 0);
  return [...placed.values()].filter((on) => on !== null);
}

/** Those that stand in the rooms of a part of a floor. */
export function piecesIn(pieces: Collection<Piece>, derived: DerivedFloor): Collection<Piece> {
  const inside = piecesOn(pieces, derived).filter((on) => {
    const p = middleOfPiece(on);
    return derived.rooms.some(({ outline }) => surfaceContains(outline.rings, p));
  });
  return Object.fromEntries(inside.map(({ piece }) => [piece.id, piece]));
}

/** One piece where it stands; `under`: what it stands on. */
function placeOf(
  piece: Piece,
  derived: DerivedFloor,
  near: DerivedFloor | null,
  under: PieceOnFloor | null,
): PieceOnFloor | null {
  const { stand } = piece;
  if (stand.kind === 'free')
    return remember(piece, [], () => frameAround(stand, stand.turn, piece.width, piece.depth), 0);
  if (stand.kind === 'piece') {
    if (!under) return null;
    const middle = middleOfPiece(under);
    const { d } = under.frame;
    const at = { x: middle.x + d.x * stand.x - d.y * stand.y, y: middle.y + d.y * stand.x + d.x * stand.y };
    const turn = turnOfFrame(under.frame) + stand.turn;
    return remember(piece, [under], () => frameAround(at, turn, piece.width, piece.depth), under.top);
  }
  const at = near && near.network.walls.some(({ id }) => id === stand.wall) ? near : derived;
  return remember(piece, [at.network], () => frameAtWall(at.network, piece), 0);
}

function remember(
  piece: Piece,
  of: readonly unknown[],
  frameOf: () => PieceFrame | null,
  on: number,
): PieceOnFloor | null {
  const last = remembered.get(piece);
  if (last && last.of.length === of.length && last.of.every((each, i) => each === of[i])) return last.on;
  const frame = frameOf();
  if (!frame) return null;
  const same = last && sameFrame(last.on.frame, frame) && last.on.bottom === on + piece.up ? last.on : null;
  const it = same ?? {
    piece,
    kind: pieceKindOf(piece.form),
    frame,
    ring: cornersIn(frame, piece),
    bottom: on + piece.up,
    top: on + piece.up + piece.height,
  };
  remembered.set(piece, { of, on: it });
  return it;
}

const sameFrame = (a: PieceFrame, b: PieceFrame): boolean =>
  a.at.x === b.at.x && a.at.y === b.at.y && a.d.x === b.d.x && a.d.y === b.d.y;
