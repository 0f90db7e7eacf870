import { type Misclosure, misclosuresOf } from '../trueup';
import type { DerivedFloor, DerivedRoom } from './derive-floor';

const remembered = new WeakMap<DerivedFloor, readonly Misclosure[]>();

/** Where the readings of a floor contradict each other, the worst first; worked out when it is first asked for. */
export function misclosuresOn(floor: DerivedFloor): readonly Misclosure[] {
  let list = remembered.get(floor);
  if (!list) {
    list = [...misclosuresOf(floor.network, floor.readings)].sort((a, b) => b.by - a.by);
    remembered.set(floor, list);
  }
  return list;
}

/** Those that a room has a part in: one of the suspects was measured in it. */
export const misclosuresIn = (floor: DerivedFloor, { faces }: DerivedRoom): readonly Misclosure[] => {
  const corners = new Set(faces.flatMap(({ from, to }) => [from, to]));
  return misclosuresOn(floor).filter(({ suspects }) =>
    suspects.some(({ reading }) => corners.has(reading.from) && corners.has(reading.to)),
  );
};
