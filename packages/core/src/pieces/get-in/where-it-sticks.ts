import { type Ring, intersection, ringsArea } from '../../geometry';
import { formatLength } from '../../units';
import { capital } from '../../words';
import type { Size } from '../kind';
import { COARSE, type House, mainDirection, regionOf, startAt, turnedUp, wayIn } from './carrying';
import { type Pose, type Rectangle, between, outlineAt } from './poses';
import { CARRIED, type CarriedHow, type GetInAnswer, type Leg, type Stuck, no } from './question';
import { routeFor } from './route';
import { placeInWords } from './words';

/** How much smaller it would have to be is found to so much, mm. */
const STEP = 5;
/** About as many searches as it takes: to tell how far it is. */
const SEARCHES = 14;

/** By how much it is too large for every way, and where that is felt first. */
export function whereItSticks(house: House, name: string, share: (done: number) => boolean): GetInAnswer {
  const { size } = house.question;
  const { units } = house.plan.job;
  const most = Math.min(size.width, size.depth, size.height) - 20;
  const smaller = (by: number): Size => ({ width: size.width - by, depth: size.depth - by, height: size.height - by });
  let done = 0;
  const tried = (how: CarriedHow, by: number): readonly Leg[] | null => {
    done += 1;
    return wayIn(house, { size: smaller(by), how, rough: true }, (part) =>
      share(Math.min(1, (done - 1 + part) / SEARCHES)),
    );
  };
  let best: { readonly by: number; readonly legs: readonly Leg[] } | null = null;
  const narrow = (how: CarriedHow) => {
    const { width, depth } = turnedUp(size, how);
    return Math.min(width, depth);
  };
  // the narrowest first: a way to carry it that is no better than the last one is looked at once
  for (const how of [...CARRIED].sort((a, b) => narrow(a) - narrow(b))) {
    const more: number = best ? best.by - STEP : most;
    const legs = more > 0 ? tried(how, more) : null;
    if (!legs) continue;
    best = { by: more, legs };
    for (let low = 0; best.by - low > STEP;) {
      const middle: number = (low + best.by) / 2;
      const found = tried(how, middle);
      if (found) best = { by: middle, legs: found };
      else low = middle;
    }
  }
  if (!best) return no(`${capital(name)} does not get in: there is no way from there to its place.`);
  const { by, legs } = best;
  const at = firstTouch(house, legs, by, () => share(1));
  const where = at ? placeInWords(house, at.floor, at.pose) : 'where it is tipped to stand as it stands';
  const words = `${capital(name)} does not get in: it sticks ${where}. It would have to be ${formatLength(Math.ceil(by), units)} smaller.`;
  return { gets: false, words, by, at };
}

/** How far apart places on the way are at which it is asked whether it comes so far, mm. */
const APART = 150;

/** Along a way that something smaller takes, the first place it does not come to, and how it would lie there. */
function firstTouch(house: House, legs: readonly Leg[], by: number, stop: () => boolean): Stuck | null {
  let worst: { at: Stuck; over: number } | null = null;
  for (const [i, leg] of legs.entries()) {
    const size = { width: leg.size.width + by, depth: leg.size.depth + by };
    const free = regionOfLeg(house, leg, i === 0);
    const poses = between(leg.poses, APART);
    const comes = (k: number): boolean =>
      comesNear(house, { leg, size, free, to: poses[k]!, by, isFirst: i === 0, stop });
    let [low, high] = [0, poses.length - 1];
    if (comes(high)) continue;
    while (high - low > 1) {
      const k = Math.floor((low + high) / 2);
      if (comes(k)) low = k;
      else high = k;
    }
    for (const pose of between(poses.slice(low))) {
      const outline = outlineAt(size, pose);
      const over = ringsArea([outline]) - ringsArea(intersection([outline], free));
      if (over > 2000) return { floor: leg.floor, pose, size };
      if (!worst || over > worst.over) worst = { at: { floor: leg.floor, pose, size }, over };
    }
  }
  return worst?.at ?? null;
}

function regionOfLeg(house: House, leg: Leg, isFirst: boolean): readonly Ring[] {
  const { size, offHinges, from } = house.question;
  const entry = house.floors.findIndex(({ floor }) => floor.floor === leg.floor);
  const { floor, stairs } = house.floors[entry]!;
  const { up } = turnedUp(size, leg.how);
  const carried = { height: up, offHinges, from: isFirst ? from : null };
  return regionOf(house, floor, carried, [stairs, house.floors[entry - 1]?.stairs ?? null]);
}

interface Coming {
  readonly leg: Leg;
  readonly size: Rectangle;
  readonly free: readonly Ring[];
  readonly to: Pose;
  readonly by: number;
  readonly isFirst: boolean;
  readonly stop: () => boolean;
}

/** Does it come there, as large as it is? So near as something smaller is nearer to walls than it. */
function comesNear(house: House, { leg, size, free, to, by, isFirst, stop }: Coming): boolean {
  const { floor } = house.floors.find((each) => each.floor.floor === leg.floor)!;
  const start = isFirst ? startAt(floor, house.question.from) : { at: leg.poses[0]!, within: 400 + by };
  const search = { floor: free, size, along: mainDirection(floor), steps: COARSE, rough: true, start, stop };
  return routeFor({ ...search, goal: to, near: 100 + by }) !== null;
}
