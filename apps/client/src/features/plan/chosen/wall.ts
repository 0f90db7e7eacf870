import {
  type Plan,
  type WallFace,
  bendOf,
  finenessOf,
  formatLength,
  formatSize,
  lengthToSay,
  rightOf,
  roughly,
} from '@velvet-tape/core';
import { edit } from '../edit';
import { field } from '../foot/fields';
import { planActions } from '../plan-slice';
import { selectFace, selectGapSpot, selectMoves, selectRoom } from '../selectors';
import type { ChosenKind, Of } from './chosen-kind';
import { ceilingField, ceilingTyped } from './room';

export const wallKind: ChosenKind<Of<'wall'>> = {
  fields: (state) => {
    const { plan } = state.plan;
    const face = selectFace(state);
    const room = selectRoom(state);
    if (!face || !plan) return [];
    const long = (mm: number) => formatLength(mm, plan.job.units);
    const bend = bendOf(face);
    return [
      field('length', lengthOf(face, plan), face.bulge === 0 ? 'Length' : 'Across'),
      ...(face.halves[0]!.wall.kind === 'chalk' ? [] : [field('thickness', thicknessOf(face, plan))]),
      ...(room ? [ceilingField(room, plan)] : []),
      field('sagitta', face.bulge === 0 ? 'straight' : long(bend.sagitta)),
      ...(bend.radius !== null || state.plan.pad.field === 'radius'
        ? [field('radius', bend.radius === null ? 'straight' : long(bend.radius))]
        : []),
      ...(bend.radius === null ? [] : [field('arc', long(bend.length))]),
    ];
  },
  typed: (state, name, read) => {
    const { floor, pad, choices } = state.plan;
    const face = selectFace(state);
    if (name === 'ceiling') return ceilingTyped(state, read);
    if (!face) return null;
    switch (name) {
      case 'length': {
        const { from, to } = face;
        const across = face.bulge !== 0;
        return {
          kind: 'tapeLength',
          floor,
          from,
          to,
          across,
          along: choices.along,
          ...read,
          moves: selectMoves(state),
        };
      }
      case 'thickness': {
        const { scope, grow } = pad;
        return { kind: 'setThickness', floor, face: face.key, thickness: read.value, scope, grow, read };
      }
      case 'sagitta':
      case 'radius':
      case 'arc': {
        const by = name === 'arc' ? 'length' : name;
        const way = face.bulge < 0 ? 'in' : 'out';
        return { kind: 'bendWall', floor, face: face.key, by, value: read.value, way, read };
      }
      case 'gap': {
        const spot = selectGapSpot(state);
        return spot && { kind: 'readGap', floor, from: face.from, to: face.to, a: spot.a, b: spot.b, read };
      }
      default:
        return null;
    }
  },
  measures: (state, name) => {
    const most = selectFace(state)?.length;
    switch (name) {
      case 'length':
        return most === undefined ? null : { measured: 'wall' };
      case 'arc':
        return { measured: 'wall' };
      case 'gap':
        return { measured: 'place', ...(most !== undefined && { most }) };
      case 'sagitta':
        return { measured: 'bow' };
      case 'thickness':
      case 'ceiling':
      case 'radius':
        return { measured: name };
      default:
        return null;
    }
  },
  remove:
    ({ face }) =>
    (dispatch, getState) => {
      const result = dispatch(edit({ kind: 'removeWall', floor: getState().plan.floor, face }));
      const { notice } = getState().plan;
      if (!result.ok) return;
      dispatch(planActions.selected({ kind: 'nothing' }));
      if (notice) dispatch(planActions.said(notice));
    },
  nudge: (_, dx, dy) => (dispatch, getState) => {
    const face = selectFace(getState());
    if (!face) return;
    const { floor, choices } = getState().plan;
    const inward = rightOf(face.d);
    const by = Math.abs(inward.x) > Math.abs(inward.y) ? dx * Math.sign(inward.x) : dy * Math.sign(inward.y);
    // along the wall there is nowhere to go
    if (by !== 0) dispatch(edit({ kind: 'moveWall', floor, face: face.key, by, neighbours: choices.neighbours }));
  },
};

function lengthOf(face: WallFace, plan: Plan): string {
  const rough = face.provenance === 'rough';
  return roughly(rough, formatLength(lengthToSay(face), plan.job.units, finenessOf(face.provenance)));
}

/** What was not measured is what is usual in the house. */
function thicknessOf(face: WallFace, plan: Plan): string {
  const sizes = new Set(face.halves.map((half) => formatSize(half.left + half.right, plan.job.units)));
  const measured = Object.values(plan.readings).some(
    ({ kind, from, to }) =>
      kind === 'thickness' && ((from === face.from && to === face.to) || (from === face.to && to === face.from)),
  );
  return sizes.size === 1 ? roughly(!measured, [...sizes][0]!) : 'mixed';
}
