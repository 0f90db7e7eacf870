import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { type RootState, useAppDispatch } from '../../store/store';
import { addOpening, backOut, enter, fitAll, flip, nudge, remove, stepWall, takeTool } from './commands';
import { planActions } from './plan-slice';
import { viewActions } from './view-slice';

/** How far the arrow keys move the sheet, px. */
const STEP = 60;

/** Every action from the keyboard. What is typed while a field waits goes to the number pad. */
export function useShortcuts(): void {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (target && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      const { pad, selection } = store.getState().plan;
      const action = shortcut(
        event,
        pad.field !== null && /^[\d.,'"/+ ′″]$/.test(event.key),
        selection.kind === 'opening',
      );
      if (!action) return;
      // Enter and space on a focused button press the button, unless a length is being typed
      const onButton = target?.getAttribute('role') === 'button' || target?.tagName === 'BUTTON';
      if (onButton && (event.key === ' ' || event.key === 'Enter') && pad.text === '') return;
      event.preventDefault();
      event.stopPropagation();
      action();
    };
    // before the focused button sees the key: what is typed belongs to the number pad
    globalThis.addEventListener('keydown', onKey, true);
    return () => globalThis.removeEventListener('keydown', onKey, true);

    function shortcut(event: KeyboardEvent, types: boolean, onOpening: boolean): (() => void) | null {
      const { key } = event;
      const pan = (x: number, y: number) => () => dispatch(viewActions.panned({ x, y }));
      if (event.ctrlKey || event.metaKey) {
        if (key.toLowerCase() === 'z')
          return () => dispatch(event.shiftKey ? planActions.redone() : planActions.undone());
        if (key.toLowerCase() === 'y') return () => dispatch(planActions.redone());
        return null;
      }
      if (types) return () => dispatch(planActions.typed(store.getState().plan.pad.text + key));
      const far = event.shiftKey ? 100 : event.altKey ? 1 : 10;
      switch (key) {
        case 'Enter':
          return () => dispatch(enter);
        case 'Backspace':
          return () => dispatch(planActions.typed(store.getState().plan.pad.text.slice(0, -1)));
        case 'Delete':
          return () => dispatch(remove);
        case 'Escape':
          // while something is dragged it means: let go of it, which the sheet does itself
          return store.getState().plan.preview ? null : () => dispatch(backOut);
        case 'ArrowLeft':
          return onOpening ? () => dispatch(nudge(-far)) : pan(STEP, 0);
        case 'ArrowRight':
          return onOpening ? () => dispatch(nudge(far)) : pan(-STEP, 0);
        case 'ArrowUp':
          return pan(0, STEP);
        case 'ArrowDown':
          return pan(0, -STEP);
        case '+':
        case '=':
          return () => dispatch(viewActions.zoomed({ factor: 1.25 }));
        case '-':
        case '−':
          return () => dispatch(viewActions.zoomed({ factor: 1 / 1.25 }));
        default:
          break;
      }
      // after a number these letters are units: m, cm, mm, ft, in
      if (store.getState().plan.pad.text !== '' && /^[mcftin]$/i.test(key)) {
        return () => dispatch(planActions.typed(store.getState().plan.pad.text + key));
      }
      switch (key.toLowerCase()) {
        case 'c':
          return () => dispatch(takeTool('choose'));
        case 'r':
          return () => dispatch(takeTool('room'));
        case 'f':
          return () => dispatch(fitAll);
        case 'n':
          return () => dispatch(stepWall(event.shiftKey ? -1 : 1));
        case 'x':
          return () => dispatch(planActions.endSwapped());
        case 'd':
          return () => dispatch(addOpening('door'));
        case 'w':
          return () => dispatch(addOpening('window'));
        case 'h':
          return () => dispatch(flip('hinge'));
        case 's':
          return () => dispatch(flip('swing'));
        default:
          return null;
      }
    }
  }, [dispatch, store]);
}

/** The keys, for showing on a wide screen. */
export const KEYS: readonly (readonly [string, string])[] = [
  ['C / R', 'choose, draw room'],
  ['D / W', 'door, window on the wall'],
  ['N', 'next wall'],
  ['X', 'other corner moves'],
  ['H / S', 'flip hinge, swing'],
  ['← →', 'move opening or sheet'],
  ['+ − F', 'zoom, fit'],
  ['Esc', 'one step back'],
];
