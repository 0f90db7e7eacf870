import { type ScheduleLine, pointAt } from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { downloadWorkbook } from '../downloads';
import { planActions } from '../plan-slice';
import { selectFloor } from '../selectors';
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

/** The schedule and the glazing as a workbook; the library for it is fetched when it is first wanted. */
export const workbook: Command = (dispatch, getState) => {
  const floor = selectFloor(getState());
  if (!floor) return;
  downloadWorkbook(floor).catch(() => {
    dispatch(planActions.said({ text: 'The workbook could not be made. Try the CSV instead.', tone: 'refused' }));
  });
};
