import { z } from 'zod';
import type { Id } from '../values';
import { LONGEST_NAME, coordinate, degrees, id } from './fields';
import { type Kind, onFloor, together } from './kind';

/** What a dimension line says: the distances between its points one after the other; the angle at its second point; the radius of a curved wall; how high a floor lies. */
export const DIMENSION_FORMS = ['line', 'angle', 'radius', 'level'] as const;
export type DimensionForm = (typeof DIMENSION_FORMS)[number];

export const DIMENSION_ENDS = ['tick', 'arrow', 'dot', 'open arrow'] as const;
export type DimensionEnds = (typeof DIMENSION_ENDS)[number];

/** In the job's units, in those of the other side of the sea, in both. */
export const DIMENSION_UNITS = ['own', 'other', 'both'] as const;

/** Heights of lettering on paper, mm: under the least nothing is legible on a print (ISO 3098 begins at 1.8). */
export const LETTERING_ON_PAPER = { least: 1.8, usual: 2.5, most: 20 } as const;

/** A dimension line that was put on the plan, by itself or as one of several strings. What it measures between are its points. */
export interface Dimension {
  readonly id: Id;
  readonly floor: Id;
  readonly form: DimensionForm;
  /** Which way distances are taken, degrees clockwise from the right; null: straight from the first point to the second. */
  readonly turn: number | null;
  /** How far to the right of its way it lies from its first point, mm of the house; to the left: negative. */
  readonly off: number;
  /** So many rows of lettering further the same way, as strings lie beside each other. */
  readonly row: number;
  readonly ends: DimensionEnds;
  /** Height of its figures on paper, mm. */
  readonly size: number;
  readonly units: (typeof DIMENSION_UNITS)[number];
  /** To what its figures are rounded, mm; null: as finely as they are known. */
  readonly round: number | null;
  /** Which strings it was laid with: round the house, in a room (its id); empty: put by hand. */
  readonly laid: string;
  /** The layer it was put on; empty: none of its own. */
  readonly layer: string;
}

/** What a dimension line has before anyone says so. */
export const NEW_DIMENSION = {
  turn: null,
  off: 0,
  row: 0,
  ends: 'tick',
  size: LETTERING_ON_PAPER.usual,
  units: 'own',
  round: null,
  laid: '',
  layer: '',
} as const satisfies Partial<Dimension>;

/** Strings laid round the house. */
export const ROUND = 'round';

/** Rows strings can lie apart. */
export const MOST_ROWS = 40;

/** Of points it needs so many to say anything. */
export const POINTS_NEEDED: Readonly<Record<DimensionForm, number>> = { line: 2, angle: 3, radius: 1, level: 1 };

export const dimensionKind: Kind<Dimension, object> = {
  one: 'dimension line',
  many: 'dimension lines',
  most: 1000,
  schema: z.object({
    id,
    floor: id,
    form: z.enum(DIMENSION_FORMS),
    turn: degrees.nullable(),
    off: coordinate,
    row: z.number().min(-MOST_ROWS).max(MOST_ROWS),
    ends: z.enum(DIMENSION_ENDS),
    size: z.number().min(LETTERING_ON_PAPER.least).max(LETTERING_ON_PAPER.most),
    units: z.enum(DIMENSION_UNITS),
    round: z.number().positive().max(1000).nullable(),
    laid: z.string().max(64),
    layer: z.string().max(LONGEST_NAME),
  }),
  floorOf: ({ floor }) => floor,
  together: [
    together('the place', 'floor', 'turn', 'off', 'row', 'form', 'laid'),
    together('the ends', 'ends'),
    together('the size of its figures', 'size'),
    together('the units', 'units'),
    together('the rounding', 'round'),
    together('the layer', 'layer'),
  ],
  refers: [onFloor('dimension line')],
  // its points go with what they are of
  moved: (dimension) => dimension,
};
