import {
  type Opening,
  type OpeningOnFace,
  type Plan,
  type WallFace,
  formatLength,
  formatSize,
  isHinged,
} from '@velvet-tape/core';
import { edit } from '../edit';
import { type FieldShown, field } from '../foot/fields';
import { planActions } from '../plan-slice';
import { selectFace, selectOpening } from '../selectors';
import type { ChosenKind, Of } from './chosen-kind';
import { placeAlong } from './place';
import { wallKind } from './wall';

export const openingKind: ChosenKind<Of<'opening'>> = {
  fields: (state) => {
    const { plan, panel } = state.plan;
    const face = selectFace(state);
    const on = selectOpening(state);
    if (!plan || !face || !on) return [];
    return panel === 'type' ? typeFields(on, plan) : placeFields(on, face, plan);
  },
  typed: (state, name, read, chosen) => {
    const { floor, pad } = state.plan;
    const on = selectOpening(state);
    const face = selectFace(state);
    if (!on || !face) return null;
    const mm = read.value;
    const { id: opening, type, sill } = on.opening;
    const change = { kind: 'changeOpening' as const, floor, opening, all: pad.scope === 'all' };
    switch (name) {
      case 'left':
      case 'right':
        return { kind: 'changeOpening', floor, opening, place: { face: face.key, end: name, offset: mm } };
      case 'width':
      case 'height':
      case 'sill':
        return { ...change, [name]: mm };
      case 'head':
        return { ...change, height: mm - sill };
      case 'depth':
        // nothing: as deep as the wall is thick
        return { kind: 'changeType', type, change: { depth: mm > 0 ? mm : null } };
      case 'frame':
      case 'glazing':
      case 'angle':
        return { kind: 'changeType', type, change: { [name]: name === 'glazing' ? mm / 100 : mm } };
      default:
        return wallKind.typed!(state, name, read, { kind: 'wall', face: chosen.face });
    }
  },
  measures: (state, name) => {
    const most = selectFace(state)?.length;
    switch (name) {
      case 'left':
      case 'right':
        return { measured: 'place', ...(most !== undefined && { most }) };
      case 'width': {
        const kind = selectOpening(state)?.opening.kind;
        return kind ? { measured: kind } : null;
      }
      case 'height':
      case 'head':
        return { measured: 'height' };
      case 'depth':
        return { measured: 'thickness' };
      case 'sill':
      case 'frame':
        return { measured: name };
      default:
        return wallKind.measures!(state, name);
    }
  },
  remove:
    ({ id, face }) =>
    (dispatch) => {
      if (dispatch(edit({ kind: 'removeOpening', opening: id })).ok)
        dispatch(planActions.selected({ kind: 'wall', face }));
    },
  nudge:
    ({ id }, dx, dy) =>
    (dispatch, getState) => {
      const face = selectFace(getState());
      const on = selectOpening(getState());
      if (!face || !on) return;
      const place = placeAlong(face, on.from, on.to, dx, dy);
      dispatch(edit({ kind: 'changeOpening', floor: getState().plan.floor, opening: id, place }));
    },
  back: ({ face }) => ({ kind: 'wall', face }),
};

/** Where it stands and how large it is. */
function placeFields({ opening, from, to }: OpeningOnFace, face: WallFace, plan: Plan): FieldShown[] {
  const long = (mm: number) => formatLength(mm, plan.job.units);
  return [
    field('left', long(from)),
    field('width', long(to - from)),
    field('right', long(face.length - to)),
    field('height', heightOf(opening, plan)),
    ...(opening.kind === 'window'
      ? [field('sill', long(opening.sill)), field('head', long(opening.sill + opening.height))]
      : []),
  ];
}

const heightOf = ({ toCeiling, height }: Opening, { job }: Plan): string =>
  toCeiling ? 'to the ceiling' : formatLength(height, job.units);

/** While its type is looked at: what that says. */
function typeFields({ opening }: OpeningOnFace, plan: Plan): FieldShown[] {
  const { units } = plan.job;
  const long = (mm: number) => formatLength(mm, units);
  return [
    field('width', long(opening.width)),
    field('height', heightOf(opening, plan)),
    ...(opening.kind === 'window' ? [field('sill', long(opening.sill))] : []),
    field('frame', formatSize(opening.frame, units)),
    field('depth', opening.depth === null ? 'as the wall' : formatSize(opening.depth, units), 'Frame depth'),
    ...(opening.kind === 'opening' ? [] : [field('glazing', `${Math.round(100 * opening.glazing)} %`)]),
    ...(isHinged(opening) ? [field('angle', `${Math.round(opening.angle)}°`)] : []),
  ];
}
