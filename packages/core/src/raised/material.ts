import type { Collection, Piece, RoomColour } from '../plan/plan';
import type { Stuff } from '../pieces/form';
import { partsOfSurface } from './surface';

/** How a surface looks, and what light it gives back. */
export interface Material {
  /** Alike ones are one. */
  readonly key: string;
  /** sRGB, #rrggbb. */
  readonly colour: string;
  /** 0: a mirror, 1: chalk. */
  readonly roughness: number;
  readonly metallic: number;
  /** 1: nothing is seen through it. */
  readonly opacity: number;
}

const material = (key: string, colour: string, roughness = 0.9, more: Partial<Material> = {}): Material => ({
  key,
  colour,
  roughness,
  metallic: 0,
  opacity: 1,
  ...more,
});

/** Of a house nobody has dressed yet. */
const BARE = {
  face: material('plaster', '#EFE9DE', 0.95),
  floor: material('boards', '#C7A77E', 0.7),
  ceiling: material('ceiling', '#F7F4EE', 0.95),
  outside: material('render', '#DCCFBA', 0.95),
  cut: material('cut', '#3A1D3F', 0.9),
  reveal: material('reveal', '#F3EEE4', 0.95),
  threshold: material('threshold', '#8E6C48', 0.7),
  frame: material('frame', '#FAF7F0', 0.6),
  leaf: material('leaf', '#E6DAC4', 0.6),
  glass: material('glass', '#BCD2D8', 0.1, { opacity: 0.22 }),
  board: material('window board', '#FAF7F0', 0.6),
  column: material('column', '#E4DACA', 0.95),
  stairs: material('stairs', '#B98D5E', 0.7),
  piece: material('piece', '#B58F66', 0.7),
  skirting: material('skirting', '#FAF7F0', 0.6),
  cornice: material('cornice', '#F7F4EE', 0.9),
  roof: material('roof', '#7B5A4B', 0.95),
} as const;

const STUFF: Readonly<Record<Stuff, Material>> = {
  body: material('wood', '#B58F66', 0.7),
  soft: material('cloth', '#A89AA8', 1),
  top: material('top', '#D8CBB6', 0.5),
  glass: material('glass', '#BCD2D8', 0.1, { opacity: 0.3 }),
  metal: material('metal', '#B7B9BC', 0.35, { metallic: 0.7 }),
  ceramic: material('ceramic', '#F6F6F2', 0.25),
  dark: material('dark', '#39323D', 0.5),
  green: material('leaves', '#5F7F57', 1),
};

/** What a piece was coloured: its cloth, or its body where it has none. */
const COLOURS: Readonly<Record<RoomColour, string>> = {
  moss: '#6E8F76',
  clay: '#B26A45',
  brass: '#C79A3E',
  velvet: '#70507A',
  water: '#7EA2AE',
};

/** What a surface is made of. */
export function materialOf(surface: string, pieces: Collection<Piece>): Material {
  const { kind, of } = partsOfSurface(surface);
  if (kind !== 'piece') return BARE[kind];
  const [id, stuff] = of;
  const own = STUFF[stuff as Stuff];
  const colour = Object.hasOwn(pieces, id!) ? pieces[id!]!.colour : null;
  if (!colour || (stuff !== 'soft' && stuff !== 'body')) return own;
  return { ...own, key: `${own.key} ${colour}`, colour: COLOURS[colour] };
}

/** Of the light that falls on a colour the share that it gives back, 0 to 1: its luminance Y, sRGB to linear by IEC 61966-2-1. A light reflectance value is 100 times that. */
export function reflectanceOf(colour: string): number {
  const [r, g, b] = linearOf(colour);
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** A colour #rrggbb as linear red, green and blue, 0 to 1 (IEC 61966-2-1). */
export function linearOf(colour: string): readonly [number, number, number] {
  const value = (at: number) => {
    const c = parseInt(colour.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  };
  return [value(1), value(3), value(5)];
}
