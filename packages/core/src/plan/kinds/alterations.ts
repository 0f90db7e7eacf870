import { z } from 'zod';
import type { Collection, Id } from '../values';
import { coordinate, id, millimetres, wallEnd, wallSide } from './fields';
import { type Kind, type Reference, type Standing, onFloor, together } from './kind';
import { type OpeningSpec, openingSpecSchema } from './opening-types';
import { type EitherStand, type WallStand, againstWall, eitherStand, movedStand, onItsWall } from './stand';

/** A new opening in a new wall: so far from where that begins to its nearer edge, mm. */
export interface InNewWall {
  readonly kind: 'alteration';
  readonly alteration: Id;
  readonly offset: number;
}

/**
 * What an option alters of the measured house. It points at things, not at places: a corrected reading reaches every option. A new wall has its ends in a collection of
 * their own, so that they follow the walls they stand on.
 */
export type Altered =
  | { readonly kind: 'wall gone'; readonly wall: Id }
  | { readonly kind: 'opening gone'; readonly opening: Id }
  | { readonly kind: 'wall'; readonly thickness: number; readonly chalk: boolean }
  | {
      readonly kind: 'opening';
      readonly stand: WallStand | InNewWall;
      readonly spec: OpeningSpec;
      readonly hinge: 'start' | 'end';
      readonly swing: 'left' | 'right';
    };

export interface Alteration {
  readonly id: Id;
  readonly floor: Id;
  readonly option: Id;
  readonly altered: Altered;
}

/** Where a new wall begins, or ends. */
export interface AlterationEnd {
  readonly id: Id;
  readonly floor: Id;
  readonly alteration: Id;
  readonly which: 'from' | 'to';
  readonly stand: EitherStand;
}

const ofOption: Reference<Alteration, object> = {
  to: 'options',
  ids: ({ option }) => [option],
  with: (alteration, other) => ({ ...alteration, option: other(alteration.option) }),
  lost: () => 'Something is altered in no option.',
  elsewhere: null,
  gone: 'drop',
};

const named = (
  to: 'walls' | 'openings' | 'alterations',
  lost: string,
  ids: (altered: Altered) => readonly Id[],
  put: (altered: Altered, other: (id: Id) => Id) => Altered,
): Reference<Alteration, object> => ({
  to,
  ids: ({ altered }) => ids(altered),
  with: (alteration, other) => ({ ...alteration, altered: put(alteration.altered, other) }),
  lost: () => lost,
  gone: 'drop',
});

const wallsOf = named(
  'walls',
  'What an option alters has lost its wall.',
  (altered) =>
    altered.kind === 'wall gone'
      ? [altered.wall]
      : altered.kind === 'opening' && altered.stand.kind === 'wall'
        ? [altered.stand.wall]
        : [],
  (altered, other) => {
    if (altered.kind === 'wall gone') return { ...altered, wall: other(altered.wall) };
    if (altered.kind !== 'opening' || altered.stand.kind !== 'wall') return altered;
    return { ...altered, stand: { ...altered.stand, wall: other(altered.stand.wall) } };
  },
);

const openingsOf = named(
  'openings',
  'What an option takes away is no longer there.',
  (altered) => (altered.kind === 'opening gone' ? [altered.opening] : []),
  (altered, other) => (altered.kind === 'opening gone' ? { ...altered, opening: other(altered.opening) } : altered),
);

const newWallsOf = named(
  'alterations',
  'A new door or window has lost its wall.',
  (altered) => (altered.kind === 'opening' && altered.stand.kind === 'alteration' ? [altered.stand.alteration] : []),
  (altered, other) =>
    altered.kind === 'opening' && altered.stand.kind === 'alteration'
      ? { ...altered, stand: { ...altered.stand, alteration: other(altered.stand.alteration) } }
      : altered,
);

export const alterationKind: Kind<Alteration, object> = {
  one: 'alteration',
  many: 'alterations',
  most: 500,
  apart: true,
  schema: z.object({
    id,
    floor: id,
    option: id,
    altered: z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('wall gone'), wall: id }),
      z.object({ kind: z.literal('opening gone'), opening: id }),
      z.object({ kind: z.literal('wall'), thickness: millimetres, chalk: z.boolean() }),
      z.object({
        kind: z.literal('opening'),
        stand: z.discriminatedUnion('kind', [
          eitherStand.options[1],
          z.object({ kind: z.literal('alteration'), alteration: id, offset: coordinate }),
        ]),
        spec: openingSpecSchema,
        hinge: wallEnd,
        swing: wallSide,
      }),
    ]),
  }),
  floorOf: ({ floor }) => floor,
  together: [together('what it alters', 'floor', 'option', 'altered')],
  refers: [onFloor('alteration'), ofOption, wallsOf, openingsOf, newWallsOf],
  onWalls: {
    of: ({ altered }): Standing | null =>
      altered.kind === 'opening' && altered.stand.kind === 'wall'
        ? { ...altered.stand, width: altered.spec.width }
        : null,
    at: (alteration, { wall, anchor, side, offset }) =>
      alteration.altered.kind === 'opening'
        ? { ...alteration, altered: { ...alteration.altered, stand: { kind: 'wall', wall, anchor, side, offset } } }
        : alteration,
    light: true,
  },
  moved: (alteration) => alteration,
};

interface WithAlterations {
  readonly alterations: Collection<Alteration>;
}

const ofAlteration: Reference<AlterationEnd, object> = {
  to: 'alterations',
  ids: ({ alteration }) => [alteration],
  with: (end, other) => ({ ...end, alteration: other(end.alteration) }),
  lost: () => 'The end of a new wall is of no wall.',
  gone: 'drop',
};

export const alterationEndKind: Kind<AlterationEnd, WithAlterations> = {
  one: 'end of a new wall',
  many: 'ends of new walls',
  most: 1000,
  apart: true,
  schema: z.object({ id, floor: id, alteration: id, which: z.enum(['from', 'to']), stand: eitherStand }),
  floorOf: ({ floor }) => floor,
  together: [together('the place', 'floor', 'alteration', 'which', 'stand')],
  refers: [
    onFloor('end of a new wall'),
    ofAlteration,
    onItsWall('A new wall has lost the wall it ends at.', { gone: 'drop' }),
  ],
  onWalls: {
    of: ({ stand }) => (stand.kind === 'wall' ? { ...stand, width: 0 } : null),
    at: againstWall,
    light: true,
    freed: (end, { x, y }) => ({ ...end, stand: { kind: 'free', x, y, turn: 0 } }),
  },
  moved: movedStand,
};
