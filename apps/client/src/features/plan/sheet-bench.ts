import type { AppDispatch, RootState } from '../../store/store';
import { randomSeed } from '../../store/seed';
import { edit, preview } from './edit';
import { planActions } from './plan-slice';
import { selectOtherFloor } from './floors/other-floor';
import { selectFloor, selectOption, selectPieces } from './selectors';
import { takeSeenAt } from './underlay/find-commands';
import { seenUnderlay } from './underlay/seen';
import { selectTraced } from './underlay/selectors';
import { keepProposal, roomDrawn } from './sketching/keep';
import type { Bench } from './tools/tool';
import { offerLook } from './views/stand-at';
import { viewActions } from './view-slice';
import { LETTERING, letteringStep } from './viewport';

/** The workbench of the open job: what the tools do goes to the store. */
export function sheetBench(dispatch: AppDispatch, getState: () => RootState): Bench {
  let shown = '';
  return {
    floor: () => selectFloor(getState())!,
    selection: () => getState().plan.selection,
    choices: () => getState().plan.choices,
    preview: (intent, seed) => {
      // what is dragged goes in steps: between two of them there is nothing to do
      const wanted = JSON.stringify([intent, seed]);
      if (intent && wanted === shown && getState().plan.preview) return;
      shown = wanted;
      dispatch(preview(intent, seed));
    },
    commit: (intent, seed) => {
      const result = dispatch(edit(intent, seed));
      return { ok: result.ok, made: result.ok ? result.made : null };
    },
    proposal: () => getState().plan.proposal,
    propose: (proposal) => {
      if (proposal || getState().plan.proposal) dispatch(planActions.proposed(proposal));
    },
    keep: () => dispatch(keepProposal),
    select: (selection) => dispatch(planActions.selected(selection)),
    handOver: (tool) => {
      const { proposal } = getState().plan;
      dispatch(planActions.toolChosen(tool));
      dispatch(planActions.proposed(proposal));
    },
    guide: (guides) => dispatch(viewActions.guided(guides)),
    lasso: (points) => dispatch(viewActions.lassoed(points)),
    otherFloor: () => selectOtherFloor(getState()),
    traced: () => {
      const { trace } = getState().plan.choices;
      const seen = trace === 'off' ? null : seenUnderlay(selectTraced(getState()));
      return seen && trace !== 'off' ? { line: trace, seen } : null;
    },
    takeSeen: (at, reach) => dispatch(takeSeenAt(at, reach)),
    ask: (at) => dispatch(planActions.pointed(at)),
    offerLook: (at, reach) => dispatch(offerLook(at, reach)),
    refuse: (text) => dispatch(planActions.said({ text, tone: 'refused' })),
    lettering: () => LETTERING / letteringStep(getState().view.view.scale),
    pieces: () => selectPieces(getState()),
    option: () => selectOption(getState()),
    looks: () => getState().plan.plan!,
    pan: (dx, dy) => dispatch(viewActions.panned({ x: dx, y: dy })),
    drawn: (id) => dispatch(roomDrawn(id)),
    seed: () => randomSeed(),
  };
}
