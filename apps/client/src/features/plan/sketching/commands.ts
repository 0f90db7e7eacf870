import { type Point, snapPoint } from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { edit } from '../edit';
import { planActions } from '../plan-slice';
import { selectFloor } from '../selectors';
import { viewActions } from '../view-slice';
import { toHouse } from '../viewport';
import { keepProposal } from './keep';
import { heading, newPath, pathIntent, withCorner, withoutLastCorner } from './path';

/** The last corner goes back to the first. */
export const closeOutline: Command = (dispatch, getState) => {
  const { proposal } = getState().plan;
  if (proposal?.kind !== 'path') return;
  const { towards } = proposal;
  const path = { ...proposal, towards: null };
  if (!pathIntent(path, '', true)) {
    dispatch(planActions.said({ text: 'Three corners at least make a room.', tone: 'refused' }));
    return;
  }
  dispatch(planActions.proposed(withCorner(path, path.points[0]!)));
  if (!dispatch(keepProposal)) dispatch(planActions.proposed({ ...path, towards }));
};

/** The outline stays open; its ends are marked on the plan. */
export const leaveOpen: Command = (dispatch, getState) => {
  const { proposal } = getState().plan;
  if (proposal?.kind !== 'path') return;
  dispatch(planActions.proposed({ ...proposal, towards: null }));
  dispatch(keepProposal);
};

export const backOneCorner: Command = (dispatch, getState) => {
  const { proposal } = getState().plan;
  if (proposal?.kind !== 'path') return;
  if (proposal.towards && proposal.points.length > 1) dispatch(planActions.proposed({ ...proposal, towards: null }));
  else if (proposal.points.length > 1) dispatch(planActions.proposed(withoutLastCorner(proposal)));
  else dispatch(planActions.proposed(null));
};

/** The leg to come goes right, left, up or down the sheet. */
export const aim =
  (d: Point): Command =>
  (dispatch, getState) => {
    const { proposal } = getState().plan;
    if (proposal?.kind === 'path') dispatch(planActions.proposed(heading(proposal, d)));
  };

/** Drawing by keyboard begins in the middle of the sheet, caught by what is near. */
export const startHere: Command = (dispatch, getState) => {
  const floor = selectFloor(getState());
  const { view, width, height } = getState().view;
  const { tool, choices } = getState().plan;
  if (!floor) return;
  const { x, y } = snapPoint(floor, toHouse(view, { x: width / 2, y: height / 2 }), 12 / view.scale);
  const at = { x: Math.round(x), y: Math.round(y) };
  if (tool === 'corners')
    dispatch(planActions.proposed(heading(withCorner(newPath(choices.chalk), at), { x: 1, y: 0 })));
  if (tool === 'box')
    dispatch(
      planActions.proposed({ kind: 'box', a: at, b: { x: at.x + 3000, y: at.y + 3000 }, width: null, depth: null }),
    );
  if (tool === 'shape')
    dispatch(
      planActions.proposed({
        kind: 'shape',
        shape: choices.shape,
        at,
        width: 4800,
        depth: 3600,
        turn: 0,
        mirror: false,
      }),
    );
  if (tool === 'stairs') {
    const done = dispatch(edit({ kind: 'addStairs', floor: floor.floor, path: [at], ...choices.stairs }));
    if (done.ok && done.made) {
      dispatch(planActions.toolChosen('choose'));
      dispatch(planActions.selected({ kind: 'stairs', id: done.made }));
    }
  }
  dispatch(viewActions.crosshairShown(false));
};

/** An open end is closed, straight or squared. */
export const closeEnd =
  (corner: string, how: 'straight' | 'squared'): Command =>
  (dispatch, getState) => {
    dispatch(edit({ kind: 'closeEnd', floor: getState().plan.floor, corner, how }));
  };

/** A shape or a column not yet kept is turned by a quarter, or mirrored. */
export const turnShape: Command = (dispatch, getState) => {
  const { proposal } = getState().plan;
  if (proposal?.kind === 'shape') dispatch(planActions.proposed({ ...proposal, turn: (proposal.turn + 90) % 360 }));
};
export const mirrorShape: Command = (dispatch, getState) => {
  const { proposal } = getState().plan;
  if (proposal?.kind === 'shape') dispatch(planActions.proposed({ ...proposal, mirror: !proposal.mirror }));
};
export const lessStraight: Command = (dispatch, getState) => {
  const { proposal } = getState().plan;
  if (proposal?.kind !== 'loop') return;
  const straightness = proposal.straightness === 'straight' ? 'less straight' : 'straight';
  dispatch(planActions.proposed({ ...proposal, straightness }));
};
