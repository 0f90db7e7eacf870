import { lastFor } from '../memory';
import { partsOf } from '../pieces/body';
import { type PieceOnFloor, onSheet } from '../pieces/on-floor';
import { prism } from './columns';
import { type Mesh, together } from './mesh';
import { surfaceId } from '../finishes/surface';

const lastPiece = lastFor<PieceOnFloor['piece'], Mesh>();

/** A piece where it stands, part by part. Heights over the floor. */
export const pieceRaised = (on: PieceOnFloor): Mesh => {
  const { piece, frame, bottom } = on;
  return lastPiece(piece, [frame.at.x, frame.at.y, frame.d.x, frame.d.y, bottom], () =>
    together(
      partsOf(piece).map(({ outline, from, to, stuff }) =>
        prism(
          [outline.map(({ x, y, bulge }) => ({ ...onSheet(frame, x, y), ...(bulge ? { bulge } : {}) }))],
          bottom + from,
          bottom + to,
          surfaceId('piece', piece.id, stuff),
        ),
      ),
    ),
  );
};
