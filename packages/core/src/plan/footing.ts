import { type Draft, Refusal } from './draft';
import { COLLECTIONS, type CollectionName, type Collections, type Entity, type Id, type Plan, kindOf } from './plan';

/** What names an entity, with how it does. */
export function* namedBy(plan: Collections, collection: CollectionName, id: Id) {
  for (const name of COLLECTIONS) {
    for (const reference of kindOf(name).refers) {
      if (reference.to !== collection) continue;
      for (const entity of Object.values<Entity>(plan[name]))
        if (reference.ids(entity).includes(id)) yield { name, entity, reference };
    }
  }
}

/**
 * Takes an entity away with all that stands on it. By the way, as when walls are split and welded, it is refused where something stands on it that no
 * edit may take away unasked.
 */
export function dropWithAll(draft: Draft, collection: CollectionName, id: Id, how: 'wanted' | 'by the way'): void {
  for (const { name, entity, reference } of [...namedBy(draft, collection, id)]) {
    if (how === 'by the way' && reference.gone === 'refuse')
      throw new Refusal(reference.refusal?.(entity, draft) ?? reference.lost(entity, draft));
    dropWithAll(draft, name, entity.id, how);
  }
  draft.drop(collection, id);
}

/** Whatever named the one names the other. */
export function rename(draft: Draft, collection: CollectionName, gone: Id, kept: Id): void {
  for (const { name, entity, reference } of [...namedBy(draft, collection, gone)]) {
    const now = (draft[name] as Record<Id, Entity>)[entity.id]!;
    draft.put(name, reference.with(now, (each) => (each === gone ? kept : each)) as never);
  }
}

/**
 * A plan brought together from two: what was taken away by the one and is stood on by what the other has comes back from where it
 * still is; what merely went along with it goes.
 */
export function withFooting(merged: Plan, ...sources: readonly Plan[]): Plan {
  const now = Object.fromEntries(COLLECTIONS.map((name) => [name, { ...merged[name] }])) as Record<
    CollectionName,
    Record<Id, Entity>
  >;
  const plan = { ...merged, ...(now as unknown as Collections) };
  const restore = (name: CollectionName, entity: Entity): void => {
    for (const { to, ids, gone } of kindOf(name).refers) {
      if (gone === 'drop') continue;
      for (const id of ids(entity)) {
        if (Object.hasOwn(now[to], id)) continue;
        const footing = sources.map((source) => own(source[to], id)).find(Boolean);
        if (!footing) continue;
        now[to][id] = footing;
        restore(to, footing);
      }
    }
  };
  for (const name of COLLECTIONS) for (const entity of Object.values(now[name])) restore(name, entity);
  return plan;
}

/** Drops what names something that isn't there, and what names that, till nothing does. */
export function dropLost(draft: Draft): void {
  for (let again = true; again;) {
    again = false;
    for (const name of COLLECTIONS) {
      for (const entity of Object.values<Entity>(draft[name])) {
        const lost = kindOf(name).refers.some(({ to, ids }) => ids(entity).some((id) => !own(draft[to], id)));
        if (!lost) continue;
        draft.drop(name, entity.id);
        again = true;
      }
    }
  }
}

const own = (entities: Readonly<Record<Id, Entity>>, id: Id): Entity | undefined =>
  Object.hasOwn(entities, id) ? entities[id] : undefined;
