import type { Underlay } from './underlay';
import type { Collection, Id, Value, WallSide } from './values';
import {
  type GapReading,
  type Opening,
  type OpeningKind,
  type OpeningType,
  type PlacedOpening,
  openingOf,
} from './opening';

export * from './opening';
export * from './underlay';
export * from './values';

/**
 * The plan: the document of a job. Plain data, normalised, in millimetres; whatever can be worked out
 * from it (rooms' outlines, areas, drawings) is not in it.
 */
export const SCHEMA_VERSION = 8;

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

export interface Floor {
  readonly id: Id;
  readonly name: string;
  /** 0 is the ground floor. */
  readonly level: number;
}

export interface Corner {
  readonly id: Id;
  readonly floor: Id;
  readonly x: number;
  readonly y: number;
  /** It stays where it is whatever is read. */
  readonly pinned?: boolean;
}

/** A party wall parts this house from the next; a chalk line is a boundary without a wall. Outer and inner walls are told apart by their rooms. */
export type WallKind = 'external' | 'internal' | 'party' | 'chalk';

/**
 * A wall between two corners, straight or along an arc. Its body reaches `left` and `right` mm from the line between the
 * corners, left and right being those of someone walking from start to end. A first room's walls have their
 * line on the inner face (right = 0), so that the room is exactly as it was drawn.
 */
export interface Wall {
  readonly id: Id;
  readonly floor: Id;
  readonly start: Id;
  readonly end: Id;
  /** Of its line: 0 straight; positive bows to the left (see Arc). */
  readonly bulge: number;
  readonly left: number;
  readonly right: number;
  readonly kind: WallKind;
  /** The thickness was typed for this wall; until then it follows the job's usual one for its kind. */
  readonly typed: boolean;
}

export type SolidKind = 'column' | 'pier' | 'chimney breast';
export type SolidShape = 'rectangle' | 'round';

/** What stands solid in a room and is taken off its floor. */
export interface Solid {
  readonly id: Id;
  readonly floor: Id;
  readonly kind: SolidKind;
  readonly shape: SolidShape;
  /** mm; a free-standing round one is as deep as it is wide. */
  readonly width: number;
  readonly depth: number;
  readonly stand: FreeStand | WallStand;
}

/** Its middle on the sheet, and how it is turned, degrees clockwise. */
export interface FreeStand {
  readonly kind: 'free';
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/** Against a wall: from the inside corner at that end and side to its nearer edge, mm, as an opening. */
export interface WallStand {
  readonly kind: 'wall';
  readonly wall: Id;
  readonly anchor: 'start' | 'end';
  readonly side: WallSide;
  readonly offset: number;
}

/** Tints a room can be given on the plan. */
export const ROOM_COLOURS = ['moss', 'clay', 'brass', 'velvet', 'water'] as const;
export type RoomColour = (typeof ROOM_COLOURS)[number];

export interface Room {
  readonly id: Id;
  readonly floor: Id;
  /** Empty until it has been named. */
  readonly name: string;
  /** Null: the job's usual ceiling height. */
  readonly ceilingHeight: number | null;
  /** A point of the floor inside the room: it tells which outline is this room's. */
  readonly at: { readonly x: number; readonly y: number };
  /** Where its label was put by hand; null: where there is most room for it. */
  readonly label: { readonly x: number; readonly y: number } | null;
  readonly colour: RoomColour | null;
}

/** Where a reading is taken. */
export type Place = Pick<Reading, 'kind' | 'face' | 'from' | 'to' | 'via'>;

export const READING_KINDS = [
  'length',
  'chord',
  'diagonal',
  'between',
  'angle',
  'thickness',
  'sagitta',
  'radius',
  'arc',
] as const;
/**
 * What was measured, as someone in the room sees it (the room at the right hand from `from` to `to`):
 * - `length`: along a wall, from one corner to another; `chord`: straight across a curved wall.
 * - `sagitta`, `radius`, `arc`: how far the inner face of a curved wall bows, its radius, its length along the arc.
 * - `thickness`: through the wall from corner to corner.
 * - `diagonal`: from one inside corner to any other; `via` are the corners that follow each on the outline of its room.
 * - `between`: square across, from the face `from`–`to` to the face between the corners in `via`.
 * - `angle`: inside, at the corner `from`, of which `to` is the corner that follows.
 */
export type ReadingKind = (typeof READING_KINDS)[number];

/** Something read on site: an observation that the plan is fitted to. */
export interface Reading extends Value {
  readonly id: Id;
  readonly floor: Id;
  readonly kind: ReadingKind;
  /** Where along a wall it was taken: on its inner face, on its outer face, or along its middle, as some drawings give it. */
  readonly face: 'inside' | 'outside' | 'centre';
  readonly from: Id;
  readonly to: Id;
  readonly via: readonly Id[];
  readonly note: string;
  /** It counts as certain: where others contradict it, they give way. */
  readonly held: boolean;
  /** What contradicts it was seen and is to be spread: it is not said again. */
  readonly spread: boolean;
  /** What was read here before, the last first. */
  readonly history: readonly Value[];
}

/** A height read in a room: of its ceiling, or (`at`) of the slope over one point of its floor. */
export interface HeightReading extends Value {
  readonly id: Id;
  readonly floor: Id;
  readonly room: Id;
  /** Null: the ceiling where it is flat. */
  readonly at: { readonly x: number; readonly y: number } | null;
  readonly note: string;
  readonly history: readonly Value[];
}

export interface Plan {
  readonly schema: typeof SCHEMA_VERSION;
  readonly job: JobDetails;
  readonly floors: Collection<Floor>;
  readonly corners: Collection<Corner>;
  readonly walls: Collection<Wall>;
  readonly types: Collection<OpeningType>;
  readonly openings: Collection<PlacedOpening>;
  readonly solids: Collection<Solid>;
  readonly rooms: Collection<Room>;
  readonly readings: Collection<Reading>;
  readonly heights: Collection<HeightReading>;
  readonly gaps: Collection<GapReading>;
  readonly underlays: Collection<Underlay>;
}

/** The parts of a plan that hold entities by id. */
export const COLLECTIONS = [
  'floors',
  'corners',
  'walls',
  'types',
  'openings',
  'solids',
  'rooms',
  'readings',
  'heights',
  'gaps',
  'underlays',
] as const;
export type CollectionName = (typeof COLLECTIONS)[number];

/** Readings taken along one wall, or of the wall itself: `from` and `to` are its ends. */
export const isAlong = ({ kind }: Pick<Reading, 'kind'>): boolean =>
  kind !== 'diagonal' && kind !== 'between' && kind !== 'angle';
/** Readings of how a curved wall is bent. */
export const isOfBend = ({ kind }: Pick<Reading, 'kind'>): boolean =>
  kind === 'sagitta' || kind === 'radius' || kind === 'arc';

/** The openings of one floor, with what their types say. */
export const openingsOn = (plan: Pick<Plan, 'openings' | 'walls' | 'types'>, floor: Id): Opening[] =>
  Object.values(plan.openings)
    .filter(({ wall }) => plan.walls[wall]?.floor === floor)
    .map((placed) => openingOf(plan.types, placed));

/** The number of the next door, window or plain opening of a floor: one more than the highest there is. */
export const nextNumber = (plan: Pick<Plan, 'openings' | 'walls' | 'types'>, floor: Id, kind: OpeningKind): number =>
  1 + openingsOn(plan, floor).reduce((most, each) => (each.kind === kind ? Math.max(most, each.number) : most), 0);

/** All corners a reading names. */
export const cornersOfReading = ({ from, to, via }: Place): readonly Id[] => [from, to, ...via];

/** The reading with other corners in the place of some of its own; itself when none of them is. */
export function withCorners(reading: Reading, other: (corner: Id) => Id): Reading {
  const [from, to, ...via] = cornersOfReading(reading).map(other) as [Id, Id, ...Id[]];
  const same = from === reading.from && to === reading.to && via.every((id, i) => id === reading.via[i]);
  return same ? reading : { ...reading, from, to, via };
}

/** Where a reading was taken: two readings of one place are one measured again. */
export const placeOfReading = ({ kind, face, from, to, via }: Place): string =>
  `${kind} ${face} ${from}>${to} ${via.join('>')}`;

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
