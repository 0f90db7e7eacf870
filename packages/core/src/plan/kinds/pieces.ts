import { z } from 'zod';
import type { Collection, Id } from '../values';
import { LONGEST_NAME, coordinate, degrees, id, millimetres, nameOf, note, theName, theNote } from './fields';
import { type Kind, type Reference, type Standing, onFloor, together } from './kind';
import { ROOM_COLOURS, type RoomColour } from './rooms';
import { type FreeStand, type WallStand, eitherStand, movedStand, onItsWall } from './stand';

/** Against a wall, with its back to it or turned by so many quarters, clockwise. */
export interface PieceWallStand extends WallStand {
  readonly quarter: number;
}

/** On top of another piece: from that one’s middle to its own, in the frame of that one, mm. */
export interface OnPieceStand {
  readonly kind: 'piece';
  readonly piece: Id;
  readonly x: number;
  readonly y: number;
  /** Against that one, degrees clockwise. */
  readonly turn: number;
}

export type PieceStand = FreeStand | PieceWallStand | OnPieceStand;

/** What fills a part of a piece that is built in. */
export const MODULE_FILLS = ['doors', 'drawers', 'shelves', 'open', 'rail'] as const;
export type ModuleFill = (typeof MODULE_FILLS)[number];

/** A part of a piece that is built in, from left to right. */
export interface PieceModule {
  /** mm; null: as wide as what is left lets it be. */
  readonly width: number | null;
  readonly fill: ModuleFill;
  /** Doors beside each other, drawers or shelves over each other. */
  readonly count: number;
}

/** How a piece that is built in is made. */
export interface BuiltIn {
  readonly modules: readonly PieceModule[];
  /** Height of the plinth under it, mm; how far its top reaches over its front. */
  readonly plinth: number;
  readonly overhang: number;
}

/** What stands in a room: furniture, fittings, appliances, plants, people for scale. */
export interface Piece {
  readonly id: Id;
  readonly floor: Id;
  /** What it is, by its name in the catalogue. */
  readonly form: string;
  /** What it is called here; empty: as its kind is. */
  readonly name: string;
  /** mm: along its front, from back to front, and up. */
  readonly width: number;
  readonly depth: number;
  readonly height: number;
  /** How high it begins over the floor, or over what it stands on, mm. */
  readonly up: number;
  readonly stand: PieceStand;
  /** What is left between it and its wall, mm. */
  readonly gap: number;
  readonly mirrored: boolean;
  /** It belongs to the house, as a bath does. */
  readonly fixed: boolean;
  /** The option it is part of; empty: it is there in all of them. */
  readonly option: Id;
  readonly colour: RoomColour | null;
  readonly note: string;
  readonly maker: string;
  /** In whatever money the job reckons with; null: not known. */
  readonly price: number | null;
  readonly link: string;
  /** Those of one group go together; empty: none. */
  readonly group: string;
  readonly layer: string;
  /** Of those that lie over each other at one height, the higher is drawn last. */
  readonly order: number;
  readonly builtIn: BuiltIn | null;
  /** Advice about it that was heard and is not said again. */
  readonly heard: readonly string[];
}

/** What of a piece is kept for later jobs: all but where it stands. */
export type PieceSpec = Pick<Piece, (typeof SPEC)[number]>;
const SPEC = [
  ...(['form', 'width', 'depth', 'height', 'up', 'gap', 'fixed', 'colour'] as const),
  ...(['note', 'maker', 'price', 'link', 'builtIn'] as const),
] as const;
export const specOfPiece = (piece: Piece): PieceSpec =>
  Object.fromEntries(SPEC.map((field) => [field, piece[field]])) as unknown as PieceSpec;

/** As much as a piece has besides its kind, its size and its place. */
export const NEW_PIECE = {
  name: '',
  up: 0,
  gap: 0,
  mirrored: false,
  fixed: false,
  option: '',
  colour: null,
  note: '',
  maker: '',
  price: null,
  link: '',
  group: '',
  layer: '',
  order: 0,
  builtIn: null,
  heard: [],
} as const;

/** Along its wall, and out from it. */
export const acrossWall = ({ width, depth }: Pick<Piece, 'width' | 'depth'>, quarter: number) =>
  quarter % 2 === 0 ? { along: width, out: depth } : { along: depth, out: width };

/** Pieces stand on each other this high at most. */
const MOST_ON_EACH_OTHER = 12;

interface WithPieces {
  readonly pieces: Collection<Piece>;
}

const onPiece: Reference<Piece, object> = {
  to: 'pieces',
  ids: ({ stand }) => (stand.kind === 'piece' ? [stand.piece] : []),
  with: (piece, other) =>
    piece.stand.kind === 'piece' ? { ...piece, stand: { ...piece.stand, piece: other(piece.stand.piece) } } : piece,
  lost: () => 'A piece has lost what it stands on.',
  gone: 'restore',
};

const atWall = onItsWall<never>('A piece has lost its wall.', { gone: 'drop' }) as unknown as Reference<Piece, object>;

const inOption: Reference<Piece, object> = {
  to: 'options',
  ids: ({ option }) => (option ? [option] : []),
  with: (piece, other) => (piece.option ? { ...piece, option: other(piece.option) } : piece),
  lost: () => 'A piece is in no option.',
  elsewhere: null,
  gone: 'drop',
};

const text = z.string().max(LONGEST_NAME);

export const pieceKind: Kind<Piece, WithPieces> = {
  one: 'piece',
  many: 'pieces',
  most: 3000,
  apart: true,
  schema: z.object({
    id,
    floor: id,
    form: z.string().min(1).max(40),
    name: nameOf('The name of a piece'),
    width: millimetres.positive(),
    depth: millimetres.positive(),
    height: millimetres.positive(),
    up: millimetres,
    stand: z.discriminatedUnion('kind', [
      eitherStand.options[0],
      eitherStand.options[1].extend({ quarter: z.int().min(0).max(3) }),
      z.object({ kind: z.literal('piece'), piece: id, x: coordinate, y: coordinate, turn: degrees }),
    ]),
    gap: millimetres,
    mirrored: z.boolean(),
    fixed: z.boolean(),
    option: id.or(z.literal('')),
    colour: z.enum(ROOM_COLOURS).nullable(),
    note,
    maker: text,
    price: z.number().min(0).max(1e9).nullable(),
    link: note,
    group: z.string().max(64),
    layer: text,
    order: z.number().min(-1e6).max(1e6),
    builtIn: z
      .object({
        modules: z
          .array(
            z.object({
              width: millimetres.positive().nullable(),
              fill: z.enum(MODULE_FILLS),
              count: z.int().min(1).max(20),
            }),
          )
          .min(1)
          .max(40),
        plinth: millimetres,
        overhang: millimetres,
      })
      .nullable(),
    heard: z.array(z.string().max(64)).max(20),
  }),
  floorOf: ({ floor }) => floor,
  together: [
    theName,
    together('the size', 'form', 'width', 'depth', 'height', 'builtIn'),
    together('the place', 'floor', 'stand', 'up', 'gap', 'mirrored', 'order'),
    together('whether it belongs to the house', 'fixed', 'option'),
    together('the colour', 'colour'),
    theNote,
    together('the maker', 'maker'),
    together('the price', 'price'),
    together('the link', 'link'),
    together('the group', 'group'),
    together('the layer', 'layer'),
    together('what was heard', 'heard'),
  ],
  refers: [onFloor('piece'), atWall, onPiece, inOption],
  unsound: (piece, { pieces }) => {
    let at: Piece | undefined = piece;
    for (let i = 0; at && i <= MOST_ON_EACH_OTHER; i += 1) {
      if (at.stand.kind !== 'piece') return null;
      at = Object.hasOwn(pieces, at.stand.piece) ? pieces[at.stand.piece] : undefined;
    }
    return at ? 'Pieces stand on each other in a ring, or too many of them.' : null;
  },
  onWalls: {
    of: (piece): Standing | null =>
      piece.stand.kind === 'wall' ? { ...piece.stand, width: acrossWall(piece, piece.stand.quarter).along } : null,
    at: (piece, { wall, anchor, side, offset }) => {
      const quarter = piece.stand.kind === 'wall' ? piece.stand.quarter : 0;
      return { ...piece, stand: { kind: 'wall', wall, anchor, side, offset, quarter } };
    },
    light: true,
    freed: (piece, at, d) => {
      if (piece.stand.kind !== 'wall') return piece;
      const { quarter } = piece.stand;
      const { out } = acrossWall(piece, quarter);
      const off = piece.gap + out / 2;
      const turn = (Math.atan2(d.y, d.x) * 180) / Math.PI + 90 * quarter;
      return { ...piece, stand: { kind: 'free', x: at.x - d.y * off, y: at.y + d.x * off, turn: turn % 360 } };
    },
  },
  at: ({ stand }) => (stand.kind === 'free' ? stand : null),
  moved: (piece, move) => {
    const { stand } = piece;
    const mirrored = move.mirror ? !piece.mirrored : piece.mirrored;
    if (stand.kind === 'free') return { ...movedStand({ ...piece, stand }, move), mirrored };
    if (!move.mirror) return piece;
    if (stand.kind === 'piece') return { ...piece, mirrored, stand: { ...stand, x: -stand.x, turn: -stand.turn } };
    return { ...piece, mirrored, stand: { ...stand, quarter: (4 - stand.quarter) % 4 } };
  },
  copied: (piece) => ({ ...piece, group: '' }),
};

export const pieceSpecSchema = (pieceKind.schema as unknown as z.ZodObject).pick(
  Object.fromEntries(SPEC.map((field) => [field, true])) as Record<string, true>,
) as unknown as z.ZodType<PieceSpec>;
