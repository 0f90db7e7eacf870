import type { Point } from '@velvet-tape/core';
import { useEffect } from 'react';
import type { View } from 'react-native';
import { lent } from '../later/lent';
import { listenToDragOut } from '../openings/drag-out';
import { putDownAt, puttingDown } from './in-hand';

const { planActions, pointOnSheet, randomSeed, sheetBench, store, useAppDispatch } = lent();

/** Dragged out of the tray a piece shows where it would come, and comes there when it is let go of. */
export function useDragOnto(host: React.RefObject<View | null>, form: string): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    const bench = sheetBench(dispatch, store.getState);
    const seed = randomSeed();
    return listenToDragOut<{ at: Point; reach: number }>(element, pointOnSheet, {
      over: (spot) => {
        const shown = spot && puttingDown(bench, form, spot.at, spot);
        bench.preview(shown?.intent ?? null, seed);
        bench.guide(shown?.guides ?? []);
      },
      dropped: (spot) => {
        bench.preview(null, seed);
        bench.guide([]);
        if (spot && putDownAt(bench, form, spot.at, spot.reach))
          dispatch(planActions.choicesMade({ piece: { form: null, adding: false } }));
      },
    });
  }, [dispatch, form, host]);
}
