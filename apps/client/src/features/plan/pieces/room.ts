/** All of pieces that comes later, in one piece: what several pieces share would be in the first page. */
export { default as Catalogue } from './Catalogue';
export { chosenPiece } from './chosen-piece';
export { pieceChosen, pieceDrag, pieceMeant } from './holding';
export { default as OptionBar } from './OptionBar';
export { default as OptionsPart } from './OptionsPart';
export { default as PieceAbout } from './PieceAbout';
export { default as PieceCopies } from './PieceCopies';
export { default as PieceGetIn } from './PieceGetIn';
export { default as PieceMarks } from './PieceMarks';
export { default as PieceModules } from './PieceModules';
export { default as PieceTiles } from './PieceTiles';
export { default as PiecesBar } from './PiecesBar';
export { default as PiecesList } from './PiecesList';
export { piecesTool } from './pieces-tool';
