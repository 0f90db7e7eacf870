import type { Piece, Point } from '../src';
import { type PieceOnFloor, newPiece, pieceKindOf, piecesOn, placePiece } from '../src/pieces';
import type { House } from './house';

/** Where it is said to stand. */
export const put = (house: House, form: string, stand: Piece['stand'], more: Partial<Piece> = {}): string =>
  house.do({ kind: 'addPiece', floor: 'ground', piece: { ...newPiece(pieceKindOf(form)), stand, ...more } })!;
export const on = (house: House): readonly PieceOnFloor[] => piecesOn(house.plan.pieces, house.floor);
export const one = (house: House, id: string): PieceOnFloor => on(house).find(({ piece }) => piece.id === id)!;
/** Put down where a finger is. */
export function dropped(house: House, form: string, at: Point, reach = 60): string {
  const piece = newPiece(pieceKindOf(form));
  const { stand, mirrored = false } = placePiece(house.floor, piece, at, {
    ...{ reach, turn: 0, fresh: true, others: on(house) },
  });
  return put(house, form, stand, { mirrored, ...(stand.kind === 'piece' && { up: 0 }) });
}
