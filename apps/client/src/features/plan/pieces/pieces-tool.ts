import { lent } from '../later/lent';
import { type Bench, type Pointer, type Tool } from '../tools/tool';
import { pieceChosen, pieceDrag, pieceUnder } from './holding';
import { putDownAt } from './in-hand';
import { type Drawn, drawnFrom } from './drawn';
import { isNewWall } from './new-wall';
import type { PieceDrag } from './pieces-room';

const { isTap, planActions, store } = lent();

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'pressed'; readonly from: Pointer; readonly piece: string | null }
  | { readonly kind: 'drawing'; readonly drawn: Drawn }
  | { readonly kind: 'panning'; readonly px: Pointer['px'] }
  | { readonly kind: 'dragging'; readonly drag: PieceDrag; readonly seed: string };

/**
 * Puts pieces down and moves them: a tap puts down the kind in hand, or chooses the piece that is there; a drag takes along a piece, chosen or not, else the sheet.
 * idle → pressed → dragging, drawing or panning → idle
 */
export function piecesTool(bench: Bench): Tool {
  let state: State = { kind: 'idle' };

  const tap = (pointer: Pointer, piece: string | null) => {
    const { form, adding } = bench.choices().piece;
    // a new wall is drawn, not tapped
    if (isNewWall(form)) return;
    if (piece && (!form || adding)) bench.select(pieceChosen(bench, piece));
    else if (form) {
      // in hand it is no longer: the next tap is for what was put down
      if (putDownAt(bench, form, pointer.at, Math.max(pointer.reach, 1)))
        store.dispatch(planActions.choicesMade({ piece: { form: null, adding: false } }));
    } else if (piece) bench.select(pieceChosen(bench, piece));
    else bench.select({ kind: 'nothing' });
  };

  return {
    get busy() {
      return state.kind === 'dragging' || state.kind === 'drawing';
    },
    down(pointer) {
      state = { kind: 'pressed', from: pointer, piece: pieceUnder(bench, pointer) };
    },
    move(pointer) {
      if (state.kind === 'pressed') {
        const { from, piece } = state;
        if (isTap(from.px, pointer.px)) return;
        const { form } = bench.choices().piece;
        const drawn = drawnFrom(bench, form, from, pointer);
        if (drawn) {
          state = { kind: 'drawing', drawn };
          return;
        }
        let drag = pieceDrag(bench, from);
        if (!drag && piece) {
          bench.select(pieceChosen(bench, piece));
          drag = pieceDrag(bench, from);
        }
        state = drag ? { kind: 'dragging', drag, seed: bench.seed() } : { kind: 'panning', px: from.px };
      }
      if (state.kind === 'panning') {
        bench.pan(pointer.px.x - state.px.x, pointer.px.y - state.px.y);
        state = { kind: 'panning', px: pointer.px };
      } else if (state.kind === 'drawing') {
        bench.lasso(state.drawn.outline(pointer));
      } else if (state.kind === 'dragging') bench.preview(state.drag(pointer), state.seed);
    },
    up(pointer) {
      const was = state;
      state = { kind: 'idle' };
      if (was.kind === 'pressed') tap(pointer, was.piece);
      else if (was.kind === 'drawing') {
        bench.lasso([]);
        if (was.drawn.keep(pointer)) store.dispatch(planActions.choicesMade({ piece: { form: null, adding: false } }));
      } else if (was.kind === 'dragging') {
        const intent = was.drag(pointer);
        if (intent) bench.commit(intent, was.seed);
        else bench.preview(null, was.seed);
        bench.guide([]);
      }
    },
    cancel() {
      if (state.kind === 'dragging') bench.preview(null, state.seed);
      bench.guide([]);
      bench.lasso([]);
      state = { kind: 'idle' };
    },
  };
}
