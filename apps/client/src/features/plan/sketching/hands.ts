import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';
import type { ToolName } from '../plan-state';
import { selectProposal } from '../selectors';
import { forgetMark, keepMarks, nudgeMark } from '../underlay/commands';
import { withDistance } from '../underlay/marks';
import { aim, backOneCorner, closeOutline } from './commands';
import { dropProposal, keepProposal } from './keep';
import { type Named, type Proposal, fieldsOf } from './proposal';
import type { ProposalField } from './proposal-kind';
import { TURNS } from './walk';
import { chooseLine, closeWalk, removeLine, turnWalk, walked } from './walk-commands';

/** What Enter, Backspace, Escape and the arrows do to one kind of proposal, where it is not what they do to most. */
interface Hands<P> {
  /** A size was typed and holds; null: the next one is asked for, as always. */
  readonly typed?: (proposal: P, field: ProposalField, text: string) => Command | null;
  /** Why a size can't be taken yet; what is typed stays. */
  readonly wants?: (proposal: P, field: ProposalField) => string | null;
  /** Which field is asked for next. */
  readonly next?: ProposalField;
  /** Enter with nothing typed; else it is kept. */
  readonly finish?: (proposal: P, tool: ToolName) => Command | null;
  readonly backspace?: Command;
  /** One step back that is not yet to drop it. */
  readonly escape?: (proposal: P, tool: ToolName) => Command | null;
  readonly arrow?: (proposal: P, x: number, y: number, far: boolean) => Command | null;
}

const keepTyped =
  (field: ProposalField): Command =>
  (dispatch) => {
    dispatch(planActions.fieldChosen(field));
    dispatch(keepProposal);
  };

const HANDS: { readonly [K in Proposal['kind']]: Hands<Named<K>> } = {
  box: { typed: ({ width }, field) => (field === 'depth' && width ? keepTyped('depth') : null) },
  path: {
    // what was typed for a leg is not typed over: the next one wants a way first, or the way after
    wants: ({ points, lengths, towards }, field) =>
      field === 'leg' && !towards && (points.length < 2 || lengths.at(-1))
        ? 'Which way does it go? Press an arrow, or draw it.'
        : null,
    next: 'leg',
    finish: (_, tool) => (tool === 'corners' ? closeOutline : null),
    backspace: backOneCorner,
    escape: (_, tool) => (tool === 'corners' ? backOneCorner : null),
    arrow: (_, x, y) => aim({ x, y }),
  },
  loop: {},
  walk: {
    typed: (proposal, _, text) => (dispatch) => {
      dispatch(walked(proposal));
      dispatch(planActions.readTaken(text));
      dispatch(planActions.fieldChosen('leg'));
    },
    finish: ({ closing }) => (closing ? null : closeWalk),
    backspace: removeLine,
    escape: ({ closing, line }) => (closing || line !== null ? chooseLine(null) : null),
    arrow: (_, x, y) => {
      if (y > 0) return () => undefined;
      return turnWalk(x < 0 ? TURNS.left : x > 0 ? TURNS.right : TURNS['straight on']);
    },
  },
  shape: {},
  bump: {},
  reading: { typed: () => keepTyped('reading') },
  height: { typed: () => keepTyped('reading') },
  roof: {},
  section: { finish: () => dropProposal },
  marks: {
    typed: (proposal, _, text) =>
      proposal.task !== 'scale'
        ? null
        : (dispatch) => {
            dispatch(planActions.readTaken(text));
            dispatch(planActions.proposed(withDistance(proposal)));
          },
    finish: () => keepMarks,
    backspace: forgetMark,
    arrow: ({ marks }, x, y, far) => (marks.length === 0 ? null : nudgeMark(x * (far ? 10 : 1), y * (far ? 10 : 1))),
  },
};

const handsOf = (proposal: Proposal): Hands<Proposal> => HANDS[proposal.kind] as unknown as Hands<Proposal>;

/** Enter with a size typed: it holds, and the next size is asked for; after the last one of a box it is kept. */
export const takeTyped: Command = (dispatch, getState) => {
  const { proposal: before, pad } = getState().plan;
  const proposal = selectProposal(getState());
  if (!before || !proposal || !pad.field) return;
  const { typed, next, wants } = handsOf(proposal);
  const wanted = wants?.(before, pad.field as ProposalField);
  if (wanted) {
    dispatch(planActions.said({ text: wanted, tone: 'said' }));
    return;
  }
  dispatch(planActions.proposed(proposal));
  const text = pad.text.trim();
  const own = typed?.(proposal, pad.field as ProposalField, text);
  if (own) {
    dispatch(own);
    return;
  }
  const fields = fieldsOf(proposal);
  const at = fields.findIndex((field) => field === pad.field);
  dispatch(planActions.readTaken(text));
  dispatch(planActions.fieldChosen(next ?? fields[(at + 1) % fields.length]!));
};

/** Enter with nothing typed: an outline of corners is closed, anything else is kept as it is. */
export const finishProposal: Command = (dispatch, getState) => {
  const { proposal, tool } = getState().plan;
  dispatch((proposal && handsOf(proposal).finish?.(proposal, tool)) ?? keepProposal);
};

/** Backspace with nothing typed; null where it means nothing. */
export const backspaceOn = (proposal: Proposal | null): Command | null =>
  (proposal && handsOf(proposal).backspace) ?? null;

/** Escape: one step back, else it is dropped. */
export const escapeFrom = (proposal: Proposal, tool: ToolName): Command =>
  handsOf(proposal).escape?.(proposal, tool) ?? dropProposal;

/** An arrow key; null where it is not for what is drawn. */
export const arrowOn = (proposal: Proposal | null, x: number, y: number, far: boolean): Command | null =>
  (proposal && handsOf(proposal).arrow?.(proposal, x, y, far)) ?? null;
