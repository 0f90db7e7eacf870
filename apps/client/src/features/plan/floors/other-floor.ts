import { createSelector } from '@reduxjs/toolkit';
import { type DerivedFloor, deriveFloor, floorBeside } from '@velvet-tape/core';
import type { RootState } from '../../../store/store';

/** A floor that shines through the one that is worked on, and where it lies. */
export interface OtherFloor {
  readonly floor: DerivedFloor;
  readonly where: 'above' | 'below';
}

/** The floor below, of the lowest the one above; null where there is none, or it is not wanted. */
export const selectOtherFloor = createSelector(
  [
    (state: RootState) => state.plan.plan,
    (state: RootState) => state.plan.floor,
    (state: RootState) => state.plan.choices.otherFloor,
  ],
  (plan, floor, wanted): OtherFloor | null => {
    if (!plan || wanted === 'off' || !Object.hasOwn(plan.floors, floor)) return null;
    for (const where of ['below', 'above'] as const) {
      const beside = floorBeside(plan, floor, where);
      if (beside && !beside.hidden) return { floor: deriveFloor(plan, beside.id), where };
    }
    return null;
  },
);
