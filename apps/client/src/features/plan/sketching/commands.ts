import { type Point, snapPoint } from '@velvet-tape/core';
import type { AppDispatch, Command, RootState } from '../../../store/store';
import { edit } from '../edit';
import { sayMisclosure } from '../readings/say';
import { planActions } from '../plan-slice';
import { selectFloor, selectProposal } from '../selectors';
import { keepMarks } from '../underlay/commands';
import { withDistance } from '../underlay/marks';
import { selectTracing } from '../underlay/seen';
import { onPicture, tracedIntent } from '../underlay/trace';
import { viewActions } from '../view-slice';
import { toHouse } from '../viewport';
import { keepWalk } from './kept-walk';
import { closeWalk, walked } from './walk-commands';
import { fieldsOf, heading, intentOf, newPath, pathIntent, withCorner, withoutLastCorner } from './proposal';

/** A room was drawn: the next thing is its name. */
export const roomDrawn =
  (id: string): Command =>
  (dispatch) => {
    dispatch(planActions.toolChosen('choose'));
    dispatch(planActions.selected({ kind: 'room', id }));
    dispatch(planActions.naming(id));
  };

/** How far off a line of the picture a loop may be drawn to be on it, px. */
const REACH_OF_LOOP = 14;

/** Keeps what is drawn; false when that is refused, with the reason said and nothing lost. */
export const keepProposal = (dispatch: AppDispatch, getState: () => RootState): boolean => {
  const proposal = selectProposal(getState());
  const floor = selectFloor(getState());
  if (!proposal || !floor) return false;
  const drawn = intentOf(proposal, floor);
  if (!drawn) return false;
  const tracing = selectTracing(getState());
  const freely = proposal.kind === 'loop' || proposal.kind === 'shape';
  const reach = REACH_OF_LOOP / getState().view.view.scale;
  const intent = tracedIntent(freely ? onPicture(drawn, tracing, reach) : drawn, tracing);
  const result = dispatch(edit(intent));
  if (!result.ok) return false;
  const { notice, tool } = getState().plan;
  if ((proposal.kind === 'reading' || proposal.kind === 'height') && proposal.read)
    dispatch(planActions.readTaken(proposal.read.text));
  if (proposal.kind === 'walk') keepWalk(getState().plan.jobId!, null);
  dispatch(planActions.proposed(null));
  const rooms = selectFloor(getState())!.rooms;
  if (result.made && rooms.some((room) => room.room.id === result.made)) dispatch(roomDrawn(result.made));
  else if (proposal.kind === 'reading') dispatch(sayMisclosure(proposal.place));
  else if (proposal.kind === 'bump') {
    dispatch(planActions.toolChosen('choose'));
    if (result.made) dispatch(planActions.selected({ kind: 'solid', id: result.made }));
  } else if (tool === 'divide') dispatch(planActions.toolChosen('divide'));
  if (notice && !getState().plan.notice) dispatch(planActions.said(notice));
  return true;
};

/** Drops what is drawn. A walk can be taken up again. */
export const dropProposal: Command = (dispatch, getState) => {
  const { proposal, jobId } = getState().plan;
  dispatch(planActions.proposed(null));
  if (proposal?.kind !== 'walk') return;
  keepWalk(jobId!, null);
  dispatch(planActions.toolChosen('choose'));
  if (proposal.lines.length === 0) return;
  const text = `The walk of ${proposal.lines.length} walls was dropped.`;
  dispatch(planActions.said({ text, tone: 'said', offer: { kind: 'walk', walk: proposal } }));
};

/** Enter with a size typed: it holds, and the next size is asked for; after the last one of a box it is kept. */
export const takeTyped: Command = (dispatch, getState) => {
  const { proposal: before, pad } = getState().plan;
  const proposal = selectProposal(getState());
  if (!before || !proposal || !pad.field) return;
  dispatch(planActions.proposed(proposal));
  const fields = fieldsOf(proposal);
  const at = fields.findIndex((field) => field === pad.field);
  if (proposal.kind === 'box' && pad.field === 'depth' && proposal.width) {
    dispatch(planActions.fieldChosen('depth'));
    dispatch(keepProposal);
    return;
  }
  if (proposal.kind === 'reading' || proposal.kind === 'height') {
    dispatch(planActions.fieldChosen('reading'));
    dispatch(keepProposal);
    return;
  }
  if (proposal.kind === 'walk') dispatch(walked(proposal));
  if (proposal.kind === 'marks' && proposal.task === 'scale') {
    dispatch(planActions.readTaken(pad.text.trim()));
    dispatch(planActions.proposed(withDistance(proposal)));
    return;
  }
  const next = proposal.kind === 'path' || proposal.kind === 'walk' ? 'leg' : fields[(at + 1) % fields.length]!;
  dispatch(planActions.readTaken(pad.text.trim()));
  dispatch(planActions.fieldChosen(next));
};

/** Enter with nothing typed: an outline of corners is closed, anything else is kept as it is. */
export const finishProposal: Command = (dispatch, getState) => {
  const { proposal, tool } = getState().plan;
  if (proposal?.kind === 'path' && tool === 'corners') dispatch(closeOutline);
  else if (proposal?.kind === 'walk' && !proposal.closing) dispatch(closeWalk);
  else if (proposal?.kind === 'marks') dispatch(keepMarks);
  else dispatch(keepProposal);
};

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
