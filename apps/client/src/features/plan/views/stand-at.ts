import type { Point } from '@velvet-tape/core';
import { vantageAt } from '../../../core-later/to-come';
import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';
import { selectLook } from '../selectors';
import { askToStand } from './wanted';

/** From the plan into the house. */
export const standAt =
  (where: Parameters<typeof askToStand>[0]): Command =>
  (dispatch) => {
    askToStand(where);
    dispatch(planActions.listed('views'));
  };

/** Says which vantage is marked at a place of the sheet, where that is in view, and offers to look from it. */
export const offerLook =
  (at: Point, reach: number): Command =>
  (dispatch, getState) => {
    const { plan, floor } = getState().plan;
    if (!plan || selectLook(getState()).without?.has('vantages')) return;
    const vantage = vantageAt(plan.vantages, floor, at, reach);
    if (!vantage) return;
    const offer = { kind: 'look', vantage: vantage.id } as const;
    dispatch(planActions.said({ text: `Vantage: ${vantage.name}`, tone: 'said', offer }));
  };
