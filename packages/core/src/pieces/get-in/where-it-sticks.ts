import { intersection, ringsArea } from '../../geometry';
import { formatLength } from '../../units';
import { capital } from '../../words';
import type { Size } from '../kind';
import { type House, regionOf, turnedUp, wayIn } from './carrying';
import { between, outlineAt } from './poses';
import { CARRIED, type GetInAnswer, type Leg, type Stuck, no } from './question';
import { placeInWords } from './words';

/** Halved so often, how much smaller it would have to be is known to some millimetres. */
const HALVED = 7;

/** By how much it is too large for every way, and where that is felt first. */
export function whereItSticks(house: House, name: string, share: (done: number) => boolean): GetInAnswer {
  const { size } = house.question;
  const { units } = house.plan.job;
  const most = Math.min(size.width, size.depth, size.height) - 20;
  const smaller = (by: number): Size => ({ width: size.width - by, depth: size.depth - by, height: size.height - by });
  let done = 0;
  const tried = (by: number): readonly Leg[] | null => {
    for (const how of CARRIED) {
      const legs = wayIn(house, { size: smaller(by), how, rough: true }, (part) =>
        share((done + part / 3) / (HALVED + 1)),
      );
      if (legs) return legs;
    }
    return null;
  };
  let legs = tried(most);
  if (!legs) return no(`${capital(name)} does not get in: there is no way from that door to its place.`);
  let [low, high] = [0, most];
  for (let i = 0; i < HALVED; i += 1) {
    done += 1;
    const middle = (low + high) / 2;
    const found = tried(middle);
    if (found) [legs, high] = [found, middle];
    else low = middle;
  }
  const at = firstTouch(house, legs, high);
  const where = at ? placeInWords(house, at.floor, at.pose) : 'on the way';
  const words = `${capital(name)} does not get in: it sticks ${where}. It would have to be ${formatLength(Math.ceil(high), units)} smaller.`;
  return { gets: false, words, by: high, at };
}

/** Along a way that something smaller takes, the first place where it touches itself. */
function firstTouch(house: House, legs: readonly Leg[], by: number): Stuck | null {
  let worst: { at: Stuck; over: number } | null = null;
  for (const [i, leg] of legs.entries()) {
    const entry = house.floors.findIndex(({ floor }) => floor.floor === leg.floor);
    const { floor } = house.floors[entry]!;
    const stairs = [house.floors[entry]!.stairs, house.floors[entry - 1]?.stairs ?? null];
    const { up } = turnedUp(house.question.size, leg.how);
    const free = regionOf(
      house,
      floor,
      { height: up, offHinges: house.question.offHinges, from: i === 0 ? house.question.from : null },
      stairs,
    );
    const size = { width: leg.size.width + by, depth: leg.size.depth + by };
    for (const pose of between(leg.poses)) {
      const outline = outlineAt(size, pose);
      const over = ringsArea([outline]) - ringsArea(intersection([outline], free));
      if (over > 2000) return { floor: leg.floor, pose, size };
      if (!worst || over > worst.over) worst = { at: { floor: leg.floor, pose, size }, over };
    }
  }
  return worst?.at ?? null;
}
