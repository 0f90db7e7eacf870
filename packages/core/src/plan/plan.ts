import { onceFor } from '../memory';
import type { Collections } from './kinds';
import type { LabelSays, Room } from './kinds/rooms';
import type { PictureDetails } from './kinds/underlays';
import type { Wall } from './kinds/walls';
import type { Collection, Id } from './values';

export {
  COLLECTIONS,
  type CollectionName,
  type Collections,
  type Entities,
  type Entity,
  KINDS,
  isSeenOn,
  kindOf,
} from './kinds';
export * from './kinds/alterations';
export * from './kinds/breaks';
export * from './kinds/corners';
export * from './kinds/dimensions';
export * from './kinds/floors';
export * from './kinds/frames';
export * from './kinds/gaps';
export * from './kinds/heights';
export * from './kinds/looks';
export * from './kinds/annotations';
export * from './kinds/opening-types';
export * from './kinds/openings';
export * from './kinds/finishes';
export * from './kinds/options';
export * from './kinds/pieces';
export * from './kinds/points';
export * from './kinds/readings';
export * from './kinds/rooms';
export * from './kinds/sheets';
export * from './kinds/slopes';
export * from './kinds/solids';
export * from './kinds/stairs';
export * from './kinds/taken';
export { HATCHES, type Hatch } from './kinds/fields';
export { ON_NO_FLOOR } from './kinds/kind';
export type { EitherStand, FreeStand, WallStand } from './kinds/stand';
export * from './kinds/underlays';
export * from './kinds/vantages';
export * from './kinds/walls';
export * from './values';

/** Version of the document, see migrations. */
export const SCHEMA_VERSION = 17;

export type Units = 'metric' | 'imperial';

export const STAIR_RULES = ['general', 'UK', 'US'] as const;
export type StairRule = (typeof STAIR_RULES)[number];

/** By which rule an area is counted; what each counts is in `areas/rules`. */
export const AREA_RULES = [
  'net',
  'gross internal',
  'gross external',
  'IPMS 1',
  'IPMS 2',
  'IPMS 3A',
  'IPMS 3B',
  'IPMS 3C',
  'ANSI Z765',
  'WoFlV',
  'Carrez',
] as const;
export type AreaRuleName = (typeof AREA_RULES)[number];

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
  /** Where on earth it is, for the sun: degrees, north and east positive, and how many minutes its clocks are before Greenwich; null: nobody said. */
  readonly place: { readonly latitude: number; readonly longitude: number; readonly zone: number } | null;
  /** What else is to be known of the job: where the key is, whom to ask. */
  readonly note: string;
  /** Whose rules stairs are held against. */
  readonly stairRule: StairRule;
  /** The rule areas are counted by, and another beside it. */
  readonly areaRule: AreaRuleName;
  readonly besideRule: AreaRuleName | null;
  /** What the listing says the home has, mm². */
  readonly listed: number | null;
  /** Whose name stands on the sheets, and what they say of what can be relied on. */
  readonly drawnBy: string;
  readonly disclaimer: string;
  /** Stands in the title block of every sheet. */
  readonly logo: PictureDetails | null;
  /** What the labels of rooms say that say nothing else. */
  readonly labels: LabelSays;
  /** What of the plan shows on the screen: a look by its name, or one of one's own by its id. */
  readonly look: string;
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

/** The ids of all pictures a plan has: under it, on its sheets, in their title block. */
export const picturesIn = ({
  underlays,
  frames,
  finishes,
  taken,
  job,
}: Pick<Plan, 'underlays' | 'frames' | 'finishes' | 'taken' | 'job'>): Id[] => [
  ...Object.values(underlays).map(({ picture }) => picture),
  ...Object.values(frames).flatMap(({ shows }) => (shows.kind === 'picture' ? [shows.picture] : [])),
  ...Object.values(taken).map(({ picture }) => picture),
  ...Object.values(finishes).flatMap(({ look }) => look.picture ?? []),
  ...(job.logo ? [job.logo.picture] : []),
];

const wallLists = onceFor((walls: Collection<Wall>): ReadonlyMap<Id, readonly Wall[]> => {
  const lists = new Map<Id, Wall[]>();
  for (const wall of Object.values(walls)) {
    const list = lists.get(wall.floor);
    if (list) list.push(wall);
    else lists.set(wall.floor, [wall]);
  }
  return lists;
});
const NONE: readonly Wall[] = [];

/** The walls of one floor of a plan, in the order they were made. */
export const wallsOf = (plan: Pick<Plan, 'walls'>, floor: Id): readonly Wall[] =>
  wallLists(plan.walls).get(floor) ?? NONE;
