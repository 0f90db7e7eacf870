import { boxAround } from '@velvet-tape/core';
import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { type RootState, useAppDispatch, useAppSelector } from '../../store/store';
import { selectFace, selectRoom } from './selectors';
import { viewActions } from './view-slice';

/**
 * Where the foot takes half of the screen, the sheet goes to the wall that is worked on, with those beside it, into the part that is left; and comes back
 * when it is done with. Moved by hand it stays where it was put.
 */
export function useFollow(): void {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  const { width, height } = useAppSelector((state) => state.view);
  const drawing = useAppSelector(({ plan }) => plan.proposal !== null);
  const face = useAppSelector(({ plan }) => ('face' in plan.selection ? plan.selection.face : null));
  useEffect(() => {
    const state = store.getState();
    // under a finger nothing moves by itself
    if (drawing || state.plan.preview !== null || state.view.finger !== null || width === 0) return;
    const wall = face === null ? null : selectFace(state);
    if (!wall) {
      if (face === null) dispatch(viewActions.cameBack());
      return;
    }
    const faces = selectRoom(state)?.faces ?? [];
    const at = faces.findIndex(({ key }) => key === wall.key);
    const beside = at < 0 ? [] : [faces.at(at - 1)!, faces[(at + 1) % faces.length]!];
    const box = boxAround([wall, ...beside].flatMap(({ a, b }) => [a, b]));
    if (box) dispatch(viewActions.followed(box));
  }, [dispatch, drawing, face, height, store, width]);
}
