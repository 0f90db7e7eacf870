import type { DerivedFloor, Plan } from '@velvet-tape/core';
import type { PieceOnFloor } from '@velvet-tape/core/pieces';
import { laterRooms } from '../../../core-later/to-come';
import type { RootState } from '../../../store/store';
import { lent } from '../later/lent';
import type { Of } from '../chosen/chosen-kind';

const { selectFloor, selectPieces, selectShownFloor, selectShownPieces } = lent();

/** The pieces of a floor where they stand. */
export const standing = (pieces: Plan['pieces'], floor: DerivedFloor): readonly PieceOnFloor[] =>
  laterRooms().piecesOn(pieces, floor);

/** Those of the plan as it is, and as it is shown. */
export const standingNow = (state: RootState): readonly PieceOnFloor[] => {
  const floor = selectFloor(state);
  return floor ? standing(selectPieces(state), floor) : [];
};
export const standingShown = (state: RootState): readonly PieceOnFloor[] => {
  const floor = selectShownFloor(state);
  return floor ? standing(selectShownPieces(state), floor) : [];
};

/** The chosen ones that are there. */
export const chosenOf = (all: readonly PieceOnFloor[], { ids }: Of<'piece'>): PieceOnFloor[] =>
  all.filter(({ piece }) => ids.includes(piece.id));
