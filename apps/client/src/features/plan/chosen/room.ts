import { type DerivedRoom, type Intent, type Plan, type Value, formatLength, roughly } from '@velvet-tape/core';
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
    return room ? [ceilingField(room, state.plan.plan!)] : [];
  },
  typed: (state, name, read) => (name === 'ceiling' ? ceilingTyped(state, read) : null),
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
