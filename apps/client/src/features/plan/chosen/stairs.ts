import { type Intent, type StairChange, decimals, formatLength, formatSize } from '@velvet-tape/core';
import { edit } from '../edit';
import { field } from '../foot/fields';
import { planActions } from '../plan-slice';
import type { Field } from '../plan-state';
import { selectStairs } from '../selectors';
import type { ChosenKind, Of } from './chosen-kind';

export const stairsKind: ChosenKind<Of<'stairs'>> = {
  fields: (state) => {
    const on = selectStairs(state);
    const units = state.plan.plan?.job.units;
    if (!on || !units) return [];
    const { stair, steps, openFrom, opening } = on;
    const long = (mm: number) => formatLength(mm, units);
    const stepped = stair.form !== 'hatch' && stair.form !== 'ramp';
    const turns = stepped && stair.form === 'stairs' && stair.turns.length > 0;
    const way = Math.round((((stair.turn % 360) + 540) % 360) - 180);
    return [
      field('width', long(stair.width)),
      ...(stepped ? [field('risers', String(steps.risers))] : []),
      field('going', long(steps.going), stepped ? 'Going' : 'Length'),
      ...(stair.form === 'hatch' ? [] : [field('rise', long(steps.rise), stepped ? 'Total rise' : 'Rise')]),
      ...(turns ? [field('after', `${steps.flights[0]! + 1}`)] : []),
      ...(stair.form === 'spiral' || stair.turns.some(({ angle }) => Math.abs(angle) > 170)
        ? [field('well', formatSize(stair.well, units))]
        : []),
      ...(stepped && opening.length > 0 ? [field('from', long(openFrom))] : []),
      field(
        'turn',
        `${decimals(Math.abs(way), 0)}°${way === 0 || way === -180 ? '' : way > 0 ? ' right' : ' left'}`,
        'Way up',
      ),
    ];
  },
  typed: (_, name, { value }, { id }) => {
    const change = changeOf(name, value);
    return change ? { kind: 'changeStairs', stair: id, change } : null;
  },
  measures: () => null,
  remove:
    ({ id }) =>
    (dispatch) => {
      if (dispatch(edit({ kind: 'removeStairs', stair: id })).ok) dispatch(planActions.selected({ kind: 'nothing' }));
    },
  nudge:
    ({ id }, dx, dy) =>
    (dispatch, getState) => {
      const on = selectStairs(getState());
      if (!on) return;
      const { x, y } = on.stair;
      dispatch(edit(moveStairs(id, x + dx, y + dy)));
    },
};

const moveStairs = (stair: string, x: number, y: number): Intent => ({
  kind: 'changeStairs',
  stair,
  change: { to: { x, y } },
});

function changeOf(name: Field, value: number): StairChange | null {
  switch (name) {
    case 'width':
    case 'going':
    case 'rise':
    case 'risers':
    case 'turn':
    case 'well':
      return { [name]: value };
    case 'after':
      return { firstTurnAfter: value };
    case 'from':
      return { opening: { from: value } };
    default:
      return null;
  }
}
