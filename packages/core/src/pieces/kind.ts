import type { ModuleFill, Piece } from '../plan/plan';
import type { Part } from './form';

/** Where a kind is found in the catalogue. */
export const PIECE_GROUPS = [
  'kitchen',
  'laundry',
  'bathroom',
  'heating',
  'seating',
  'tables',
  'beds',
  'storage',
  'desk and media',
  'lamps',
  'textiles',
  'decoration',
  'outdoor',
  'people and pets',
  'anything else',
] as const;
export type PieceGroup = (typeof PIECE_GROUPS)[number];

/** The rooms in which a kind is offered first, by what their names say. */
export const PIECE_ROOMS = [
  'kitchen',
  'dining',
  'living',
  'bedroom',
  'child',
  'bath',
  'laundry',
  'hall',
  'study',
  'store',
  'outside',
] as const;
export type PieceRoom = (typeof PIECE_ROOMS)[number];

/** mm: along its front, from back to front, up. */
export interface Size {
  readonly width: number;
  readonly depth: number;
  readonly height: number;
}

export type Side = 'front' | 'back' | 'left' | 'right';

/** Floor beside a piece that must stay free for it to be used. */
export interface FreeZone {
  readonly side: Side;
  /** Away from the piece, mm. */
  readonly depth: number;
  /** What for, as it goes on after “to”. */
  readonly to: string;
  /** Where the figure comes from. */
  readonly source: string;
}

/** A figure of its kind: usual, least, most, mm. */
export type Range = readonly [usual: number, least: number, most: number];

/**
 * A kind of piece, parametric: its drawing on plan, its front and its body all follow from `form`, at whatever size it has.
 * A new kind is a file in `kinds`, and a line in `kinds/index.ts`.
 */
export interface PieceKind {
  /** Under which a plan keeps it. Never changed. */
  readonly id: string;
  readonly name: string;
  /** What else it is called. */
  readonly words: string;
  readonly group: PieceGroup;
  readonly rooms: readonly PieceRoom[];
  readonly width: Range;
  readonly depth: Range;
  readonly height: Range;
  /** Other usual widths, mm. */
  readonly widths?: readonly number[];
  /** Round ones are as deep as they are wide. */
  readonly round?: true;
  /** How high it begins over the floor, mm. */
  readonly up?: number;
  /** It stands with its back to a wall where one is near; `free`: anywhere. */
  readonly back: 'wall' | 'free';
  /** What is left behind it, mm. */
  readonly gap?: number;
  /** It belongs to the house. */
  readonly fixed?: true;
  /** It is let into a worktop. */
  readonly letIn?: true;
  /** Its top is one to work at. */
  readonly worktop?: boolean;
  /** A worktop goes over it, and joins with that of its neighbours. */
  readonly underWorktop?: true;
  /** Hides floor that no rule counts where columns are not counted: boxing, a masonry stove. */
  readonly solid?: true;
  /** It goes into a corner, at its back and its left; at the other end of a wall it is mirrored. */
  readonly corner?: true;
  /** It lies flat, or hangs high: one walks over it, or under it. */
  readonly passable?: true;
  readonly zones?: readonly FreeZone[];
  /** How many sit at it, or on it. */
  readonly seats?: (size: Size) => number;
  /** What is put away in it: of its volume, and metres of shelf for each metre of width. */
  readonly stores?: { readonly share: number; readonly shelves: number };
  /** It has parts that can be typed: doors, drawers, shelves. */
  readonly modules?: { readonly width: number; readonly fill: ModuleFill; readonly count: number };
  readonly form: (size: Size, piece?: Pick<Piece, 'builtIn'>) => readonly Part[];
}

/** “common practice, no source”, as trade figures say. */
export const COMMON = 'common practice, no source';

export const front = (depth: number, to: string, source: string = COMMON): FreeZone => ({
  side: 'front',
  depth,
  to,
  source,
});

/** At both sides; one of them is enough where it stands in a corner, as is said where it is checked. */
export const beside = (depth: number, to: string, source: string = COMMON): readonly FreeZone[] =>
  (['left', 'right'] as const).map((side) => ({ side, depth, to, source }));
