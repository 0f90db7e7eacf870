import type { DerivedFloor } from '../derived';
import type { DrawingPart } from '../drawing/draw-floor';
import type { DrawingStyle } from '../drawing/marks';
import type { ShownPart } from '../plan/plan';
import { drawFinishes } from '../finishes/draw-on-plan';
import { drawVantages } from '../vantages/draw-on-plan';
import { drawPieces } from './draw-pieces';
import { drawNumbers } from './numbers';
import { type PieceOnFloor, piecesOn } from './on-floor';

/** Which part of a plan a piece is, for what shows. */
export const partOfPiece = ({ piece: { fixed } }: Pick<PieceOnFloor, 'piece'>): ShownPart =>
  fixed ? 'fitted' : 'pieces';

type Asked = Pick<
  DrawingStyle,
  'pieces' | 'finishes' | 'vantages' | 'lettering' | 'without' | 'withoutLayers' | 'notes'
>;

/** What floors are finished with, the pieces on them, and where one looks from, as the style wants them: those that show. */
export function drawPiecesOn(derived: DerivedFloor, style: Asked): readonly DrawingPart[] {
  const { pieces, without, withoutLayers, notes } = style;
  const finishes = drawFinishes(derived, style);
  const seenFrom = drawVantages(derived.floor, style);
  if (!pieces) return [...finishes, ...seenFrom];
  const all = piecesOn(pieces, derived, notes?.near ?? null);
  const shown = all.filter(
    (on) => !without?.has(partOfPiece(on)) && !(on.piece.layer !== '' && withoutLayers?.has(on.piece.layer)),
  );
  const numbers = without?.has('piece numbers') ?? true;
  return [
    ...finishes,
    ...drawPieces(shown),
    ...(numbers ? [] : [drawNumbers(shown, all, style.lettering)]),
    ...seenFrom,
  ];
}
