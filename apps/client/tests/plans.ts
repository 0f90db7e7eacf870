import { type Plan, applyEdit } from '@velvet-tape/core';

/** A room of 3 by 3 m more, x mm along. */
export const box = (plan: Plan, x: number, seed: string): Plan => {
  const result = applyEdit(
    plan,
    { kind: 'drawBox', floor: 'ground', a: { x, y: 0 }, b: { x: x + 3000, y: 3000 } },
    seed,
  );
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
};

export const named = (plan: Plan, name: string): Plan => ({ ...plan, job: { ...plan.job, name } });
