import type { z } from 'zod';
import type { Id, WallSide } from '../values';

/** The parts of a plan that hold entities by id, one for each kind. */
export type CollectionName =
  | 'floors'
  | 'corners'
  | 'walls'
  | 'types'
  | 'openings'
  | 'solids'
  | 'stairs'
  | 'slopes'
  | 'breaks'
  | 'rooms'
  | 'readings'
  | 'heights'
  | 'gaps'
  | 'underlays'
  | 'dimensions'
  | 'points'
  | 'annotations'
  | 'options'
  | 'pieces'
  | 'alterations'
  | 'alterationEnds'
  | 'finishes'
  | 'trims'
  | 'looks'
  | 'sheets'
  | 'frames'
  | 'vantages'
  | 'taken';

/** Of pages, which show the house: nothing that follows from a floor depends on them. */
export const ON_NO_FLOOR = '';

/** Fields that say one thing together, and what it is called: two people can change what is apart without one undoing the other. */
export interface Together {
  readonly fields: readonly string[];
  readonly says: string;
}

export const together = (says: string, ...fields: string[]): Together => ({ fields, says });

/** One thing a plan keeps naming another. `P` is what of a plan has to be known to tell. */
export interface Reference<E, P> {
  readonly to: CollectionName;
  readonly ids: (entity: E) => readonly Id[];
  /** The entity with others in the place of those it names. */
  readonly with: (entity: E, other: (id: Id) => Id) => E;
  /** Said of one that names what is not there. */
  readonly lost: (entity: E, plan: P) => string;
  /** Said of one that names what is on another floor; null: that is no fault. Not given: as of what is not there. */
  readonly elsewhere?: ((entity: E) => string) | null;
  /**
   * What becomes of it when what it names goes.
   * - `drop`: it goes too.
   * - `restore`: it goes too where that is meant; where two people's work is brought together what it names is put back.
   * - `refuse`: as `restore`, and no edit may take away what it names by the way.
   */
  readonly gone: 'drop' | 'restore' | 'refuse';
  /** Why an edit that would take away by the way what it names is refused. */
  readonly refusal?: (entity: E, plan: P) => string;
}

/** How something stands on a wall: by the inside corner at that end and side its distance was taped from. mm along the face. */
export interface Standing {
  readonly wall: Id;
  readonly anchor: 'start' | 'end';
  readonly side: WallSide;
  /** From that corner to its nearer edge. */
  readonly offset: number;
  readonly width: number;
}

export type Stand = Omit<Standing, 'width'>;

/** For what stands on walls: splitting, merging, turning, copying of walls go by it. */
export interface OnWalls<E, P> {
  /** Null where it stands free of walls. */
  readonly of: (entity: E, plan: P) => Standing | null;
  readonly at: (entity: E, stand: Stand) => E;
  /** What else of it is handed, once the ends of its wall, or its sides, have changed places. */
  readonly turned?: (entity: E, which: { readonly ends: boolean; readonly sides: boolean }) => E;
  /** It is on a side of its wall from end to end: where that is parted it is on both pieces, and two pieces are one again where this is the same of both. */
  readonly whole?: (entity: E) => string;
  /** It hinders nothing that is done to its wall; not given: it does. */
  readonly light?: true;
  /** Where its wall goes it stays, free: `at` on the face where its middle was, `d` along the face as seen from its room. Not given: it goes too. */
  readonly freed?: (
    entity: E,
    at: { readonly x: number; readonly y: number },
    d: { readonly x: number; readonly y: number },
  ) => E;
  /** Why no wall may end within it; not given: it goes with the piece its middle is on. */
  readonly uncut?: (entity: E, plan: P) => string;
}

/** How a part of a floor is moved, turned, mirrored. */
export interface Move {
  readonly to: (p: { readonly x: number; readonly y: number }) => { readonly x: number; readonly y: number };
  /** Degrees clockwise, after mirroring. */
  readonly turn: number;
  /** Left and right change places. */
  readonly mirror: boolean;
}

/**
 * All that is particular to one kind of thing in a plan. Reading, checking, editing, merging, repairing, copying and cutting out of plans loop over the
 * kinds and know none by name, but for walls, their corners and rooms, which are what plans are about.
 */
export interface Kind<E, P> {
  /** What one is called, and several. */
  readonly one: string;
  readonly many: string;
  /** More than any house has, and no more than can be worked out while one waits. */
  readonly most: number;
  readonly schema: z.ZodObject & z.ZodType<E>;
  /** The floor it is on; undefined for what belongs to the whole house, `ON_NO_FLOOR` for what is no part of a house. */
  readonly floorOf: (entity: E, plan: P) => Id | undefined;
  /** Is it seen on this other floor too, so that what follows from that floor depends on it? */
  readonly reaches?: (entity: E, plan: P, floor: Id) => boolean;
  /** Nothing that follows from a floor depends on it: it is no part of what `deriveFloor` works on, and is drawn beside that. */
  readonly apart?: true;
  /** What isn't listed stands by itself. */
  readonly together: readonly Together[];
  readonly refers: readonly Reference<E, P>[];
  /** What can't be of it though each of its fields can, in words; null where all is well. Asked only when what it names is there. */
  readonly unsound?: (entity: E, plan: P) => string | null;
  /** Only what is kept of it, where edits pass on more. */
  readonly kept?: (entity: E) => E;
  readonly onWalls?: OnWalls<E, P>;
  /** Where on the sheet it is by itself; null where it hangs on something else. Only then can it be in a room. */
  readonly at?: (entity: E) => { readonly x: number; readonly y: number } | null;
  /**
   * It goes along when rooms are moved or copied: what of it changes besides what it names (and, on a wall, how it stands). Null where it makes no sense
   * there. Not given: it stays.
   */
  readonly moved?: (entity: E, move: Move) => E | null;
  /** What a copy has of its own. */
  readonly copied?: (entity: E, plan: P) => E;
}

/** The floor it names itself. Merged work brings its floor back. */
export const onFloor = <E extends { readonly id: Id; readonly floor: Id }>(what: string): Reference<E, object> => ({
  to: 'floors',
  ids: ({ floor }) => [floor],
  with: (entity, other) => ({ ...entity, floor: other(entity.floor) }),
  lost: ({ id }) => `Something is on no floor: ${what} ${id}.`,
  elsewhere: null,
  gone: 'restore',
});
