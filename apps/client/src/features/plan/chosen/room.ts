import {
  type DerivedRoom,
  type Intent,
  type Plan,
  type Value,
  formatLength,
  formatSize,
  roughly,
} from '@velvet-tape/core';
import type { RootState } from '../../../store/store';
import { edit } from '../edit';
import { type FieldShown, field } from '../foot/fields';
import { planActions } from '../plan-slice';
import type { Field } from '../plan-state';
import { transform } from '../rooms-commands';
import { selectRoom } from '../selectors';
import type { ChosenKind, Of } from './chosen-kind';

/** The ceiling of a room, as it is known. */
export function ceilingField({ room, ceilingHeight }: DerivedRoom, plan: Plan): FieldShown {
  const measured = Object.values(plan.heights).some((height) => height.room === room.id && height.at === null);
  return field('ceiling', roughly(!measured, formatLength(ceilingHeight, plan.job.units)));
}

export function ceilingTyped(state: RootState, read: Value): Intent | null {
  const room = selectRoom(state);
  const scope = state.plan.pad.scope === 'all' ? 'all' : 'room';
  return room && { kind: 'setCeilingHeight', room: room.room.id, height: read.value, scope, read };
}

export const roomKind: ChosenKind<Of<'room'>> = {
  fields: (state) => {
    const room = selectRoom(state);
    if (!room) return [];
    const { plan, pad } = state.plan;
    const { step } = room.room;
    // one that has none is asked for first
    const stepped = step !== 0 || pad.field === 'step';
    const up = formatSize(Math.abs(step), plan!.job.units);
    return [ceilingField(room, plan!), ...(stepped ? [field('step', up, step < 0 ? 'Floor down by' : undefined)] : [])];
  },
  typed: (state, name, read, { id }) => {
    if (name === 'ceiling') return ceilingTyped(state, read);
    // one that lies lower goes on lying lower
    const down = (selectRoom(state)?.room.step ?? 0) < 0;
    return name === 'step' ? { kind: 'stepRoom', room: id, step: down ? -read.value : read.value } : null;
  },
  remove:
    ({ id }) =>
    (dispatch) => {
      if (dispatch(edit({ kind: 'removeRoom', room: id })).ok) dispatch(planActions.selected({ kind: 'nothing' }));
    },
  measures: (_, name: Field) => (name === 'ceiling' ? { measured: 'ceiling' } : null),
};

/** Several rooms, to be moved, turned, copied. */
export const roomsKind: ChosenKind<Of<'rooms'>> = {
  fields: () => [field('turn', '0°')],
  enter: (turn) => transform({ turn }),
  nudge: (_, dx, dy) => transform({ dx, dy }),
};
