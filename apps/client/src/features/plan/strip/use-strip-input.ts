import type { Point } from '@velvet-tape/core';
import { useCallback, useEffect } from 'react';
import type { View } from 'react-native';
import { useStore } from 'react-redux';
import { type RootState, useAppDispatch } from '../../../store/store';
import { listenToPointers } from '../../../ui/pointer-listeners';
import { useDropTarget } from '../openings/drop-targets';
import { selectFace } from '../selectors';
import { sheetBench } from '../sheet-bench';
import { stripTool } from '../tools/strip-tool';
import type { Pointer } from '../tools/tool';
import { stripScale } from './scale';

/** How far a finger may miss an opening on the strip, px. */
const MISS = 12;

/** Wires pointers on the strip to its tool; what comes out of the tray can be let go of over it. */
export function useStripInput(host: React.RefObject<View | null>, width: number): void {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  const spotAt = useCallback(
    ({ x }: Point) => {
      const face = selectFace(store.getState());
      return face && { face, along: stripScale(face, width).mm(x) };
    },
    [store, width],
  );
  useDropTarget(host, spotAt);
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    const tool = stripTool(sheetBench(dispatch, store.getState));
    const pointer = (px: Point): Pointer => {
      const face = selectFace(store.getState());
      const { k, mm } = stripScale(face ?? { length: 1 }, width);
      return { at: { x: mm(px.x), y: 0 }, px, reach: MISS / k, free: false, several: false, rested: false };
    };
    return listenToPointers(element, {
      down: (px, event) => {
        element.setPointerCapture(event.pointerId);
        tool.down(pointer(px));
      },
      move: (px) => tool.move(pointer(px)),
      up: (px) => tool.up(pointer(px)),
      lost: () => tool.cancel(),
    });
  }, [dispatch, host, store, width]);
}
