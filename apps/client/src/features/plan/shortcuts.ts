import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { type RootState, useAppDispatch } from '../../store/store';
import { nudge, remove } from './chosen/kinds';
import { backOut, enter, fitAll, stepWall, swapEnds, takeTool } from './commands';
import { addOpening, flip } from './openings/commands';
import { typedBehind } from './foot/keys';
import { planActions } from './plan-slice';
import type { ToolName } from './plan-state';
import { nudgeStep } from './rooms-commands';
import { startHere } from './sketching/commands';
import { beginFurther, followOn } from './sketching/follow';
import { arrowOn, backspaceOn } from './sketching/hands';
import { TOOL_WORDS } from './tool-names';
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
      // a field with nothing in it has nothing to take back: then that is meant for the plan
      const takesBack =
        (event.ctrlKey || event.metaKey) &&
        /^[zy]$/i.test(event.key) &&
        (target as HTMLInputElement | null)?.value === '';
      if (target && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) && !takesBack) return;
      const { pad } = store.getState().plan;
      // behind the first sign of a number nothing typed is taken for something else, so nothing is dropped
      const types = pad.text === '' ? /^[\d.,'"/+ ′″´°½¼¾−-]$/ : /^.$/u;
      const action = shortcut(event, pad.field !== null && types.test(event.key));
      if (!action) return;
      // Enter and space on a focused button press the button, unless a length is being typed
      const onButton = target?.closest?.(PRESSED_BY_KEYS);
      if (onButton && (event.key === ' ' || event.key === 'Enter') && pad.text === '') return;
      // one walks through the house by them
      if (target?.closest?.('[role=application]') && (ARROWS.has(event.key) || /^[+-]$/.test(event.key))) return;
      // the arrows move the edge of a panel, or go through a menu
      if (target?.closest?.('[role=separator], [role=menu]') && ARROWS.has(event.key)) return;
      event.preventDefault();
      event.stopPropagation();
      action();
    };
    // before the focused button sees the key: what is typed belongs to the number pad
    globalThis.addEventListener('keydown', onKey, true);
    return () => globalThis.removeEventListener('keydown', onKey, true);

    function shortcut(event: KeyboardEvent, types: boolean): (() => void) | null {
      const { key } = event;
      const { pad, proposal, tool } = store.getState().plan;
      const back = backspaceOn(proposal);
      if (event.ctrlKey || event.metaKey) {
        if (key.toLowerCase() === 'z')
          return () => dispatch(event.shiftKey ? planActions.redone() : planActions.undone());
        if (key.toLowerCase() === 'y') return () => dispatch(planActions.redone());
        return null;
      }
      if (types) return () => dispatch(planActions.typed(typedBehind(pad, key) + key));
      const arrow = ARROWS.get(key);
      if (arrow) return () => arrowed(arrow.x, arrow.y, event);
      switch (key) {
        case 'Enter':
          if (!proposal && DRAWS_FROM_KEYS.includes(tool)) return () => dispatch(startHere);
          return () => dispatch(enter);
        case 'Backspace':
          if (pad.text === '' && back) return () => dispatch(back);
          return () => dispatch(planActions.typed(pad.text.slice(0, -1)));
        case 'Delete':
          return () => dispatch(remove);
        case 'Escape':
          // while something is dragged it means: let go of it, which the sheet does itself
          return store.getState().plan.preview ? null : () => dispatch(backOut);
        case '+':
        case '=':
          return () => dispatch(viewActions.zoomed({ factor: 1.25 }));
        case '-':
        case '−':
          return () => dispatch(viewActions.zoomed({ factor: 1 / 1.25 }));
        default:
          break;
      }
      const taken = TOOL_KEYS.get(key.toLowerCase());
      if (taken)
        return () => {
          dispatch(takeTool(taken));
          dispatch(viewActions.crosshairShown(DRAWS_FROM_KEYS.includes(taken)));
          // Enter draws now: it is not for the button that had the focus
          if (DRAWS_FROM_KEYS.includes(taken)) (event.target as HTMLElement | null)?.blur?.();
        };
      switch (key.toLowerCase()) {
        case '?':
          return () => dispatch(planActions.listed(store.getState().plan.listing === 'keys' ? null : 'keys'));
        case 'z':
          return () => dispatch(planActions.choicesMade({ free: !store.getState().plan.choices.free }));
        case 'f':
          return () => dispatch(fitAll);
        case 'n':
          return () => dispatch(stepWall(event.shiftKey ? -1 : 1));
        case 'x':
          return () => dispatch(swapEnds);
        case 'j':
          return () => dispatch(event.shiftKey ? beginFurther : followOn);
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

    /** The leg being drawn, what is chosen, or the sheet goes this way. */
    function arrowed(x: number, y: number, event: KeyboardEvent): void {
      const { proposal, plan } = store.getState().plan;
      const own = arrowOn(proposal, x, y, event.shiftKey);
      if (own) {
        dispatch(own);
        return;
      }
      const step = nudgeStep(plan?.job.units ?? 'metric', event);
      if (!dispatch(nudge(x * step, y * step))) dispatch(viewActions.panned({ x: -x * STEP, y: -y * STEP }));
    }
  }, [dispatch, store]);
}

const ARROWS = new Map(
  Object.entries({
    ArrowLeft: { x: -1, y: 0 },
    ArrowRight: { x: 1, y: 0 },
    ArrowUp: { x: 0, y: -1 },
    ArrowDown: { x: 0, y: 1 },
  }),
);

/** What Enter and space press when it has the focus. */
const PRESSED_BY_KEYS = ['button', 'menuitem', 'tab', 'link', 'radio', 'switch']
  .map((role) => `[role=${role}]`)
  .concat('button', 'a')
  .join();

/** Tools that draw without a pointer: Enter begins, arrows and lengths go on. */
const DRAWS_FROM_KEYS: readonly ToolName[] = ['box', 'corners', 'shape', 'stairs'];

const TOOL_KEYS = new Map(
  (Object.keys(TOOL_WORDS) as ToolName[]).map((name) => [TOOL_WORDS[name].key.toLowerCase(), name] as const),
);

/** The keys, for showing on a wide screen. */
export const KEYS: readonly (readonly [string, string])[] = [
  ['Enter', 'draw from the middle, keep'],
  ['← ↑ → ↓', 'next leg or turn, move what is chosen, nudge a mark'],
  ['⇧ / Alt', '× 10 / 1 mm; Alt: no snapping'],
  ['Z', 'snapping on and off'],
  ['D / W', 'door, window on the wall'],
  ['N', 'next wall'],
  ['J / ⇧ J', 'along the floor below by a corner; begin a corner further on'],
  ['X', 'other corner moves'],
  ['H / S', 'flip hinge, swing'],
  ['+ − F', 'zoom, fit'],
  ['Esc', 'one step back'],
  ['Ctrl Z / Y', 'undo, redo'],
  ['Right button', 'what a finger that rests does: takes hold of the wall under it, parts the chosen one'],
  ['Wheel', 'zoom; pressed: moves the sheet'],
  ['?', 'these keys'],
];
