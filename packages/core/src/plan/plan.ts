import type { Collections } from './kinds';
import type { Room } from './kinds/rooms';
import type { Wall } from './kinds/walls';
import type { Collection, Id } from './values';

export { COLLECTIONS, type CollectionName, type Collections, type Entities, type Entity, KINDS, kindOf } from './kinds';
export * from './kinds/corners';
export * from './kinds/floors';
export * from './kinds/gaps';
export * from './kinds/heights';
export * from './kinds/opening-types';
export * from './kinds/openings';
export * from './kinds/readings';
export * from './kinds/rooms';
export * from './kinds/solids';
export * from './kinds/underlays';
export * from './kinds/walls';
export * from './values';

/** Version of the document, see migrations. */
export const SCHEMA_VERSION = 9;

export type Units = 'metric' | 'imperial';

export interface JobDetails {
  readonly name: string;
  readonly address: string;
  readonly units: Units;
  /** What walls and ceilings usually measure in this house, mm. */
  readonly usual: {
    readonly externalThickness: number;
    readonly internalThickness: number;
    readonly partyThickness: number;
    readonly ceilingHeight: number;
  };
  /** Direction of north on the sheet, degrees clockwise from straight up. */
  readonly north: number;
}

/**
 * The plan: the document of a job. Plain data, normalised, in millimetres; whatever can be worked out
 * from it (rooms' outlines, areas, drawings) is not in it. Beside the job it has a collection for each kind of thing (see `kinds`).
 */
export interface Plan extends Collections {
  readonly schema: typeof SCHEMA_VERSION;
  readonly job: JobDetails;
}

export const thicknessOf = (wall: Wall): number => wall.left + wall.right;
export const ceilingHeightOf = (plan: Plan, room: Room): number => room.ceilingHeight ?? plan.job.usual.ceilingHeight;

const wallLists = new WeakMap<Collection<Wall>, Map<Id, readonly Wall[]>>();

/** The walls of one floor of a plan, in the order they were made. */
export function wallsOf(plan: Pick<Plan, 'walls'>, floor: Id): readonly Wall[] {
  let lists = wallLists.get(plan.walls);
  if (!lists) wallLists.set(plan.walls, (lists = new Map()));
  let list = lists.get(floor);
  if (!list) lists.set(floor, (list = Object.values(plan.walls).filter((wall) => wall.floor === floor)));
  return list;
}
