import {
  type Intent,
  type StairChange,
  deriveFloor,
  formatLength,
  formatSize,
  fromWallBehind,
} from '@velvet-tape/core';
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
    const { stair, steps, shape, openFrom, opening } = on;
    const long = (mm: number) => formatLength(mm, units);
    const stepped = stair.form !== 'hatch' && stair.form !== 'ramp';
    const turns = stepped && stair.form === 'stairs' && stair.turns.length > 0;
    const size = (mm: number) => formatSize(mm, units);
    // its form: what is seldom typed
    if (state.plan.panel === 'type')
      return [
        ...(stepped ? [field('nosing', size(stair.nosing))] : []),
        ...(stair.form === 'spiral' || stair.turns.some(({ angle }) => Math.abs(angle) > 170)
          ? [field('well', size(stair.well))]
          : []),
        ...(opening.length > 0 ? [field('margin', size(stair.opening.margin))] : []),
        field('turn', wayInWords(stair.turn), 'Way up'),
      ];
    const floor = deriveFloor(state.plan.plan!, stair.floor);
    const start = fromWallBehind(stair, floor);
    return [
      ...(start === null ? [] : [field('start', long(start))]),
      field('width', long(stair.width)),
      ...(stepped ? [field('risers', String(steps.risers))] : []),
      field('going', long(steps.going), stepped ? 'Going' : 'Length'),
      ...(stepped && !turns && stair.form === 'stairs' ? [field('run', long(shape.length))] : []),
      ...(stair.form === 'hatch' ? [] : [field('rise', long(steps.rise), stepped ? 'Total rise' : 'Rise')]),
      ...(turns ? [field('after', `${steps.flights[0]! + 1}`)] : []),
      ...(stepped && opening.length > 0 ? [field('from', long(openFrom))] : []),
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

/** `90° right`, seen from straight to the right of the sheet. */
function wayInWords(turn: number): string {
  const way = Math.round((((turn % 360) + 540) % 360) - 180);
  const side = way === 0 || way === -180 ? '' : way > 0 ? ' right' : ' left';
  return `${Math.abs(way)}°${side}`;
}

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
    case 'nosing':
    case 'run':
      return { [name]: value };
    case 'margin':
      return { opening: { margin: value } };
    case 'start':
      return { fromWall: value };
    case 'after':
      return { firstTurnAfter: value };
    case 'from':
      return { opening: { from: value } };
    default:
      return null;
  }
}
