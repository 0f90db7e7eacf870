import { z } from 'zod';
import type { Collection, Id } from '../values';
import { id, nameOf, theName } from './fields';
import { type Kind, ON_NO_FLOOR, together } from './kind';

/** From the smallest to the largest (ISO 216; ANSI/ASME Y14.1). */
export const PAPERS = ['A4', 'A3', 'A2', 'A1', 'Letter', 'Legal', 'Tabloid'] as const;
export type Paper = (typeof PAPERS)[number];

export const LONGEST_REVISION = 20;

/** A page that leaves the house. What is on it are its frames. */
export interface Sheet {
  readonly id: Id;
  /** What it shows, as its title block says. */
  readonly name: string;
  readonly paper: Paper;
  /** It lies across: its longer side is at the foot. */
  readonly across: boolean;
  /** Those with a lower one come first. */
  readonly order: number;
  /** “B”; empty for the first. */
  readonly revision: string;
}

/** Sheets as they are counted: “2 of 5”. */
export const sheetsInOrder = ({ sheets }: { readonly sheets: Collection<Sheet> }): Sheet[] =>
  Object.values(sheets).sort((a, b) => a.order - b.order);

export const sheetKind: Kind<Sheet, object> = {
  one: 'sheet',
  many: 'sheets',
  most: 200,
  schema: z.object({
    id,
    name: nameOf('The name of a sheet'),
    paper: z.enum(PAPERS),
    across: z.boolean(),
    order: z.int().min(0).max(10_000),
    revision: z.string().max(LONGEST_REVISION),
  }),
  floorOf: () => ON_NO_FLOOR,
  together: [
    theName,
    together('the paper', 'paper', 'across'),
    together('the order', 'order'),
    together('the revision', 'revision'),
  ],
  refers: [],
};
