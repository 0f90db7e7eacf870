import type { PieceOnFloor } from '@velvet-tape/core/pieces';
import { laterRooms } from '../../../core-later/to-come';
import type { Command } from '../../../store/store';
import { lent } from '../later/lent';

const { goToFloor, planActions, viewActions } = lent();

/** Chooses a piece on the plan, and shows where it stands. */
export const goToPiece =
  (on: PieceOnFloor): Command =>
  (dispatch, getState) => {
    if (getState().plan.floor !== on.piece.floor) dispatch(goToFloor(on.piece.floor));
    dispatch(planActions.listed(null));
    dispatch(planActions.selected({ kind: 'piece', ids: [on.piece.id] }));
    dispatch(viewActions.shown(laterRooms().middleOfPiece(on)));
  };
