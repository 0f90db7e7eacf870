import type { DerivedFloor, WallFace } from '../derived';
import type { Mark } from '../drawing/marks';
import { type Point, alongOf, dot, offOf } from '../geometry';
import { type Collection, type Piece } from '../plan/plan';
import { rectangle } from './form';
import { type PieceOnFloor, piecesOn } from './on-floor';
import { pieceFront } from './sign';

/** What stands no farther from a wall is seen before it, mm. */
const BEFORE = 150;

/** What stands at a wall, as one sees it from inside the room: x along the wall from its left end, up negative. The nearest is painted last. */
export function elevationOfPieces(face: WallFace, floor: DerivedFloor, pieces: Collection<Piece>): readonly Mark[] {
  const found = piecesOn(pieces, floor)
    .map((on) => ({
      on,
      off: on.ring.map((p) => offOf(face.course, p)),
      along: on.ring.map((p) => alongOf(face.course, p)),
    }))
    .filter(({ on, off, along }) => {
      const near = Math.min(...off);
      return (
        near > -100 && near < BEFORE + on.piece.gap && Math.max(...along) > 1 && Math.min(...along) < face.length - 1
      );
    })
    .sort((a, b) => Math.max(...a.off) - Math.max(...b.off));
  return found.flatMap(({ on, along }) => marksOf(on, face, along));
}

function marksOf(on: PieceOnFloor, face: WallFace, along: readonly number[]): readonly Mark[] {
  const [from, to] = [Math.min(...along), Math.max(...along)];
  const key = `piece ${on.piece.id} seen`;
  // with its side to whoever looks it is a box
  if (dot(on.frame.d, face.d) < 0.99)
    return [
      {
        kind: 'path',
        role: 'piece.form',
        key,
        rings: [rectangle(from, -on.top, to - from, on.top - on.bottom)],
        closed: true,
      },
    ];
  const placed = <P extends Point>(p: P): P => ({ ...p, x: p.x + from, y: p.y - on.bottom - heightOf(on) });
  return pieceFront(on.piece).map((mark) =>
    mark.kind === 'path' ? { ...mark, rings: mark.rings.map((ring) => ring.map(placed)) } : mark,
  );
}

/** With what stands up from it, as a tap from a sink. */
const heightOf = ({ piece }: PieceOnFloor): number =>
  Math.max(
    piece.height,
    ...pieceFront(piece).flatMap((mark) =>
      mark.kind === 'path' ? mark.rings.flatMap((ring) => ring.map(({ y }) => y)) : [],
    ),
  );
