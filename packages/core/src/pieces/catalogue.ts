import type { Piece } from '../plan/plan';
import type { PieceKind, Size } from './kind';
import { PIECE_KINDS } from './kinds';

const BY_ID: ReadonlyMap<string, PieceKind> = new Map(PIECE_KINDS.map((kind) => [kind.id, kind]));

/** What a piece is; one that this version does not know is a box. */
export const pieceKindOf = (form: string): PieceKind => BY_ID.get(form) ?? BY_ID.get('box')!;

export const isKnownForm = (form: string): boolean => BY_ID.has(form);

/** What a piece is called. */
export const pieceName = ({ name, form }: Pick<Piece, 'name' | 'form'>): string => name || pieceKindOf(form).name;

export const usualSize = ({ width, depth, height }: PieceKind): Size => ({
  width: width[0],
  depth: depth[0],
  height: height[0],
});

/** The sizes a new one comes in besides its usual one, mm. */
export const usualSizes = (kind: PieceKind): readonly Size[] => {
  const usual = usualSize(kind);
  const widths = kind.widths ?? [usual.width];
  return widths.map((width) => ({ ...usual, width, ...(kind.round && { depth: width }) }));
};
