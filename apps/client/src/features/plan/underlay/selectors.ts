import { createSelector } from '@reduxjs/toolkit';
import { type Underlay, scaleOf, seenWalls } from '@velvet-tape/core';
import type { RootState } from '../../../store/store';

/** The plan as it is shown while something is dragged. */
const selectShownPlan = (state: RootState) => state.plan.preview?.plan ?? state.plan.plan;

/** The underlays of the floor, from the lowest up. */
export const selectUnderlays = createSelector(
  [selectShownPlan, (state: RootState) => state.plan.plan, (state: RootState) => state.plan.floor],
  (shown, plan, floor): readonly Underlay[] =>
    // a preview of a part of the plan has them all
    Object.values((shown ?? plan)?.underlays ?? {})
      .filter((underlay) => underlay.floor === floor)
      .sort((a, b) => a.order - b.order),
);

/** The one that is chosen. */
export const selectUnderlay = (state: RootState): Underlay | null => {
  const { selection } = state.plan;
  return selection.kind === 'underlay' ? (state.plan.plan?.underlays[selection.id] ?? null) : null;
};

/** The one over all others whose scale is known and that can be seen: what is drawn is traced off it. */
export const selectTraced = createSelector(
  [selectUnderlays],
  (underlays): Underlay | null =>
    underlays.filter((underlay) => !underlay.hidden && scaleOf(underlay).known).at(-1) ?? null,
);

/** Walls that were found, where they lie on the sheet. */
export const selectSeen = createSelector(
  [(state: RootState) => state.underlay.found, (state: RootState) => state.plan.plan],
  (found, plan) => {
    const underlay = found && plan?.underlays[found.underlay];
    return found && underlay ? { underlay, walls: seenWalls(underlay, found.walls) } : null;
  },
);
