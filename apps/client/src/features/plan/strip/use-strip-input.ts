import type { Point, WallFace } from '@velvet-tape/core';
import { useCallback, useEffect } from 'react';
import type { View } from 'react-native';
import { useStore } from 'react-redux';
import { randomSeed } from '../../../store/seed';
import { type RootState, useAppDispatch } from '../../../store/store';
import { listenToPointers } from '../../../ui/pointer-listeners';
import { edit, preview } from '../edit';
import { useDropTarget } from '../openings/drop-targets';
import { planActions } from '../plan-slice';
import { selectFace, selectOpening } from '../selectors';
import { stripScale } from './scale';

/** How far a finger may miss an opening on the strip, px. */
const MISS = 12;
/** Further than this a touch is a drag, px. */
const STILL = 5;

/** Taps choose an opening on the strip, drags move it; what comes out of the tray can be let go of over it. */
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
    let drag: {
      id: string;
      face: WallFace;
      from: Point;
      offset: number;
      width: number;
      seed: string;
      moved: boolean;
    } | null = null;
    const down = (at: Point, event: PointerEvent) => {
      const face = selectFace(store.getState());
      if (!face) return;
      const { k, mm } = stripScale(face, width);
      const slack = MISS / k;
      const on = face.openings.find((o) => mm(at.x) >= o.from - slack && mm(at.x) <= o.to + slack);
      if (!on) {
        dispatch(planActions.selected({ kind: 'wall', face: face.key }));
        return;
      }
      element.setPointerCapture(event.pointerId);
      if (
        store.getState().plan.selection.kind !== 'opening' ||
        selectOpening(store.getState())?.opening.id !== on.opening.id
      ) {
        dispatch(planActions.selected({ kind: 'opening', id: on.opening.id, face: face.key }));
      }
      drag = {
        id: on.opening.id,
        face,
        from: at,
        offset: on.from,
        width: on.to - on.from,
        seed: randomSeed(),
        moved: false,
      };
    };
    const intentAt = (at: Point) => {
      const { face, id, offset, from } = drag!;
      const { k } = stripScale(face, width);
      const most = Math.max(0, face.length - drag!.width);
      const along = Math.min(most, Math.max(0, Math.round((offset + (at.x - from.x) / k) / 10) * 10));
      return {
        kind: 'changeOpening',
        floor: store.getState().plan.floor,
        opening: id,
        place: { face: face.key, end: 'left', offset: along },
      } as const;
    };
    const move = (at: Point) => {
      if (!drag || (!drag.moved && Math.abs(at.x - drag.from.x) < STILL)) return;
      drag.moved = true;
      dispatch(preview(intentAt(at), drag.seed));
    };
    const up = (at: Point) => {
      if (drag?.moved) dispatch(edit(intentAt(at), drag.seed));
      drag = null;
    };
    const lost = () => {
      if (drag?.moved) dispatch(preview(null, drag.seed));
      drag = null;
    };
    return listenToPointers(element, { down, move, up, lost });
  }, [dispatch, host, store, width]);
}
