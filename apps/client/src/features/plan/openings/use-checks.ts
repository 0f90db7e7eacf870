import { type DerivedFloor, type OpeningCheck, openingChecks } from '@velvet-tape/core';
import { useDeferredValue } from 'react';

const remembered = new WeakMap<DerivedFloor, readonly OpeningCheck[]>();
const NONE: readonly OpeningCheck[] = [];

function checksOf(floor: DerivedFloor): readonly OpeningCheck[] {
  let checks = remembered.get(floor);
  if (!checks) remembered.set(floor, (checks = openingChecks(floor)));
  return checks;
}

/** What is to be said about the doors and windows of a floor; worked out once, and after what is on the screen. */
export function useChecks(floor: DerivedFloor | null): readonly OpeningCheck[] {
  const calm = useDeferredValue(floor);
  return calm ? checksOf(calm) : NONE;
}
