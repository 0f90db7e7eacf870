import {
  type SlopeOnFloor,
  decimals,
  footHeight,
  formatLength,
  higherHeight,
  pitchOf,
  roughly,
} from '@velvet-tape/core';
import { edit } from '../edit';
import { field } from '../foot/fields';
import { planActions } from '../plan-slice';
import { selectSlope } from '../selectors';
import type { ChosenKind, Of } from './chosen-kind';

/** What a slope is there, over where one stands, mm; null while it is not known. */
const highAt = ({ fit, foot }: SlopeOnFloor, out: number): number | null => fit && foot! + fit.out * out;

export const slopeKind: ChosenKind<Of<'slope'>> = {
  fields: (state) => {
    const on = selectSlope(state);
    const { plan } = state.plan;
    if (!on || !plan) return [];
    const { slope } = on;
    const long = (mm: number) => formatLength(mm, plan.job.units);
    const [foot, higher] = [footHeight(plan, slope), higherHeight(plan, slope)];
    const height = (read: { readonly value: number } | undefined, out: number) => {
      if (read) return long(read.value);
      const follows = highAt(on, out);
      return follows === null ? '–' : roughly(true, long(follows));
    };
    const pitch = pitchOf(on);
    const steep = pitch === null ? '–' : `${decimals(pitch, 1)}°`;
    if (!slope.level) return [field('pitch', steep)];
    return [
      field('foot', height(foot, 0)),
      field('pitch', roughly(slope.pitch === null && pitch !== null, steep)),
      field('top', height(higher, slope.out), 'Higher up'),
      field('out', long(slope.out)),
    ];
  },
  typed: (state, name, read, { id }) => {
    const on = selectSlope(state);
    if (!on) return null;
    switch (name) {
      case 'foot':
        return { kind: 'readSlope', slope: id, at: { up: 0 }, read };
      case 'top':
        return { kind: 'readSlope', slope: id, at: { up: on.slope.out }, read };
      case 'out':
        return { kind: 'changeSlope', slope: id, out: read.value };
      case 'pitch':
        return { kind: 'changeSlope', slope: id, pitch: read.value };
      default:
        return null;
    }
  },
  measures: (_, name) => {
    if (name === 'foot' || name === 'top') return { measured: 'headroom' };
    return name === 'out' ? { measured: 'place' } : null;
  },
  remove:
    ({ id }) =>
    (dispatch) => {
      if (dispatch(edit({ kind: 'removeSlope', slope: id })).ok) dispatch(planActions.selected({ kind: 'nothing' }));
    },
  back: () => ({ kind: 'nothing' }),
};
