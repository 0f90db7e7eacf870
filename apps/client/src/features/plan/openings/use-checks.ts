import { type DerivedFloor, type OpeningCheck, onceFor, openingChecks } from '@velvet-tape/core';
import { useDeferredValue } from 'react';

const NONE: readonly OpeningCheck[] = [];
const checksOf = onceFor((floor: DerivedFloor): readonly OpeningCheck[] => openingChecks(floor));

/** What is to be said about the doors and windows of a floor; worked out once, and after what is on the screen. */
export function useChecks(floor: DerivedFloor | null): readonly OpeningCheck[] {
  const calm = useDeferredValue(floor);
  return calm ? checksOf(calm) : NONE;
}
