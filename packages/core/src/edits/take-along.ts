import type { Draft } from '../plan/draft';
import { turnedOnWall } from '../walls';
import type { Kind, Move } from '../plan/kinds';
import { COLLECTIONS, type CollectionName, type Collections, type Entity, type Id, kindOf } from '../plan/plan';

/** What each one has become: its own id where it moved, another's where it stays and a copy went. */
type Became = ReadonlyMap<Id, Id>;

interface How {
  readonly copy: boolean;
  /** Is this place, as it was, in one of the rooms that go? */
  readonly inRooms: (p: { readonly x: number; readonly y: number }) => boolean;
  /** Of what could go, what is to; not given: all. */
  readonly wants?: (name: CollectionName, entity: Entity) => boolean;
}

/**
 * Takes along what belongs to walls and corners that have moved, or been copied: what names only what goes goes too, and what stands by itself in a room that
 * goes. What all it names has left behind as it was is copied.
 */
export function takeAlong(
  draft: Draft,
  floor: Id,
  gone: Partial<Record<CollectionName, Became>>,
  move: Move,
  how: How,
): void {
  const became = new Map(Object.entries(gone));
  for (const name of COLLECTIONS) {
    const kind = kindOf(name);
    if (!kind.moved) continue;
    // what names others of its kind goes after them
    const mine = new Map<Id, Id>();
    became.set(name, mine);
    const all = Object.values<Entity>(draft[name]);
    for (let done = -1; done < mine.size && (done < 0 || kind.refers.some(({ to }) => to === name));) {
      done = mine.size;
      for (const entity of all) {
        if (mine.has(entity.id)) continue;
        if (kind.floorOf(entity, draft) !== floor || how.wants?.(name, entity) === false) continue;
        const fate = fateOf(kind, entity, became, how);
        if (!fate) continue;
        const moved = movedOne(draft, kind, entity, became, move);
        if (!moved) {
          if (fate === 'goes') draft.drop(name, entity.id);
          continue;
        }
        const id = fate === 'is copied' ? draft.newId() : entity.id;
        mine.set(entity.id, id);
        const own = fate === 'is copied' ? (kind.copied?.(moved, draft) ?? moved) : moved;
        draft.put(name, { ...own, id } as never);
      }
    }
  }
}

/** What it names that moves at all: not its floor, nor its type. */
const footingOf = (kind: Kind<Entity, Collections>, entity: Entity, became: ReadonlyMap<string, Became>) =>
  kind.refers.flatMap(({ to, ids }) => {
    const fates = became.get(to);
    return fates ? ids(entity).map((id) => ({ id, is: fates.get(id) })) : [];
  });

function fateOf(
  kind: Kind<Entity, Collections>,
  entity: Entity,
  became: ReadonlyMap<string, Became>,
  { copy, inRooms }: How,
): 'goes' | 'is copied' | null {
  const footing = footingOf(kind, entity, became);
  const at = footing.length === 0 ? kind.at?.(entity) : null;
  if (footing.length === 0) return at && inRooms(at) ? (copy ? 'is copied' : 'goes') : null;
  if (footing.some(({ is }) => is === undefined)) return null;
  return copy || footing.every(({ id, is }) => id !== is) ? 'is copied' : 'goes';
}

function movedOne(
  draft: Draft,
  kind: Kind<Entity, Collections>,
  entity: Entity,
  became: ReadonlyMap<string, Became>,
  move: Move,
): Entity | null {
  const how = kind.onWalls;
  const it = move.mirror && how?.of(entity, draft);
  let moved = how && it ? turnedOnWall({ how, entity, it }, { ends: false, sides: true }) : entity;
  for (const { to, with: naming } of kind.refers) moved = naming(moved, (id) => became.get(to)?.get(id) ?? id);
  return kind.moved!(moved, move);
}
