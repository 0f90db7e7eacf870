import { formatLength } from '@velvet-tape/core';
import { edit } from '../edit';
import { field } from '../foot/fields';
import { planActions } from '../plan-slice';
import { selectBreak, selectBreakLean } from '../selectors';
import type { ChosenKind, Of } from './chosen-kind';
import { movedBy } from './place';

/** Of the ceiling a height, of a step how much it goes up. */
const HEIGHT = { dormer: 'Ceiling', dropped: 'Ceiling', beam: 'Underside', step: 'Up' } as const;

export const breakKind: ChosenKind<Of<'break'>> = {
  fields: (state) => {
    const on = selectBreak(state);
    const units = state.plan.plan?.job.units;
    if (!on || !units) return [];
    const { form, width, depth, height, pitch, stand } = on.broken;
    const lean = selectBreakLean(state);
    const long = (mm: number) => formatLength(mm, units);
    return [
      field('height', height < 0 ? `−${long(-height)}` : long(height), height < 0 ? 'Down' : HEIGHT[form]),
      field('width', long(width)),
      field('depth', long(depth)),
      ...(lean ? [field('left', long(lean.from)), field('right', long(lean.face.length - lean.to))] : []),
      ...(form === 'dormer' ? [field('pitch', pitch === 0 ? 'flat' : `${pitch}°`)] : []),
      ...(stand.kind === 'free' ? [field('turn', `${Math.round(stand.turn)}°`)] : []),
    ];
  },
  typed: (state, name, { value }, { id: broken }) => {
    const kind = 'changeBreak';
    if (name === 'width' || name === 'depth' || name === 'pitch' || name === 'turn')
      return { kind, broken, [name]: value };
    // a step that goes down goes on going down
    if (name === 'height')
      return { kind, broken, height: (selectBreak(state)?.broken.height ?? 0) < 0 ? -value : value };
    const face = selectBreakLean(state)?.face.key;
    if ((name === 'left' || name === 'right') && face)
      return { kind, broken, place: { face, end: name, offset: value } };
    return null;
  },
  measures: (state, name) => {
    if (name === 'left' || name === 'right') return { measured: 'place' };
    if (name === 'width' || name === 'depth') return { measured: 'depth' };
    return name === 'height' && selectBreak(state)?.broken.form !== 'step' ? { measured: 'headroom' } : null;
  },
  remove:
    ({ id }) =>
    (dispatch) => {
      if (dispatch(edit({ kind: 'removeBreak', broken: id })).ok) dispatch(planActions.selected({ kind: 'nothing' }));
    },
  nudge:
    ({ id: broken }, x, y) =>
    (dispatch, getState) => {
      const to = movedBy(selectBreak(getState())?.broken.stand, selectBreakLean(getState()), { x, y });
      if (to) dispatch(edit({ kind: 'changeBreak', broken, ...to }));
    },
};
