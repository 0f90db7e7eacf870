export { partsOf, seenFromAbove } from './body';
export { isKnownForm, pieceKindOf, pieceName, usualSize, usualSizes } from './catalogue';
export { CUT, drawPiece, drawPieces, inOrder } from './draw-pieces';
export { type LaidModule, layModules } from './forms/built-in';
export type { Part, Stuff } from './form';
export {
  COMMON,
  type FreeZone,
  PIECE_GROUPS,
  type PieceGroup,
  type PieceKind,
  type PieceRoom,
  type Range,
  type Side,
  type Size,
} from './kind';
export { PIECE_KINDS } from './kinds';
export {
  type PieceFrame,
  type PieceOnFloor,
  frameAround,
  inFrame,
  middleOfPiece,
  onSheet,
  piecesOn,
  turnOfFrame,
} from './on-floor';
export { frontOfKind, newPiece, pieceFront, pieceSign, usualModules } from './sign';
