import { type Id, type Intent, drawnOver, formatLength } from '@velvet-tape/core';
import type { AppDispatch, Command, RootState } from '../../../store/store';
import { edit } from '../edit';
import { sayMisclosure } from '../readings/say';
import { planActions } from '../plan-slice';
import { selectFloor, selectProposal, selectProposalIntent } from '../selectors';
import { timed } from '../timed';
import { keepWalk } from './kept-walk';
import { type Named, type Proposal, kindOf } from './proposal';

/** A room was drawn: the next thing is its name. */
export const roomDrawn =
  (id: string): Command =>
  (dispatch) => {
    dispatch(planActions.toolChosen('choose'));
    dispatch(planActions.selected({ kind: 'room', id }));
    dispatch(planActions.naming(id));
  };

/** What comes of it when one is kept that made no room, by kind. */
const KEPT: { readonly [K in Proposal['kind']]?: (proposal: Named<K>, made: Id | null) => Command } = {
  reading:
    ({ place, asked }) =>
    (dispatch) => {
      if (asked) dispatch(planActions.toolChosen('choose'));
      dispatch(sayMisclosure(place));
    },
  bump: (_, made) => (dispatch) => {
    dispatch(planActions.toolChosen('choose'));
    if (made) dispatch(planActions.selected({ kind: 'solid', id: made }));
  },
};

/** What is asked of an outline that would cut up rooms that are there; null where it would not. */
function overInWords(state: RootState, intent: Intent): string | null {
  const floor = selectFloor(state);
  const outline =
    intent.kind === 'drawBox'
      ? [intent.a, { x: intent.b.x, y: intent.a.y }, intent.b, { x: intent.a.x, y: intent.b.y }]
      : intent.kind === 'drawPath' && intent.closed
        ? intent.points
        : null;
  if (!floor || !outline) return null;
  const { units, usual } = floor.plan.job;
  const [first, ...others] = drawnOver(floor, outline, usual.externalThickness);
  if (!first) return null;
  const rooms = [first, ...others].map(({ room }) => room.room.name || 'a room without a name').join(' and ');
  return `This lies ${formatLength(first.by, units)} over ${rooms} and would cut it up. Keep draws it so; drag it elsewhere, or drop it, if it was not meant.`;
}

/** Keeps what is drawn; false when that is refused, with the reason said and nothing lost. */
export const keepProposal = (dispatch: AppDispatch, getState: () => RootState): boolean => {
  const proposal = selectProposal(getState());
  const intent = selectProposalIntent(getState());
  const lacks = proposal && kindOf(proposal).lacks?.(proposal);
  if (lacks) dispatch(planActions.said({ text: lacks, tone: 'said' }));
  if (!proposal || !intent) return false;
  const over = getState().plan.pad.asked ? null : overInWords(getState(), intent);
  if (over) {
    dispatch(planActions.asked());
    dispatch(planActions.said({ text: over, tone: 'said' }));
    return false;
  }
  const result = dispatch(edit(timed(intent)));
  if (!result.ok) return false;
  const { notice, tool } = getState().plan;
  if (proposal.kind !== 'shape' && 'read' in proposal && proposal.read)
    dispatch(planActions.readTaken(proposal.read.text));
  if (proposal.kind === 'walk') keepWalk(getState().plan.jobId!, null);
  dispatch(planActions.proposed(null));
  const kept = KEPT[proposal.kind] as ((proposal: Proposal, made: Id | null) => Command) | undefined;
  const rooms = selectFloor(getState())!.rooms;
  if (result.made && rooms.some((room) => room.room.id === result.made)) dispatch(roomDrawn(result.made));
  else if (kept) dispatch(kept(proposal, result.made));
  else if (tool === 'divide') dispatch(planActions.toolChosen('divide'));
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
