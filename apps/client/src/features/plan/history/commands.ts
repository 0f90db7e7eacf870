import type { Plan } from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';

/** The plan as it was becomes the plan as it is: one more step, which can be undone. */
export const bringBack =
  (plan: Plan, when: string): Command =>
  (dispatch, getState) => {
    const floor = getState().plan.floor;
    dispatch(planActions.listed(null));
    dispatch(planActions.selected({ kind: 'nothing' }));
    dispatch(planActions.edited({ plan, name: `what was brought back from ${when}` }));
    if (!Object.hasOwn(plan.floors, floor)) dispatch(planActions.floorChosen(Object.keys(plan.floors)[0]!));
    dispatch(planActions.said({ text: `The plan is as it was ${when}. Undo takes that back.`, tone: 'said' }));
  };
