import type { DerivedFloor } from '../../derived';
import type { Point } from '../../geometry';
import { pieceKindOf } from '../catalogue';
import { type PieceOnFloor, inFrame, turnOfFrame } from '../on-floor';
import { atTable } from './at-table';
import { alongFace, faceBehindPiece } from './against';
import { free } from './free';
import { type Placed, type Placing, type Standing, inSteps } from './placing';

/**
 * Where a piece comes to stand whose middle is held at a point: on another piece where it is small or let in; a seat at a table; with its back to the nearest wall, along which it
 * slides, caught by corners, neighbours, middles and equal gaps; else free, in line with what stands there.
 */
export function placePiece(derived: DerivedFloor, it: Standing, at: Point, how: Placing): Placed {
  const { reach, others } = how;
  const under = reach > 0 ? standsOn(it, at, others) : null;
  if (under) return onPiece(under, at, how);
  const seat = reach > 0 ? atTable(it, at, how) : null;
  if (seat) return seat;
  const face = reach > 0 && pieceKindOf(it.form).back === 'wall' ? faceBehindPiece(derived, it, at, how) : null;
  if (face) return alongFace(derived, face, it, at, how);
  return free(derived, it, at, how);
}

/** A sink or a hob goes on a base unit, what is usually at the height of a table on a table. */
function standsOn(it: Standing, at: Point, others: readonly PieceOnFloor[]): PieceOnFloor | null {
  const kind = pieceKindOf(it.form);
  const over = others.filter((on) => {
    const { x, y } = inFrame(on.frame, at);
    return x >= 0 && x <= on.piece.width && y >= 0 && y <= on.piece.depth;
  });
  const carries = (on: PieceOnFloor) =>
    kind.letIn
      ? on.kind.underWorktop === true
      : on.piece.form !== it.form && it.up >= 250 && it.up < 1150 && Math.abs(on.top - it.up) <= 350 && on.top > 250;
  return over.filter(carries).sort((a, b) => b.top - a.top)[0] ?? null;
}

function onPiece(under: PieceOnFloor, at: Point, { turn }: Placing): Placed {
  const { width, depth } = under.piece;
  const { x, y } = inFrame(under.frame, at);
  const square = Math.round((turn - turnOfFrame(under.frame)) / 90) * 90;
  // near the middle it is in the middle
  const held = (value: number) => (Math.abs(value) < 60 ? 0 : inSteps(value));
  return {
    stand: {
      kind: 'piece',
      piece: under.piece.id,
      x: held(x - width / 2),
      y: held(y - depth / 2),
      turn: pieceKindOf(under.piece.form).underWorktop ? 0 : ((square % 360) + 360) % 360,
    },
    guides: [],
  };
}
