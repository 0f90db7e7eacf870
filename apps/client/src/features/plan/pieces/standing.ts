import type { DerivedFloor, Plan } from '@velvet-tape/core';
import type { PieceOnFloor } from '@velvet-tape/core/pieces';
import { laterRooms } from '../../../core-later/to-come';
import type { RootState } from '../../../store/store';
import { lent } from '../later/lent';
import type { Of } from '../chosen/chosen-kind';

const { selectFloor, selectPieces, selectShownFloor, selectShownPieces } = lent();

interface Known {
  readonly pieces: Plan['pieces'];
  readonly floor: DerivedFloor;
  readonly on: readonly PieceOnFloor[];
}
/** As they are, and as they are shown. */
const HELD = 3;
let known: readonly Known[] = [];

/** The pieces of a floor where they stand; the same list for the same pieces. */
export function standing(pieces: Plan['pieces'], floor: DerivedFloor): readonly PieceOnFloor[] {
  const last = known.find((each) => each.pieces === pieces && each.floor === floor);
  if (last) return last.on;
  const on = laterRooms().piecesOn(pieces, floor);
  known = [{ pieces, floor, on }, ...known].slice(0, HELD);
  return on;
}

/** Those of the plan as it is, and as it is shown. */
export const standingNow = (state: RootState): readonly PieceOnFloor[] => {
  const floor = selectFloor(state);
  return floor ? standing(selectPieces(state), floor) : NOTHING;
};
export const standingShown = (state: RootState): readonly PieceOnFloor[] => {
  const floor = selectShownFloor(state);
  return floor ? standing(selectShownPieces(state), floor) : NOTHING;
};

const NOTHING: readonly PieceOnFloor[] = [];

/** The chosen ones that are there. */
export const chosenOf = (all: readonly PieceOnFloor[], { ids }: Of<'piece'>): PieceOnFloor[] =>
  all.filter(({ piece }) => ids.includes(piece.id));
