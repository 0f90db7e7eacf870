import { type ScheduleLine, pointAt } from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';
import { viewActions } from '../view-slice';

/** A door or window of the schedule is chosen on the plan, and in view. */
export const goToOpening =
  ({ opening, face }: ScheduleLine): Command =>
  (dispatch) => {
    dispatch(planActions.listed(null));
    if (!face) return;
    dispatch(planActions.toolChosen('choose'));
    dispatch(planActions.selected({ kind: 'opening', id: opening.id, face: face.key }));
    const on = face.openings.find((each) => each.opening.id === opening.id);
    if (on) dispatch(viewActions.shown(pointAt(face.course, (on.from + on.to) / 2)));
  };

export const goToRoom =
  (room: string): Command =>
  (dispatch) => {
    dispatch(planActions.listed(null));
    dispatch(planActions.selected({ kind: 'room', id: room }));
  };
