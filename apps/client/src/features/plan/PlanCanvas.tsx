import { type DrawingStyle, type Point, drawFloor } from '@velvet-tape/core';
import { useEffect, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { G } from 'react-native-svg';
import { useStore } from 'react-redux';
import { randomSeed } from '../../store/seed';
import { type RootState, useAppDispatch, useAppSelector } from '../../store/store';
import { listenToPointers, pointOn } from '../../ui/pointer-listeners';
import { useColours } from '../../ui/theme';
import { houseBox } from './commands';
import { edit, preview } from './edit';
import { MarkView } from './MarkView';
import { Overlay } from './Overlay';
import { planActions } from './plan-slice';
import { selectFace, selectFloor, selectGhost, selectOpening, selectRoom, selectShownFloor } from './selectors';
import { chooseTool } from './tools/choose-tool';
import { roomTool } from './tools/room-tool';
import { SheetInput } from './tools/sheet-input';
import type { Bench, Pointer, Tool } from './tools/tool';
import { viewActions } from './view-slice';
import { letteringStep, toHouse } from './viewport';

/** Height of body lettering on the screen, px. */
const LETTERING = 13;
/** How far a finger and a mouse may miss, px. */
const REACH = { touch: 18, mouse: 7 };

/** The sheet: the plan drawn to fill it, with a finger or the mouse working the chosen tool. */
export function PlanCanvas() {
  const host = useRef<View>(null);
  const colours = useColours();
  const floor = useAppSelector(selectShownFloor);
  const face = useAppSelector(selectFace);
  const opening = useAppSelector(selectOpening);
  const room = useAppSelector(selectRoom);
  const ghost = useAppSelector(selectGhost);
  const { view, width, height } = useAppSelector((state) => state.view);
  const tool = useAppSelector((state) => state.plan.tool);
  const moves = useAppSelector((state) => (state.plan.pad.field === 'length' ? state.plan.pad.moves : null));
  useSheetInput(host);

  const lettering = LETTERING / letteringStep(view.scale);
  const units = floor?.plan.job.units ?? 'metric';
  const marks = useMemo(() => {
    const style: DrawingStyle = { lettering, units };
    return floor ? drawFloor(floor, style) : [];
  }, [floor, lettering, units]);
  const transform = `matrix(${view.scale} 0 0 ${view.scale} ${-view.x * view.scale} ${-view.y * view.scale})`;

  return (
    <View
      ref={host}
      testID="sheet"
      style={[
        styles.sheet,
        { backgroundColor: colours.sheet, cursor: tool === 'room' ? 'crosshair' : 'auto' } as object,
      ]}
    >
      {width > 0 && floor && (
        <Svg width={width} height={height} accessibilityLabel="Plan" role="img">
          <G transform={transform}>
            {marks.map((mark) => (
              <MarkView key={`${mark.key}/${mark.role}`} mark={mark} colours={colours} lettering={lettering} />
            ))}
            <Overlay
              floor={floor}
              face={face}
              opening={opening}
              room={room}
              moves={moves}
              ghost={ghost?.floor ?? null}
              colours={colours}
              px={1 / view.scale}
            />
          </G>
        </Svg>
      )}
      {floor && floor.network.walls.length === 0 && (
        <View pointerEvents="none" style={styles.empty}>
          <Text variant="titleMedium" style={{ color: colours.inkSoft, textAlign: 'center' }}>
            {tool === 'room'
              ? 'Drag across the sheet to draw the first room. Roughly will do.'
              : 'Nothing drawn yet. Choose “Draw room”.'}
          </Text>
        </View>
      )}
    </View>
  );
}

/** Wires pointers, wheel and size of the sheet to the tools and the view. */
function useSheetInput(host: React.RefObject<View | null>): void {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();

  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    const { getState } = store;
    const bench: Bench = {
      floor: () => selectFloor(getState())!,
      selection: () => getState().plan.selection,
      preview: (intent, seed) => dispatch(preview(intent, seed)),
      commit: (intent, seed) => {
        const result = dispatch(edit(intent, seed));
        return { ok: result.ok, made: result.ok ? result.made : null };
      },
      select: (selection) => dispatch(planActions.selected(selection)),
      pan: (dx, dy) => dispatch(viewActions.panned({ x: dx, y: dy })),
      drawn: (id) => {
        dispatch(planActions.toolChosen('choose'));
        dispatch(planActions.selected({ kind: 'room', id }));
        dispatch(planActions.naming(id));
      },
      seed: () => randomSeed(),
    };
    const tools: Record<string, Tool> = { choose: chooseTool(bench), room: roomTool(bench) };
    const tool = () => tools[getState().plan.tool]!;
    const pointer = (px: Point, event: { pointerType: string; altKey: boolean }): Pointer => {
      const { view } = getState().view;
      const reach = (event.pointerType === 'mouse' ? REACH.mouse : REACH.touch) / view.scale;
      return { at: toHouse(view, px), px, reach, free: event.altKey };
    };
    const input = new SheetInput({
      down: (px, event) => tool().down(pointer(px, event)),
      move: (px, event) => tool().move(pointer(px, event)),
      up: (px, event) => tool().up(pointer(px, event)),
      cancel: () => tool().cancel(),
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
      dispatch(
        viewActions.resized({ width: element.clientWidth, height: element.clientHeight, box: houseBox(getState()) }),
      );
    });

    const stop = listenToPointers(element, {
      down: (px, event) => {
        if (event.button > 0 || !selectFloor(getState())) return;
        (document.activeElement as HTMLElement | null)?.blur?.();
        element.setPointerCapture(event.pointerId);
        input.pressed(px, event);
      },
      move: (px, event) => input.moved(px, event),
      up: (px, event) => input.released(px, event),
      lost: (event) => input.lost(event),
    });
    element.addEventListener('wheel', wheel, { passive: false });
    globalThis.addEventListener('keydown', escape, true);
    sizes.observe(element);
    return () => {
      stop();
      element.removeEventListener('wheel', wheel);
      globalThis.removeEventListener('keydown', escape, true);
      sizes.disconnect();
    };
  }, [dispatch, host, store]);
}

const styles = StyleSheet.create({
  sheet: { flex: 1, overflow: 'hidden' },
  empty: { position: 'absolute', top: 0, bottom: 0, left: 40, right: 40, justifyContent: 'center' },
});
