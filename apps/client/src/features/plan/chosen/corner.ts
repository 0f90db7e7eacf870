import { edit } from '../edit';
import { planActions } from '../plan-slice';
import { selectFloor } from '../selectors';
import type { ChosenKind, Of } from './chosen-kind';

export const cornerKind: ChosenKind<Of<'corner'>> = {
  remove:
    ({ id }) =>
    (dispatch, getState) => {
      if (dispatch(edit({ kind: 'removeCorner', floor: getState().plan.floor, corner: id })).ok)
        dispatch(planActions.selected({ kind: 'nothing' }));
    },
  nudge:
    ({ id }, dx, dy) =>
    (dispatch, getState) => {
      const at = selectFloor(getState())?.network.corners.get(id);
      const { floor } = getState().plan;
      if (at) dispatch(edit({ kind: 'moveCorner', floor, corner: id, to: { x: at.x + dx, y: at.y + dy } }));
    },
};
