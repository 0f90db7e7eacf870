import { type Point, distanceToSegment, turned } from '../geometry';
import { type Piece, type PieceStand, type PieceWallStand, acrossWall } from '../plan/plan';
import { type PieceOnFloor, inFrame, middleOfPiece, turnOfFrame } from './on-floor';

/** Where a piece goes, as an edit is told. */
export interface Place {
  readonly piece: string;
  readonly stand: PieceStand;
  readonly gap?: number;
  readonly mirrored?: boolean;
}

/** Does the distance it was put down by count to the right, as one looks at its wall from the room? */
const countsRight = ({ side, anchor }: PieceWallStand): boolean => (side === 'right') === (anchor === 'start');

/** Moved by so much of its own frame: x to its right, y to its front, mm. Against its wall it slides along it, or off it as long as it is not behind its face. */
export function shiftPiece({ piece, frame }: PieceOnFloor, { x, y }: Point): Place {
  const { stand, gap } = piece;
  if (stand.kind === 'wall') {
    const by = turned({ x, y }, (Math.PI / 2) * stand.quarter);
    const offset = stand.offset + (countsRight(stand) ? by.x : -by.x);
    return { piece: piece.id, stand: { ...stand, offset }, gap: Math.max(0, gap + by.y) };
  }
  if (stand.kind === 'piece') {
    const by = turned({ x, y }, (Math.PI / 180) * stand.turn);
    return { piece: piece.id, stand: { ...stand, x: stand.x + by.x, y: stand.y + by.y } };
  }
  return {
    piece: piece.id,
    stand: { ...stand, x: stand.x + frame.d.x * x - frame.d.y * y, y: stand.y + frame.d.y * x + frame.d.x * y },
  };
}

/** Turned by so many degrees about its middle: against its wall by quarters, else it leaves the wall. */
export function turnPiece(on: PieceOnFloor, by: number): Place {
  const { piece } = on;
  const { stand } = piece;
  if (stand.kind === 'wall') {
    if (by % 90 !== 0) return freed(on, by);
    const quarter = (((stand.quarter + Math.round(by / 90)) % 4) + 4) % 4;
    const grown = acrossWall(piece, stand.quarter).along - acrossWall(piece, quarter).along;
    return { piece: piece.id, stand: { ...stand, quarter, offset: stand.offset + grown / 2 } };
  }
  return { piece: piece.id, stand: { ...stand, turn: within(stand.turn + by) } };
}

/** Standing free, where it stands. */
export function freed(on: PieceOnFloor, by = 0): Place {
  const { x, y } = middleOfPiece(on);
  return { piece: on.piece.id, stand: { kind: 'free', x, y, turn: within(turnOfFrame(on.frame) + by) } };
}

/** From −180 to 180. */
export const within = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;

/** The piece under a finger: of those within `reach` mm the one the point is in, the highest and smallest first. */
export function pieceAt(all: readonly PieceOnFloor[], p: Point, reach: number): PieceOnFloor | null {
  let best: { on: PieceOnFloor; off: number } | null = null;
  for (const on of all) {
    const off = awayFrom(on, p);
    if (off > reach) continue;
    if (!best || off < best.off - 0.5 || (Math.abs(off - best.off) <= 0.5 && isOver(on, best.on))) best = { on, off };
  }
  return best?.on ?? null;
}

const areaOf = ({ width, depth }: Piece): number => width * depth;
const isOver = (a: PieceOnFloor, b: PieceOnFloor): boolean =>
  a.top > b.top + 1 || (a.top >= b.top - 1 && areaOf(a.piece) <= areaOf(b.piece));

function awayFrom({ frame, piece, ring }: PieceOnFloor, p: Point): number {
  const { x, y } = inFrame(frame, p);
  if (x >= 0 && x <= piece.width && y >= 0 && y <= piece.depth) return 0;
  return Math.min(...ring.map((a, i) => distanceToSegment(a, ring[(i + 1) % ring.length]!, p)));
}

/** Where a piece stands that grew to one side, `by` mm, so that its other side stays where it is. */
export function rightFor({ piece, frame }: PieceOnFloor, side: 'left' | 'right' | 'front', by: number): PieceStand {
  const { stand } = piece;
  if (stand.kind === 'wall') {
    // it is kept by the edge nearer to its anchor
    const { quarter } = stand;
    const along = side !== 'front' ? quarter % 2 === 0 : quarter % 2 === 1;
    if (!along) return stand;
    const toRight = side === 'front' ? quarter === 3 : (side === 'right') === (quarter === 0);
    return toRight === countsRight(stand) ? stand : { ...stand, offset: stand.offset - by };
  }
  const half = by / 2;
  const shift = side === 'front' ? { x: 0, y: half } : { x: side === 'right' ? half : -half, y: 0 };
  if (stand.kind === 'piece') {
    const round = turned(shift, (Math.PI / 180) * stand.turn);
    return { ...stand, x: stand.x + round.x, y: stand.y + round.y };
  }
  const { d } = frame;
  return { ...stand, x: stand.x + d.x * shift.x - d.y * shift.y, y: stand.y + d.y * shift.x + d.x * shift.y };
}
