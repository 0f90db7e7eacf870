import type { Mark } from '../drawing/marks';
import { NEW_PIECE, type Piece } from '../plan/plan';
import { partsOf } from './body';
import { pieceKindOf, usualSize } from './catalogue';
import { drawPiece } from './draw-pieces';
import { type Line, rectangle } from './form';
import type { PieceKind, Size } from './kind';
import { frameAround } from './on-floor';

/** A piece of a kind by itself, as it comes out of the tray. */
export function newPiece(kind: PieceKind, size: Size = usualSize(kind)): Omit<Piece, 'id' | 'floor' | 'stand'> {
  const { width, depth, height } = size;
  return {
    ...NEW_PIECE,
    form: kind.id,
    width,
    depth: kind.round ? width : depth,
    height,
    up: kind.up ?? 0,
    gap: kind.back === 'wall' ? (kind.gap ?? 0) : 0,
    fixed: kind.fixed ?? false,
    builtIn: kind.modules ? usualModules(width, kind.modules) : null,
  };
}

/** As many equal parts as come nearest to the usual width of one. */
export function usualModules(
  width: number,
  { width: one, fill, count }: NonNullable<PieceKind['modules']>,
): NonNullable<Piece['builtIn']> {
  const parts = Math.max(1, Math.min(40, Math.round(width / one)));
  return { modules: Array.from({ length: parts }, () => ({ width: null, fill, count })), plinth: 80, overhang: 0 };
}

const alone = (kind: PieceKind, size: Size): Piece => ({
  ...newPiece(kind, size),
  ...{ id: 'sign', floor: 'sign', stand: { kind: 'free', x: 0, y: 0, turn: 0 } },
});

/** A kind alone, seen from above, its middle at 0, 0: for trays. It lies on the floor, so that all of it is drawn. */
export function pieceSign(kind: PieceKind, size: Size = usualSize(kind)): readonly Mark[] {
  const piece = { ...alone(kind, size), up: 0 };
  const frame = frameAround({ x: 0, y: 0 }, 0, piece.width, piece.depth);
  return drawPiece({ piece, kind, frame, ring: [], bottom: 0, top: piece.height });
}

/**
 * The front of a piece: x along its width, y **down** from its top. Parts that stand nearer to whoever looks are painted over those behind them.
 */
export function pieceFront(piece: Piece): readonly Mark[] {
  const high = Math.max(piece.height, ...partsOf(piece).map(({ to }) => to));
  const near = partsOf(piece).map((part, i) => ({ part, i, front: Math.max(...part.outline.map(({ y }) => y)) }));
  near.sort((a, b) => a.front - b.front || a.i - b.i);
  const down = (each: Line): Line => each.map((p) => ({ ...p, y: high - p.y, ...(p.bulge && { bulge: -p.bulge }) }));
  return near.flatMap(({ part, i }): Mark[] => {
    const xs = part.outline.map(({ x }) => x);
    const [from, to] = [Math.min(...xs), Math.max(...xs)];
    const ring = rectangle(from, high - part.to, to - from, part.to - part.from);
    const key = `piece ${piece.id} front ${i}`;
    const marks: Mark[] = [{ kind: 'path', role: 'piece.form', key, rings: [ring], closed: true }];
    if (part.face && part.face.length > 0)
      marks.push({ kind: 'path', role: 'piece.line', key: `${key} lines`, rings: part.face.map(down), closed: false });
    return marks;
  });
}

export const frontOfKind = (form: string): readonly Mark[] => {
  const kind = pieceKindOf(form);
  return pieceFront(alone(kind, usualSize(kind)));
};
