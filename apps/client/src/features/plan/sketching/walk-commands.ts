import { type Point, ringsBox } from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';
import { houseBox } from '../selectors';
import { viewActions } from '../view-slice';
import { keptWalk } from './kept-walk';
import { type Turn, type WalkProposal, cornersOfWalk, endOfWalk, newWalk, withTurn, withoutLine } from './walk';

/** How far beside the house a new room is walked, mm: it is moved to its place when it is known. */
const BESIDE = 1500;
/** Sheet left round the walk, px. */
const MARGIN = 56;

/** A walk begins beside the house; one that was left under way goes on. */
export const startWalk: Command = (dispatch, getState) => {
  const { jobId, choices } = getState().plan;
  const kept = jobId && keptWalk(jobId);
  if (kept) {
    dispatch(walked(kept));
    return;
  }
  const box = houseBox(getState());
  const start: Point = box ? { x: Math.round(box.maxX + BESIDE), y: Math.round(box.minY) } : { x: 0, y: 0 };
  dispatch(planActions.proposed(newWalk(start, choices.round)));
};

/** The walk as it is now, and all of it in view. */
export const walked =
  (walk: WalkProposal): Command =>
  (dispatch) => {
    dispatch(planActions.proposed(walk));
    if (walk.lines.length > 0) dispatch(viewActions.fitted(viewOfWalk(walk)));
  };

/** What to show of a walk. */
export const viewOfWalk = (walk: WalkProposal) => ({ box: ringsBox([cornersOfWalk(walk)]), margin: MARGIN });

const change =
  (by: (walk: WalkProposal) => WalkProposal): Command =>
  (dispatch, getState) => {
    const { proposal } = getState().plan;
    if (proposal?.kind !== 'walk') return;
    dispatch(walked(by(proposal)));
    dispatch(planActions.fieldChosen('leg'));
  };

export const turnWalk = (turn: Turn): Command => change((walk) => withTurn(walk, turn));

/** A line is typed anew, or (null) the next one. */
export const chooseLine = (line: number | null): Command => change((walk) => ({ ...walk, line, closing: false }));

/** Takes the line away that is typed anew, else the last one. */
export const removeLine: Command = change((walk) =>
  walk.lines.length === 0 ? walk : withoutLine(walk, walk.line ?? walk.lines.length - 1),
);

export const changeWalk = (by: (walk: WalkProposal) => WalkProposal): Command => change(by);

/** The walk is to be closed: how it closes is shown first. */
export const closeWalk: Command = (dispatch, getState) => {
  const { proposal } = getState().plan;
  if (proposal?.kind !== 'walk') return;
  if (endOfWalk(proposal).kind === 'open') {
    dispatch(planActions.said({ text: 'A room needs three walls at least. Type the next one.', tone: 'refused' }));
    return;
  }
  dispatch(walked({ ...proposal, line: null, closing: true }));
  dispatch(planActions.fieldChosen(null));
};
