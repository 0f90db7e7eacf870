import { type Intent, type Value, applyEdit, deriveFloor, sameEntity } from '@velvet-tape/core';
import { createSelector } from '@reduxjs/toolkit';
import type { AppDispatch, Command, RootState } from '../../../store/store';
import type { FieldShown } from '../foot/fields';
import { noteKind } from '../notes/notes-room';
import { pieceKind } from '../pieces/pieces-room';
import { planActions } from '../plan-slice';
import type { Field, Selection } from '../plan-state';
import { selectFloor, selectPlan, selectTyped, unitRead } from '../selectors';
import { removeChosen } from '../underlay/commands';
import type { ChosenKind, Of, Sort } from './chosen-kind';
import { breakKind } from './break';
import { cornerKind } from './corner';
import { openingKind } from './opening';
import { roomKind, roomsKind } from './room';
import { slopeKind } from './slope';
import { solidKind } from './solid';
import { stairsKind } from './stairs';
import { wallKind } from './wall';

/** What can be chosen. A new kind: a file of its own, a line here, one in `parts.tsx`, and a grip where it is dragged. */
const KINDS: { readonly [K in Selection['kind']]: ChosenKind<Of<K>> } = {
  nothing: {},
  room: roomKind,
  rooms: roomsKind,
  wall: wallKind,
  opening: openingKind,
  corner: cornerKind,
  solid: solidKind,
  stairs: stairsKind,
  slope: slopeKind,
  break: breakKind,
  underlay: { remove: () => removeChosen },
  note: noteKind,
  piece: pieceKind,
};

const kindOf = (selection: Selection): ChosenKind<Selection> =>
  KINDS[selection.kind] as unknown as ChosenKind<Selection>;

/** What of the chosen thing can be typed. */
export const fieldsOfChosen = (state: RootState): FieldShown[] =>
  kindOf(state.plan.selection).fields?.(state, state.plan.selection) ?? [];

/** What a field of the chosen thing measures. */
export const measuredOf = (state: RootState, field: Field): Sort | null =>
  kindOf(state.plan.selection).measures?.(state, field) ?? null;

/** Enter with this typed, where that is no edit that can be shown beforehand. */
export const enterOn = (selection: Selection, value: number): Command | null =>
  kindOf(selection).enter?.(value) ?? null;

/** What is typed, as it would be read: when is told when it is taken. */
const selectRead = createSelector(
  [selectTyped, (state: RootState) => state.plan.pad.text, (state: RootState) => state.plan.pad.instrument],
  (typed, text, instrument): Value | null =>
    typed?.ok ? { value: typed.value, text: text.trim(), unit: unitRead(typed), instrument, time: '' } : null,
);

/** What Enter would do with what is typed; the same as before while it says the same. */
export const selectTypedIntent = createSelector(
  [(state: RootState) => state],
  (state): Intent | null => {
    const { selection, pad } = state.plan;
    const read = selectRead(state);
    return (read && pad.field && kindOf(selection).typed?.(state, pad.field, read, selection)) ?? null;
  },
  { memoizeOptions: { resultEqualityCheck: sameEntity } },
);

/** The plan as it would be after Enter, or why it can't be. */
export const selectGhost = createSelector(
  [selectPlan, selectTypedIntent, (state: RootState) => state.plan.floor, selectFloor],
  (plan, intent, floor, now) => {
    if (!plan || !intent || !now) return null;
    const result = applyEdit(plan, intent, 'ghost');
    // where lengths come from is not asked of a ghost
    return result.ok
      ? { floor: deriveFloor(result.plan, floor, now), reason: null }
      : { floor: null, reason: result.reason };
  },
);

/** Takes away what is chosen. */
export const remove: Command = (dispatch, getState) => {
  const { selection } = getState().plan;
  const own = kindOf(selection).remove?.(selection);
  if (own) dispatch(own);
};

/** Moves what is chosen by (dx, dy) mm on the sheet. False when that is nothing that moves. */
export const nudge =
  (dx: number, dy: number) =>
  (dispatch: AppDispatch, getState: () => RootState): boolean => {
    const { selection } = getState().plan;
    const own = kindOf(selection).nudge?.(selection, dx, dy);
    if (own) dispatch(own);
    return own !== undefined;
  };

/** One step back from what is chosen. */
export const stepBack: Command = (dispatch, getState) => {
  const { selection } = getState().plan;
  dispatch(planActions.selected(kindOf(selection).back?.(selection) ?? { kind: 'nothing' }));
};
