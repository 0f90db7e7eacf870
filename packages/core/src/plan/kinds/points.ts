import { z } from 'zod';
import { type Collection, type Id, type WallEnd, type WallSide, otherEnd, otherSide } from '../values';
import { id, wallEnd, wallSide } from './fields';
import { type Kind, type Reference, type Standing, onFloor, together } from './kind';
import type { OpeningType } from './opening-types';
import type { PlacedOpening } from './openings';
import { type EitherStand, againstWall, eitherStand, movedStand, onItsWall } from './stand';

/** At the edge of an opening that is nearer to that end of its wall. */
export interface OpeningStand {
  readonly kind: 'opening';
  readonly opening: Id;
  readonly end: WallEnd;
  /** On which face. */
  readonly side: WallSide;
}

export type PointStand = EitherStand | OpeningStand;

/** Longest figure that is written in the place of the true one. */
export const LONGEST_FIGURE = 40;

/** A point that a dimension line measures from or to. It follows the wall or the opening it is of. */
export interface DimensionPoint {
  readonly id: Id;
  readonly floor: Id;
  readonly dimension: Id;
  /** Which of them it is where that matters: of an angle the second is the vertex. */
  readonly order: number;
  /** Along the face of a wall at its body's edge, from the inside corner at that end and side; at an opening; or free on the sheet. */
  readonly stand: PointStand;
  /** What stands in the place of the figure from here to the next; empty: the true one. */
  readonly said: string;
}

interface WithOpenings {
  readonly openings: Collection<PlacedOpening>;
  readonly types: Collection<OpeningType>;
}

/** Where on its wall it stands, mm along the face; null where it is free. */
function standing({ stand }: DimensionPoint, { openings, types }: WithOpenings): Standing | null {
  if (stand.kind === 'free') return null;
  if (stand.kind === 'wall') return { ...stand, width: 0 };
  const { wall, anchor, side, offset, type } = openings[stand.opening]!;
  return { wall, anchor, side, offset: offset + (stand.end === anchor ? 0 : types[type]!.width), width: 0 };
}

const ofDimension: Reference<DimensionPoint, object> = {
  to: 'dimensions',
  ids: ({ dimension }) => [dimension],
  with: (point, other) => ({ ...point, dimension: other(point.dimension) }),
  lost: () => 'A point is of no dimension line.',
  gone: 'drop',
};

const ofOpening: Reference<DimensionPoint, object> = {
  to: 'openings',
  ids: ({ stand }) => (stand.kind === 'opening' ? [stand.opening] : []),
  with: (point, other) =>
    point.stand.kind === 'opening'
      ? { ...point, stand: { ...point.stand, opening: other(point.stand.opening) } }
      : point,
  lost: () => 'A dimension line has lost its door or window.',
  gone: 'drop',
};

const wall = onItsWall<DimensionPoint & { readonly stand: EitherStand }>('A dimension line has lost its wall.', {
  gone: 'drop',
}) as unknown as Reference<DimensionPoint, object>;

export const pointKind: Kind<DimensionPoint, WithOpenings> = {
  one: 'point of a dimension line',
  many: 'points of dimension lines',
  most: 10_000,
  schema: z.object({
    id,
    floor: id,
    dimension: id,
    order: z.int().min(0).max(10_000),
    stand: z.discriminatedUnion('kind', [
      ...eitherStand.options,
      z.object({ kind: z.literal('opening'), opening: id, end: wallEnd, side: wallSide }),
    ]),
    said: z.string().max(LONGEST_FIGURE),
  }),
  floorOf: ({ floor }) => floor,
  together: [together('the place', 'floor', 'dimension', 'order', 'stand'), together('the figure', 'said')],
  refers: [onFloor('point of a dimension line'), ofDimension, wall, ofOpening],
  onWalls: {
    of: standing,
    light: true,
    // at an opening it stands wherever that does
    at: (point, stand) => (point.stand.kind === 'opening' ? point : againstWall(point as never, stand)),
    turned: (point, { ends, sides }) => {
      const { stand } = point;
      if (stand.kind !== 'opening') return point;
      const end = ends ? otherEnd(stand.end) : stand.end;
      return { ...point, stand: { ...stand, end, side: sides ? otherSide(stand.side) : stand.side } };
    },
  },
  moved: (point, move) => (point.stand.kind === 'opening' ? point : movedStand(point as never, move)),
};
