import { deriveFloor } from '../derived';
import type { Plan, Solid } from '../plan/plan';
import { middleOfPiece, piecesOn, turnOfFrame } from './on-floor';

/** The plan with what stands solid among its fixed pieces as columns, which rules for areas know: boxing for pipes, a masonry stove. */
export function withSolidPieces(plan: Plan): Plan {
  const solid = Object.keys(plan.floors).flatMap((id) =>
    piecesOn(plan.pieces, deriveFloor(plan, id)).filter(
      ({ kind, piece }) => kind.solid && piece.fixed && piece.option === '',
    ),
  );
  if (solid.length === 0) return plan;
  const columns = solid.map((on): Solid => {
    const { id, floor, width, depth } = on.piece;
    const { x, y } = middleOfPiece(on);
    return {
      id,
      floor,
      kind: 'column',
      shape: 'rectangle',
      width,
      depth,
      stand: { kind: 'free', x, y, turn: turnOfFrame(on.frame) },
    };
  });
  return { ...plan, solids: { ...plan.solids, ...Object.fromEntries(columns.map((each) => [each.id, each])) } };
}
