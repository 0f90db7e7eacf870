import { z } from 'zod';
import type { Id } from '../values';
import { id, millimetres, nameOf, note, theName } from './fields';
import { type Kind, together } from './kind';

const DOORS = [
  'hinged door',
  'double door',
  'leaf and a half',
  'sliding door',
  'pocket door',
  'bi-fold door',
  'up-and-over door',
] as const;
const PLAIN = ['plain opening', 'arched opening'] as const;
const WINDOWS = [
  'fixed window',
  'side-hung window',
  'top-hung window',
  'sash window',
  'sliding window',
  'roof light',
  'hatch',
] as const;

export const OPENING_FORMS = [...DOORS, ...PLAIN, ...WINDOWS] as const;
/** How it opens, and with that how it is drawn. */
export type OpeningForm = (typeof OPENING_FORMS)[number];

/** What it counts as, and is numbered as. */
export type OpeningKind = 'door' | 'window' | 'opening';

const isOf = (forms: readonly OpeningForm[], form: OpeningForm): boolean => forms.includes(form);

export const kindOfForm = (form: OpeningForm): OpeningKind =>
  isOf(DOORS, form) ? 'door' : isOf(WINDOWS, form) ? 'window' : 'opening';

/** What openings of one type have in common. mm. */
export interface OpeningSpec {
  readonly form: OpeningForm;
  /** From jamb to jamb, as a tape reads it: of a door between its linings, of a window between its reveals. */
  readonly width: number;
  readonly height: number;
  /** Height of the sill over the floor; 0 for a door. */
  readonly sill: number;
  /** It is as high as the ceiling, whatever that measures. */
  readonly toCeiling: boolean;
  /** How broad the frame is, seen from the room: of a door outside of its width, of a window within it. */
  readonly frame: number;
  /** How deep the frame is; null: as the wall is thick. */
  readonly depth: number | null;
  /** The share of its area that is glass, 0 to 1. */
  readonly glazing: number;
  /** Glazing bars across and upright. */
  readonly bars: { readonly across: number; readonly upright: number };
  /** How far a leaf opens, degrees. */
  readonly angle: number;
  /** What it is made of, for whoever makes it. */
  readonly material: string;
}

/** Doors and windows that are alike: what is changed of the type is changed of all of them. */
export interface OpeningType extends OpeningSpec {
  readonly id: Id;
  /** Empty: it is called by its form and size. */
  readonly name: string;
}

/** What openings of one type have in common, read from outside. */
export const openingSpecSchema = z.object({
  form: z.enum(OPENING_FORMS),
  width: millimetres.positive(),
  height: millimetres.positive(),
  sill: millimetres,
  toCeiling: z.boolean(),
  frame: millimetres,
  depth: millimetres.positive().nullable(),
  glazing: z.number().min(0).max(1),
  bars: z.object({ across: z.int().min(0).max(20), upright: z.int().min(0).max(20) }),
  angle: z.number().min(0).max(180),
  material: note,
});

export const openingTypeKind: Kind<OpeningType, object> = {
  one: 'type',
  many: 'types of doors and windows',
  most: 500,
  schema: openingSpecSchema.extend({ id, name: nameOf('The name of a type') }),
  floorOf: () => undefined,
  together: [theName, together('the form', 'form'), together('the height', 'height', 'toCeiling')],
  refers: [],
};
