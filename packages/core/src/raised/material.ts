import { finishLookOf } from '../finishes/look-of';
import { partsOfSurface } from '../finishes/surface';
import { colourAt, isPlain, periodOf } from '../finishes/texture';
import { onceFor } from '../memory';
import type { Stuff } from '../pieces/form';
import type { Collection, FinishLook, Piece, Plan, RoomColour, Sheen } from '../plan/plan';

/** How a surface looks, and what light it gives back. */
export interface Material {
  /** Alike ones are one. */
  readonly key: string;
  /** sRGB, #rrggbb; of a pattern what it is on the whole. */
  readonly colour: string;
  /** 0: a mirror, 1: chalk. */
  readonly roughness: number;
  readonly metallic: number;
  /** 1: nothing is seen through it. */
  readonly opacity: number;
  /** With a pattern, or a picture; null: one colour all over. */
  readonly look: FinishLook | null;
}

const material = (key: string, colour: string, roughness = 0.9, more: Partial<Material> = {}): Material => ({
  key,
  colour,
  roughness,
  metallic: 0,
  opacity: 1,
  look: null,
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

const ROUGHNESS: Readonly<Record<Sheen, number>> = { matt: 0.95, eggshell: 0.8, satin: 0.6, gloss: 0.3 };

/** What a surface is made of: as it was finished, else as of a house nobody has dressed. */
export function materialOf(surface: string, plan: Pick<Plan, 'finishes' | 'pieces'>): Material {
  const look = finishLookOf(surface, plan);
  return look ? materialOfLook(look) : bareMaterialOf(surface, plan.pieces);
}

const materialOfLook = onceFor((look: FinishLook): Material => {
  const { name, sheen, colour } = look;
  const made = isPlain(look) && !look.picture ? null : look;
  return material(made ? JSON.stringify(look) : `${name} ${colour} ${sheen}`, meanOf(look), ROUGHNESS[sheen], {
    look: made,
  });
});

/** What of its colours a finish is on the whole: of joints as much as there are. */
function meanOf(look: FinishLook): string {
  if (isPlain(look)) return look.colour;
  const { u, v } = periodOf(look);
  const at = colourAt(look);
  const sum = [0, 0, 0];
  const n = 24;
  for (let j = 0; j < n; j += 1)
    for (let i = 0; i < n; i += 1)
      at(((i + 0.37) * u) / n, ((j + 0.53) * v) / n).forEach((value, k) => (sum[k]! += value));
  return `#${sum
    .map((value) =>
      Math.round(value / n / n)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

function bareMaterialOf(surface: string, pieces: Collection<Piece>): Material {
  const { kind, of } = partsOfSurface(surface);
  if (kind !== 'piece') return BARE[kind];
  const [id, stuff] = of;
  const own = STUFF[stuff as Stuff];
  const colour = Object.hasOwn(pieces, id!) ? pieces[id!]!.colour : null;
  if (!colour || (stuff !== 'soft' && stuff !== 'body')) return own;
  return { ...own, key: `${own.key} ${colour}`, colour: COLOURS[colour] };
}
