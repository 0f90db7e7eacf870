import { sameEntity } from './changes';
import {
  COLLECTIONS,
  type CollectionName,
  type Collections,
  type Entity,
  type Floor,
  type Id,
  NEW_FLOOR,
  type Plan,
  isSeenOn,
  kindOf,
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
  if (Object.keys(plan.floors).length === 1 && APART.every((name) => isEmpty(plan[name]))) return plan;
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

/** What nothing of a floor depends on is no part of it. */
const APART = COLLECTIONS.filter((name) => kindOf(name).apart);
const isEmpty = (entities: Readonly<Record<Id, Entity>>) => Object.keys(entities).length === 0;

const isStill = (plan: Plan, floor: Id, { own, from }: { own: Plan; from: Plan }): boolean =>
  plan.job === own.job &&
  COLLECTIONS.every(
    (name) =>
      (name !== 'floors' && plan[name] === from[name]) ||
      APART.includes(name) ||
      same(own[name], on(plan, name, floor), name === 'floors'),
  );

const partOf = (plan: Plan, floor: Id): Plan => ({
  ...plan,
  ...(Object.fromEntries(
    COLLECTIONS.map((name) => [name, Object.fromEntries(on(plan, name, floor).map((each) => [each.id, each]))]),
  ) as unknown as Collections),
});

/** What of a kind is on a floor, seen there, or belongs to the whole house. Of floors all are there, for their order and how high they are. */
function on(plan: Plan, name: CollectionName, floor: Id): Entity[] {
  if (kindOf(name).apart) return [];
  if (name === 'floors') return Object.values(plan.floors).map((each) => withHeight(plan, each, floor));
  return Object.values<Entity>(plan[name]).filter((entity) => isSeenOn(name, entity, plan, floor));
}

/**
 * What another floor is to this one: where it lies, and how high it is where it bears this one, or lies between it and the ground, though that follows from rooms
 * that are not seen from here. What it is called, and what is higher up, is nothing to it.
 */
function withHeight(plan: Plan, floor: Floor, seenFrom: Id): Floor {
  const bears = floor.level <= Math.max(plan.floors[seenFrom]!.level, -1);
  const height = bears ? floorHeight(plan, floor.id) : null;
  if (floor.id === seenFrom) return { ...floor, height };
  return { ...floor, ...NEW_FLOOR, name: '', height, buildUp: bears ? floor.buildUp : null };
}

/** The very same things; floors, of which each plan has its own, when they say the same. */
function same(own: Readonly<Record<Id, Entity>>, now: readonly Entity[], byValue: boolean): boolean {
  const ids = Object.keys(own);
  return (
    ids.length === now.length &&
    now.every(
      (entity, i) => entity.id === ids[i] && (byValue ? sameEntity(own[entity.id], entity) : own[entity.id] === entity),
    )
  );
}

/** Is all that is on a floor the same in two plans? */
export const isAlikeOn = (a: Plan, b: Plan, floor: Id): boolean =>
  Object.hasOwn(a.floors, floor) &&
  Object.hasOwn(b.floors, floor) &&
  COLLECTIONS.every((name) => {
    if (name === 'floors' || a[name] === b[name]) return true;
    const [one, two] = [a, b].map((plan) =>
      Object.values<Entity>(plan[name]).filter((entity) => kindOf(name).floorOf(entity, plan) === floor),
    );
    const there = new Map(two!.map((entity) => [entity.id, entity]));
    return one!.length === two!.length && one!.every((entity) => sameEntity(entity, there.get(entity.id)));
  });
