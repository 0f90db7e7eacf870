import { Draft } from '../plan/draft';
import type { Plan } from '../plan/plan';
import { reconcileRooms } from '../rooms';
import { isPlanar } from './planar';
import { referenceProblems, roomProblems } from './problems';

/** A plan of a time when a room could lose its floor to a gap between walls: each room is put back on the floor its walls enclose. */
export function onTheirFloors(plan: Plan): Plan {
  if (referenceProblems(plan).length > 0) return plan;
  const draft = new Draft(plan, 'found');
  for (const floor of Object.keys(plan.floors))
    if (isPlanar(plan, floor) && roomProblems(plan, floor).length > 0) reconcileRooms(draft, floor);
  return draft.plan();
}
