import { formatLength } from '@velvet-tape/core';
import { edit } from '../edit';
import { field } from '../foot/fields';
import { planActions } from '../plan-slice';
import { selectLean, selectSolid } from '../selectors';
import type { ChosenKind, Of } from './chosen-kind';
import { movedBy } from './place';

export const solidKind: ChosenKind<Of<'solid'>> = {
  fields: (state) => {
    const { plan } = state.plan;
    const standing = selectSolid(state);
    const lean = selectLean(state);
    if (!plan || !standing) return [];
    const { width, depth, stand, shape } = standing.solid;
    const long = (mm: number) => formatLength(mm, plan.job.units);
    const pillar = shape === 'round' && stand.kind === 'free';
    return [
      field('width', long(width), pillar ? 'Diameter' : 'Width'),
      ...(pillar ? [] : [field('depth', long(depth))]),
      ...(lean ? [field('left', long(lean.from)), field('right', long(lean.face.length - lean.to))] : []),
      ...(stand.kind === 'free' && shape !== 'round' ? [field('turn', `${Math.round(stand.turn)}°`)] : []),
    ];
  },
  typed: (state, name, { value }, { id }) => {
    if (name === 'width' || name === 'depth') return { kind: 'changeSolid', solid: id, [name]: value };
    if (name === 'turn') return { kind: 'changeSolid', solid: id, turn: value };
    const face = selectLean(state)?.face.key;
    if ((name === 'left' || name === 'right') && face)
      return { kind: 'changeSolid', solid: id, place: { face, end: name, offset: value } };
    return null;
  },
  measures: (_, name) => {
    if (name === 'left' || name === 'right') return { measured: 'place' };
    return name === 'width' || name === 'depth' ? { measured: 'depth' } : null;
  },
  remove:
    ({ id }) =>
    (dispatch) => {
      if (dispatch(edit({ kind: 'removeSolid', solid: id })).ok) dispatch(planActions.selected({ kind: 'nothing' }));
    },
  nudge:
    ({ id: solid }, x, y) =>
    (dispatch, getState) => {
      const to = movedBy(selectSolid(getState())?.solid.stand, selectLean(getState()), { x, y });
      if (to) dispatch(edit({ kind: 'changeSolid', solid, ...to }));
    },
};
