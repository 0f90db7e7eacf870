import { lastFor } from '../memory';
import {
  COLLECTIONS,
  type CollectionName,
  type Collections,
  type Entity,
  type Floor,
  type Id,
  type Plan,
  isSeenOn,
} from './plan';
import { floorHeight } from './storeys';

/** How many states of one floor are held ready: what is drawn, what is looked at, what is undone. */
const HELD = 6;

/** The last states of each floor, the newest first, with the plan each was taken from. */
const last = new Map<Id, { own: Plan; from: Plan }[]>();
const known = new WeakMap<Plan, Map<Id, Plan>>();

/**
 * One floor as a plan by itself: what is on it, and what belongs to the whole house. As long as nothing of that changes it is the same object, whatever is done
 * on other floors, so that what was worked out from it stays.
 */
export function floorPlan(plan: Plan, floor: Id): Plan {
  if (Object.keys(plan.floors).length === 1) return plan;
  let floors = known.get(plan);
  if (!floors) known.set(plan, (floors = new Map()));
  let own = floors.get(floor);
  if (own) return own;
  const states = last.get(floor) ?? [];
  own = states.find((state) => isStill(plan, floor, state))?.own ?? partOf(plan, floor);
  last.set(floor, [{ own, from: plan }, ...states.filter((state) => state.own !== own)].slice(0, HELD));
  floors.set(floor, own);
  // taken from itself it is itself
  known.set(own, (known.get(own) ?? new Map<Id, Plan>()).set(floor, own));
  return own;
}

const isStill = (plan: Plan, floor: Id, { own, from }: { own: Plan; from: Plan }): boolean =>
  plan.job === own.job &&
  COLLECTIONS.every(
    (name) => (name !== 'floors' && plan[name] === from[name]) || same(own[name], on(plan, name, floor)),
  );

const partOf = (plan: Plan, floor: Id): Plan => ({
  ...plan,
  ...(Object.fromEntries(
    COLLECTIONS.map((name) => [name, Object.fromEntries(on(plan, name, floor).map((each) => [each.id, each]))]),
  ) as unknown as Collections),
});

/** What of a kind is on a floor, seen there, or belongs to the whole house. Of floors all are there, for their order and how high they are. */
function on(plan: Plan, name: CollectionName, floor: Id): Entity[] {
  if (name === 'floors') return Object.values(plan.floors).map((each) => withHeight(plan, each, floor));
  return Object.values<Entity>(plan[name]).filter((entity) => isSeenOn(name, entity, plan, floor));
}

const lastHigh = lastFor<Floor, Floor>();

/**
 * A floor with its height where that follows from its rooms, which are not seen from another floor: of those that bear `seenFrom`, or lie between it and the
 * ground. What is higher up is nothing to it.
 */
function withHeight(plan: Plan, floor: Floor, seenFrom: Id): Floor {
  if (floor.height !== null || floor.level > Math.max(plan.floors[seenFrom]!.level, -1)) return floor;
  const height = floorHeight(plan, floor.id);
  return lastHigh(floor, [height], () => ({ ...floor, height }));
}

function same(own: Readonly<Record<Id, Entity>>, now: readonly Entity[]): boolean {
  const ids = Object.keys(own);
  return ids.length === now.length && now.every((entity, i) => entity.id === ids[i] && own[entity.id] === entity);
}
