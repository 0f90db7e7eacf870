import { type FloorUnder, floorUnder, piecesOfRoom } from '../ceilings';
import type { DerivedFloor, DerivedRoom } from '../derived';
import {
  type Point,
  type Ring,
  difference,
  distanceToSegment,
  flattened,
  middle,
  piecesOf,
  valueOf,
} from '../geometry';
import { lastFor } from '../memory';
import { type Column, raise } from './columns';
import { type BuiltTo, FLOORING, overCeiling } from './build-up';
import type { Mesh } from './mesh';
import { surfaceId } from '../finishes/surface';
import { cornersOfRings } from './triangulate';

/** By its outline: what else is said of a room is no matter here. */
const lastFloor = lastFor<DerivedRoom['outline'], Mesh>();

/** What one walks on in a room, with its steps: a solid as thick as floorboards. */
export const roomFloorRaised = (room: DerivedRoom): Mesh =>
  lastFloor(room.outline, [room.room.id, room.ceiling, ...room.standing], () => {
    const { id } = room.room;
    const of = surfaceId('floor', id);
    const columns = piecesOfRoom(room.ceiling, room.standing).flatMap((piece) =>
      regions(piece).map((rings): Column => ({
        rings,
        spans: [
          {
            from: () => -FLOORING,
            to: () => Math.max(piece.step, 1 - FLOORING),
            top: of,
            bottom: surfaceId('cut', id),
          },
        ],
      })),
    );
    return raise(columns, () => of);
  });

const regions = ({ rings }: Pick<FloorUnder, 'rings'>): readonly (readonly Ring[])[] => piecesOf(cornersOfRings(rings));

const lastLid = lastFor<DerivedRoom['outline'], Mesh>();

/** What lies over a room, from its ceiling up to the floor above, or to the roof: with the holes of stairs, voids and roof lights. */
export const lidRaised = (room: DerivedRoom, built: BuiltTo, holes: readonly Ring[]): Mesh =>
  lastLid(room.outline, [room.room.id, room.ceiling, built, ...holes], () => {
    const { id } = room.room;
    const whole = holes.length > 0 ? difference(room.outline.rings, holes) : room.outline.rings;
    const columns = floorUnder(room.ceiling, whole).flatMap((piece) => {
      const ceiling = (p: { x: number; y: number }) => valueOf(piece.height, p) + piece.step;
      return regions(piece).map((rings): Column => ({
        rings,
        spans: [
          {
            from: ceiling,
            to: (p) => overCeiling(built, ceiling(p)),
            top: surfaceId('roof', id),
            bottom: surfaceId('ceiling', id),
          },
        ],
      }));
    });
    // round a hole it is seen
    const rims = holes.map((ring) => flattened(ring));
    const seen = (p: Point) =>
      rims.some((rim) => rim.some((a, i) => distanceToSegment(p, a, rim[(i + 1) % rim.length]!) < 1));
    return raise(columns, (a, b, __, { inner }) => surfaceId(inner || seen(middle(a, b)) ? 'ceiling' : 'cut', id));
  });

const lastColumn = lastFor<DerivedFloor['solids'][number], Mesh>();

/** A column, a pier, a chimney breast: from the floor up to the ceiling over it. */
export function solidRaised(floor: DerivedFloor, on: DerivedFloor['solids'][number], room: DerivedRoom | null): Mesh {
  const usual = floor.plan.job.usual.ceilingHeight;
  return lastColumn(on, [room?.ceiling ?? usual], () => {
    const of = surfaceId('column', on.solid.id);
    const pieces = room ? floorUnder(room.ceiling, [on.ring]) : [];
    const columns = pieces.flatMap((piece) =>
      regions(piece).map((rings): Column => ({
        rings,
        spans: [{ from: () => -FLOORING, to: (p) => valueOf(piece.height, p) + piece.step, top: of, bottom: of }],
      })),
    );
    const whole: Column = {
      rings: cornersOfRings([on.ring]),
      spans: [{ from: () => -FLOORING, to: () => usual, top: of, bottom: of }],
    };
    return raise(columns.length > 0 ? columns : [whole], () => of);
  });
}
