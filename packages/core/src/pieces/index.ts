export { MOST_COPIES, type Pattern, countOf, spotsOf, stepBetween } from './arrange';
export { drawPiecesOn, partOfPiece } from './draw-on-floor';
export { numbersOf } from './numbers';
export { partsOf, seenFromAbove } from './body';
export { isKnownForm, pieceKindOf, pieceName, usualSize, usualSizes } from './catalogue';
export { type Space, clearFrom, clearRound, inTheWay, meetInHeight, spaceAt, spacesOf } from './clear';
export { CUT, drawPiece, drawPieces } from './draw-pieces';
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
  piecesIn,
  piecesOn,
  turnOfFrame,
} from './on-floor';
export { frontOfKind, newPiece, pieceFront, pieceSign, usualModules } from './sign';
export {
  type AlongWall,
  type Placed,
  type Placing,
  betweenPoints,
  placePiece,
  placeTogether,
  wallNear,
  wallToWall,
} from './placing';
export { type Filler, type Run, WORKTOP, runsOf } from './runs';
export { type Place, freed, pieceAt, rightFor, shiftPiece, turnPiece } from './move';
export { findPieces, offeredIn, roomFor } from './find';
export { elevationOfPieces } from './elevation';
export { withSolidPieces } from './solid-pieces';
export { type PieceAdvice, adviceOn, zoneRing } from './fit/advice';
export { blocks, footprintOf } from './fit/footprint';
export { type Passage, passagesOf } from './fit/passages';
export { onItsWallInWords } from './fit/on-its-wall';
export { type RoomSpace, TURNING_CIRCLE, freeFloor, largestRectangle, roomSpace } from './fit/space';
export { type PieceLine, type PieceOrder, orderedPieces, pieceLines, priceOf } from './list';
export { isWrittenAt } from './written-at';
export { type Pose, between, outlineAt } from './get-in/poses';
