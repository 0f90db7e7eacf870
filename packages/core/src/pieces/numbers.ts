import type { DrawingPart } from '../drawing/draw-floor';
import type { Mark } from '../drawing/marks';
import type { Id } from '../plan/plan';
import { circle } from './form';
import { type PieceOnFloor, middleOfPiece } from './on-floor';

/** The numbers of the pieces of a floor, from 1, in the order they were put down; alike ones have numbers of their own. */
export const numbersOf = (all: readonly Pick<PieceOnFloor, 'piece'>[]): ReadonlyMap<Id, number> =>
  new Map(all.map(({ piece }, i) => [piece.id, i + 1]));

/** Lettering in a ring, of the sheet’s lettering. */
const SIZE = 0.75;

/** The numbers on plan, each in a ring in the middle of its piece. */
export function drawNumbers(
  shown: readonly PieceOnFloor[],
  all: readonly PieceOnFloor[],
  lettering: number,
): DrawingPart {
  const numbers = numbersOf(all);
  const marks = shown.flatMap((on): Mark[] => {
    const at = middleOfPiece(on);
    const unit = `piece number ${on.piece.id}`;
    const text = String(numbers.get(on.piece.id)!);
    return [
      {
        kind: 'path',
        role: 'piece.number',
        key: `${unit} ring`,
        unit,
        rings: [circle(at.x, at.y, lettering * 0.9)],
        closed: true,
      },
      { kind: 'text', role: 'piece.number', key: unit, unit, at, text, turn: 0, size: SIZE },
    ];
  });
  return { key: 'piece numbers', apart: false, marks };
}
