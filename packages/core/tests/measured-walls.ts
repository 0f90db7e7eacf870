import { findWalls } from '../src/underlay/find-walls';
import { drawnPlan } from './drawn-plans';
import { scoreOf } from './wall-scores';

/** How much of the walls of drawn plans is found within one wall thickness, and how much of what is found is wall. */
export async function measured(seeds: readonly number[], noisy: boolean) {
  const sum = { all: 0, hit: 0, found: 0, right: 0, gaps: 0, gapsHit: 0, gapsFound: 0 };
  let skewOff = 0;
  const poor: string[] = [];
  for (const seed of seeds) {
    const plan = await drawnPlan(seed, noisy);
    const { walls, skew } = findWalls(plan.picture, plan.perPixel);
    const score = scoreOf(plan.walls, walls);
    for (const key of Object.keys(sum) as (keyof typeof sum)[]) sum[key] += score[key];
    const [{ a, b }] = plan.walls as [(typeof plan.walls)[0]];
    skewOff = Math.max(skewOff, Math.abs(skew - (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI));
    if (score.hit < 0.9 * score.all || score.right < 0.9 * score.found) poor.push(String(seed));
  }
  return {
    plans: seeds.length,
    recall: sum.hit / sum.all,
    precision: sum.right / sum.found,
    openings: sum.gapsHit / sum.gaps,
    openingsRight: sum.gapsHit / sum.gapsFound,
    skewOff,
    poor,
  };
}
