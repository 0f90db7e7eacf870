import {
  type OpeningForm,
  type OpeningSpec,
  type WallFace,
  gapRound,
  kindOfForm,
  roomBeside,
  usualSpec,
  widestGap,
} from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { edit } from '../edit';
import { planActions } from '../plan-slice';
import { selectFace, selectFloor, selectOpening } from '../selectors';

/** An opening like this in the middle of the widest gap of the chosen wall, made narrower when it must be. */
export const addSpec =
  (spec: OpeningSpec): Command =>
  (dispatch, getState) => {
    const face = selectFace(getState());
    if (!face) return;
    const gap = widestGap(face);
    const width = Math.min(spec.width, Math.max(300, Math.floor(gap.to - gap.from)));
    const offset = gap.from + Math.round(Math.max(0, gap.to - gap.from - width) / 2);
    dispatch(placeSpec({ ...spec, width }, face, offset));
  };

/** An opening like this, so far from the left end of a wall. It is then chosen. */
export const placeSpec =
  (spec: OpeningSpec, face: WallFace, offset: number): Command =>
  (dispatch, getState) => {
    const result = dispatch(edit(placing(spec, getState().plan.floor, face, offset)));
    if (result.ok && result.made) dispatch(planActions.selected({ kind: 'opening', id: result.made, face: face.key }));
  };

export const placing = (spec: OpeningSpec, floor: string, face: WallFace, offset: number) =>
  ({ kind: 'addOpening', floor, opening: kindOfForm(spec.form), spec, face: face.key, end: 'left', offset }) as const;

/** One of the usual kind, or form. */
export const addOpening =
  (what: 'door' | 'window' | OpeningForm): Command =>
  (dispatch, getState) => {
    const { plan } = getState().plan;
    if (plan) dispatch(addSpec(usualSpec(what, plan.job.units)));
  };

export const flip =
  (what: 'hinge' | 'swing'): Command =>
  (dispatch, getState) => {
    const on = selectOpening(getState());
    if (on) dispatch(edit({ kind: 'flipOpening', opening: on.opening.id, what }));
  };

/** A copy of the chosen opening beside it, on the side where there is more room; what room is left is said. */
export const copyBeside: Command = (dispatch, getState) => {
  const face = selectFace(getState());
  const on = selectOpening(getState());
  const { floor, plan } = getState().plan;
  if (!face || !on || !plan) return;
  const { kind, id } = on.opening;
  const beside = roomBeside(face, on);
  const result = dispatch(
    edit({ kind: 'addOpening', floor, opening: kind, like: id, face: face.key, end: 'left', offset: beside.offset }),
  );
  if (!result.ok || !result.made) return;
  dispatch(planActions.selected({ kind: 'opening', id: result.made, face: face.key }));
  dispatch(planActions.said({ text: beside.words(plan.job.units), tone: 'said' }));
};

/** The chosen opening goes to the middle of the gap it stands in, or of the whole wall. */
export const centre =
  (of: 'gap' | 'wall'): Command =>
  (dispatch, getState) => {
    const face = selectFace(getState());
    const on = selectOpening(getState());
    if (!face || !on) return;
    const { from, to } = of === 'wall' ? { from: 0, to: face.length } : gapRound(face, on);
    dispatch(moveTo((from + to) / 2 - (on.to - on.from) / 2));
  };

/** So far from the left end of its wall, mm. */
export const moveTo =
  (offset: number): Command =>
  (dispatch, getState) => {
    const face = selectFace(getState());
    const on = selectOpening(getState());
    const { floor } = getState().plan;
    if (face && on)
      dispatch(
        edit({ kind: 'changeOpening', floor, opening: on.opening.id, place: { face: face.key, end: 'left', offset } }),
      );
  };

export const spaceEqually: Command = (dispatch, getState) => {
  const face = selectFace(getState());
  if (face) dispatch(edit({ kind: 'spaceOpenings', floor: getState().plan.floor, face: face.key }));
};

/** The chosen opening takes another type, new or one there is, or what it is as a type of its own. */
export const takeType =
  (as: string | OpeningSpec | 'own', name?: string): Command =>
  (dispatch, getState) => {
    const on = selectOpening(getState());
    if (on) dispatch(edit({ kind: 'takeType', opening: on.opening.id, as, ...(name !== undefined && { name }) }));
  };

export const changeType =
  (change: Partial<OpeningSpec> & { name?: string }): Command =>
  (dispatch, getState) => {
    const on = selectOpening(getState());
    if (on) dispatch(edit({ kind: 'changeType', type: on.opening.type, change }));
  };

export const swingTo =
  (hinge: 'start' | 'end', swing: 'left' | 'right'): Command =>
  (dispatch, getState) => {
    const on = selectOpening(getState());
    if (on) dispatch(edit({ kind: 'swingOpening', opening: on.opening.id, hinge, swing }));
  };

/** What was read last along the chosen wall is let go. */
export const loosenAlong: Command = (dispatch, getState) => {
  const face = selectFace(getState());
  const [last] = (selectFloor(getState())?.gaps ?? [])
    .filter(({ from, to }) => from === face?.from && to === face.to)
    .sort((a, b) => b.time.localeCompare(a.time));
  if (last) dispatch(edit({ kind: 'loosenReading', reading: last.id }));
};
