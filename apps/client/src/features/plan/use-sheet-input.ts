import { type Point, alongOf, faceAt } from '@velvet-tape/core';
import { useCallback, useEffect } from 'react';
import type { View } from 'react-native';
import { useStore } from 'react-redux';
import { type RootState, useAppDispatch } from '../../store/store';
import { listenToPointers, pointOn } from '../../ui/pointer-listeners';
import { sheetIs, useDropTarget } from './openings/drop-targets';
import type { ToolName } from './plan-state';
import { notesTool } from './notes/notes-room';
import { piecesTool } from './pieces/pieces-room';
import { besideHouse, houseBox, selectFloor } from './selectors';
import { sheetBench } from './sheet-bench';
import { kindOf } from './sketching/proposal';
import { viewOfWalk } from './sketching/walk-commands';
import { boxTool } from './tools/box-tool';
import { bumpTool } from './tools/bump-tool';
import { chooseTool } from './tools/choose-tool';
import { areasTool } from './tools/areas-tool';
import { afterRooms } from './tools/after-rooms';
import { ceilingTool } from './tools/ceiling-tool';
import { columnTool } from './tools/column-tool';
import { sectionTool } from './tools/section-tool';
import { stairsTool } from './tools/stairs-tool';
import { cornersTool } from './tools/corners-tool';
import { divideTool } from './tools/divide-tool';
import { lassoTool } from './tools/lasso-tool';
import { loopTool } from './tools/loop-tool';
import { measureTool } from './tools/measure-tool';
import { shapeTool } from './tools/shape-tool';
import { type PointerLike, SheetInput } from './tools/sheet-input';
import { type Bench, type Pointer, REST, type Tool } from './tools/tool';
import { underlayTool } from './tools/underlay-tool';
import { walkTool } from './tools/walk-tool';
import { drawsBeside } from './tool-names';
import { viewActions } from './view-slice';
import { ROOM_BESIDE, toHouse } from './viewport';

/** How far a finger and a mouse may miss, px. */
export const REACH = { touch: 18, mouse: 7 };

const TOOLS: Record<ToolName, (bench: Bench) => Tool> = {
  choose: chooseTool,
  measure: measureTool,
  box: boxTool,
  corners: cornersTool,
  loop: loopTool,
  walk: walkTool,
  shape: shapeTool,
  divide: divideTool,
  bump: bumpTool,
  column: columnTool,
  stairs: afterRooms(stairsTool),
  ceiling: afterRooms(ceilingTool),
  section: sectionTool,
  areas: areasTool,
  notes: notesTool,
  pieces: piecesTool,
  lasso: lassoTool,
  underlay: underlayTool,
};

/** What is being drawn stays under the finger when the sheet gets another size, unless it is to be seen whole. */
const isDrawn = ({ plan: { proposal } }: RootState): boolean => proposal !== null && !kindOf(proposal).whole;

/** Wires pointers, wheel and size of the sheet to the tools and the view. */
export function useSheetInput(host: React.RefObject<View | null>): void {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  // what comes out of the tray goes into the wall under it
  const spotAt = useCallback(
    (px: Point) => {
      const floor = selectFloor(store.getState());
      const { view } = store.getState().view;
      const at = toHouse(view, px);
      const face = floor && faceAt(floor, at, REACH.touch / view.scale);
      return face && face.halves[0]!.wall.kind !== 'chalk' ? { face, along: alongOf(face.course, at) } : null;
    },
    [store],
  );
  useDropTarget(host, spotAt);

  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    const { getState } = store;
    const bench = sheetBench(dispatch, getState);
    const left = sheetIs(element, (px) => {
      const { view } = getState().view;
      return { at: toHouse(view, px), reach: REACH.touch / view.scale };
    });
    const made: Partial<Record<ToolName, Tool>> = {};
    const tool = (): Tool => (made[getState().plan.tool] ??= TOOLS[getState().plan.tool](bench));
    let pressedAt = 0;
    const pointer = (px: Point, event: PointerLike): Pointer => {
      const { view } = getState().view;
      const reach = (event.pointerType === 'mouse' ? REACH.mouse : REACH.touch) / view.scale;
      const free = event.altKey || getState().plan.choices.free;
      const several = event.shiftKey && event.pointerType === 'mouse';
      return { at: toHouse(view, px), px, reach, free, several, rested: performance.now() - pressedAt >= REST };
    };
    const finger = (px: Point | null, event?: PointerLike) => {
      const shown = px && event?.pointerType === 'touch' && tool().busy ? px : null;
      if (shown || getState().view.finger) dispatch(viewActions.fingerAt(shown));
    };
    const input = new SheetInput({
      down: (px, event) => {
        dispatch(viewActions.crosshairShown(false));
        // the other button of a mouse means what a finger that rests means
        pressedAt = event.button === 2 ? -Infinity : performance.now();
        tool().down(pointer(px, event));
        // a mark is set where the finger is put down
        if (getState().plan.proposal?.kind === 'marks') finger(px, event);
      },
      move: (px, event) => {
        tool().move(pointer(px, event));
        finger(getState().plan.preview || getState().plan.proposal ? px : null, event);
      },
      up: (px, event) => {
        tool().up(pointer(px, event));
        finger(null);
      },
      hover: (px, event) => {
        if (selectFloor(getState())) tool().hover?.(pointer(px, event));
      },
      cancel: () => {
        tool().cancel();
        finger(null);
      },
      pinch: (px, dx, dy, factor) => {
        dispatch(viewActions.panned({ x: dx, y: dy }));
        dispatch(viewActions.zoomed({ factor, px }));
      },
    });

    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      if (event.ctrlKey || !event.shiftKey)
        dispatch(viewActions.zoomed({ factor: Math.exp(-event.deltaY / 400), px: pointOn(element, event) }));
      else dispatch(viewActions.panned({ x: -event.deltaY, y: -event.deltaX }));
    };
    const escape = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && tool().busy) {
        tool().cancel();
        event.stopImmediatePropagation();
      }
    };
    const sizes = new ResizeObserver(() => {
      const { proposal, tool: inHand } = getState().plan;
      const box = houseBox(getState());
      const walking = proposal?.kind === 'walk' && proposal.lines.length > 0;
      dispatch(
        viewActions.resized({
          width: element.clientWidth,
          height: element.clientHeight,
          ...(walking ? viewOfWalk(proposal) : { box }),
          ...besideHouse(getState()),
          ...(drawsBeside(inHand) && box && { margin: ROOM_BESIDE }),
          hold: isDrawn(getState()),
          dragged: getState().plan.preview !== null,
        }),
      );
    });

    // the wheel pressed: the sheet goes with the mouse
    let panned: Point | null = null;
    const stop = listenToPointers(element, {
      down: (px, event) => {
        if (event.button === 1) {
          event.preventDefault();
          element.setPointerCapture(event.pointerId);
          panned = px;
          return;
        }
        if (event.button > 2 || !selectFloor(getState())) return;
        (document.activeElement as HTMLElement | null)?.blur?.();
        element.setPointerCapture(event.pointerId);
        input.pressed(px, event);
      },
      move: (px, event) => {
        if (panned) dispatch(viewActions.panned({ x: px.x - panned.x, y: px.y - panned.y }));
        if (panned) panned = px;
        else input.moved(px, event);
      },
      up: (px, event) => {
        if (event.button === 1) panned = null;
        else input.released(px, event);
      },
      lost: (event) => {
        panned = null;
        input.lost(event);
      },
    });
    const noMenu = (event: Event) => event.preventDefault();
    element.addEventListener('contextmenu', noMenu);
    element.addEventListener('wheel', wheel, { passive: false });
    globalThis.addEventListener('keydown', escape, true);
    sizes.observe(element);
    return () => {
      stop();
      left();
      element.removeEventListener('wheel', wheel);
      element.removeEventListener('contextmenu', noMenu);
      globalThis.removeEventListener('keydown', escape, true);
      sizes.disconnect();
    };
  }, [dispatch, host, store]);
}
