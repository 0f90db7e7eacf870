import { z } from 'zod';
import type { Id } from '../values';
import { LONGEST_NAME, id, nameOf, theName } from './fields';
import { type Kind, ON_NO_FLOOR, together } from './kind';

/** What of a plan can be shown, left out, or shown and out of a finger’s reach. */
export const SHOWN_PARTS = [
  'walls',
  'openings',
  'fixed',
  'fitted',
  'pieces',
  'piece numbers',
  'stairs',
  'names',
  'areas',
  'lengths',
  'provenance',
  'checks',
  'numbers',
  'levels',
  'ceilings',
  'tints',
  'hatches',
  'finish tints',
  'finish patterns',
  'dimensions',
  'notes',
  'pictures',
  'vantages',
] as const;
export type ShownPart = (typeof SHOWN_PARTS)[number];

export const SHOWINGS = ['on', 'off', 'locked'] as const;
export type Showing = (typeof SHOWINGS)[number];

/** What of a plan shows, kept under a name. */
export interface NamedLook {
  readonly id: Id;
  readonly name: string;
  /** What isn't named is on. */
  readonly parts: { readonly [P in ShownPart]?: Showing | undefined };
  /** Of lengths: all, or those that were taped. */
  readonly lengths: 'all' | 'taped';
  /** Rooms say how long and wide they are. */
  readonly sizes: boolean;
  /** Layers of notes by their names; what isn't named is on. */
  readonly layers: Readonly<Record<string, Showing>>;
}

const MOST_LAYERS = 100;
const showing = z.enum(SHOWINGS);

export const lookKind: Kind<NamedLook, object> = {
  one: 'look',
  many: 'looks',
  most: 100,
  schema: z.object({
    id,
    name: nameOf('The name of a look'),
    parts: z.partialRecord(z.enum(SHOWN_PARTS), showing),
    lengths: z.enum(['all', 'taped']),
    sizes: z.boolean(),
    layers: z
      .record(z.string().max(LONGEST_NAME), showing)
      .refine((layers) => Object.keys(layers).length <= MOST_LAYERS, 'A look can have 100 layers at most.'),
  }),
  floorOf: () => ON_NO_FLOOR,
  together: [
    theName,
    together('what shows', 'parts'),
    together('the lengths', 'lengths'),
    together('the sizes', 'sizes'),
    together('the layers', 'layers'),
  ],
  refers: [],
};
