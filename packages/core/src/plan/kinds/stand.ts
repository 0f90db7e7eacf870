import { z } from 'zod';
import type { Id, WallSide } from '../values';
import { coordinate, degrees, id, wallEnd, wallSide } from './fields';
import type { Move, Reference, Stand } from './kind';

/** Its middle on the sheet, and how it is turned, degrees clockwise. */
export interface FreeStand {
  readonly kind: 'free';
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/** Against a wall: from the inside corner at that end and side to its nearer edge, mm, as an opening. */
export interface WallStand {
  readonly kind: 'wall';
  readonly wall: Id;
  readonly anchor: 'start' | 'end';
  readonly side: WallSide;
  readonly offset: number;
}

/** What leans on a wall, or stands by itself. */
export type EitherStand = FreeStand | WallStand;

export const eitherStand = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('free'), x: coordinate, y: coordinate, turn: degrees }),
  z.object({ kind: z.literal('wall'), wall: id, anchor: wallEnd, side: wallSide, offset: coordinate }),
]);

interface Stands {
  readonly stand: EitherStand;
}

/** The wall it leans on, if it leans on one. */
export const onItsWall = <E extends Stands>(
  lost: string,
  gone: Pick<Reference<E, object>, 'gone' | 'refusal'>,
): Reference<E, object> => ({
  to: 'walls',
  ids: ({ stand }) => (stand.kind === 'wall' ? [stand.wall] : []),
  with: (entity, other) =>
    entity.stand.kind === 'wall' ? { ...entity, stand: { ...entity.stand, wall: other(entity.stand.wall) } } : entity,
  lost: () => lost,
  ...gone,
});

export const againstWall = <E extends Stands>(entity: E, { wall, anchor, side, offset }: Stand): E => ({
  ...entity,
  stand: { kind: 'wall', wall, anchor, side, offset },
});

export const standsFree = ({ stand }: Stands): FreeStand | null => (stand.kind === 'free' ? stand : null);

/** What stands free goes along when rooms are moved; what leans on a wall goes with that. */
export function movedStand<E extends Stands>(entity: E, { to, turn, mirror }: Move): E {
  const { stand } = entity;
  if (stand.kind === 'wall') return entity;
  const turned = ((mirror ? -stand.turn : stand.turn) + turn) % 360;
  return { ...entity, stand: { ...stand, ...to(stand), turn: turned } };
}
