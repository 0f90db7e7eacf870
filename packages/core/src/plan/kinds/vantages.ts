import { z } from 'zod';
import type { Collection, Id } from '../values';
import { coordinate, degrees, id, millimetres, nameOf, theName } from './fields';
import { type Kind, ON_NO_FLOOR, onFloor, together } from './kind';

/** Lenses, as on a film of 36 × 24 mm: from very wide to a long one, mm. */
export const LENSES = { shortest: 10, longest: 200 } as const;

/** A place one looks from, and what shows from there. */
export interface Vantage {
  readonly id: Id;
  readonly name: string;
  /** Those with a lower one come first. */
  readonly order: number;
  /** The floor it is over. */
  readonly floor: Id;
  /** On the sheet, and so high over what one walks on there, mm. */
  readonly x: number;
  readonly y: number;
  readonly up: number;
  /** Which way one looks: degrees clockwise from straight right, and up from the level. */
  readonly heading: number;
  readonly tilt: number;
  /** mm, as on a film of 36 × 24 mm. */
  readonly lens: number;
  /** Uprights are kept upright, as with a camera whose lens is shifted. */
  readonly uprights: boolean;
  /** From outside: near walls are lifted away, and ceilings. */
  readonly openSide: boolean;
  /** Only its own floor shows. */
  readonly alone: boolean;
  /** With what stands loose in the rooms. */
  readonly furnished: boolean;
  /** Under the sun of a day of the year, from 1, so many minutes after midnight by the clocks there; null: in even light. */
  readonly sun: { readonly day: number; readonly minutes: number } | null;
}

/** What of a vantage is where one looks from and how. */
export type VantageView = Omit<Vantage, 'id' | 'name' | 'order'>;

export const vantagesInOrder = ({ vantages }: { readonly vantages: Collection<Vantage> }): Vantage[] =>
  Object.values(vantages).sort((a, b) => a.order - b.order);

export const vantageKind: Kind<Vantage, object> = {
  one: 'vantage',
  many: 'vantages',
  most: 200,
  schema: z.object({
    id,
    name: nameOf('The name of a vantage'),
    order: z.int().min(0).max(10_000),
    floor: id,
    x: coordinate,
    y: coordinate,
    up: millimetres,
    heading: degrees,
    tilt: z.number().min(-90).max(90),
    lens: z.number().min(LENSES.shortest).max(LENSES.longest),
    uprights: z.boolean(),
    openSide: z.boolean(),
    alone: z.boolean(),
    furnished: z.boolean(),
    sun: z.object({ day: z.int().min(1).max(366), minutes: z.int().min(0).max(1439) }).nullable(),
  }),
  // it looks at the house, and nothing of the house follows from it
  floorOf: () => ON_NO_FLOOR,
  together: [
    theName,
    together('the order', 'order'),
    together('where it looks from', 'floor', 'x', 'y', 'up', 'heading', 'tilt'),
    together('the lens', 'lens', 'uprights'),
    together('what shows', 'openSide', 'alone', 'furnished'),
    together('the sun', 'sun'),
  ],
  refers: [{ ...onFloor<Vantage>('vantage'), gone: 'drop' }],
};
