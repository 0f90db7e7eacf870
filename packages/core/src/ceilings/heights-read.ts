import type { HeightReading, Plan, Slope } from '../plan/plan';

/** Heights read nearer to each other than this are of the same place, mm. */
export const SAME_PLACE = 100;

/** The height that was read where the higher one of a slope is. */
export const higherHeight = (plan: Pick<Plan, 'heights'>, { id, out }: Slope): HeightReading | undefined =>
  Object.values(plan.heights).find(({ slope, at }) => slope === id && Math.abs(at!.y - out) < SAME_PLACE && at!.y > 0);

/** The one that was read at its foot. */
export const footHeight = (plan: Pick<Plan, 'heights'>, { id }: Slope): HeightReading | undefined =>
  Object.values(plan.heights).find(({ slope, at }) => slope === id && Math.abs(at!.y) < SAME_PLACE);
