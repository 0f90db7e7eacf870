import { type Affine, constant, minus } from '../geometry';
import type { Id } from '../plan/plan';

/** A sloped or level ceiling, by what it is of. */
export interface Plane {
  readonly of: Id | 'flat' | 'floor';
  readonly height: Affine;
}

/** A part of the room where its ceiling or floor is otherwise. Heights over the floor of the storey. */
export interface Elsewhere {
  readonly id: Id;
  /** Over 0 inside of it only. */
  readonly inside: readonly Affine[];
  /** Raised: its ceiling counts where that is higher. */
  readonly raised: readonly Plane[];
  /** Let down: its ceiling counts where that is lower. */
  readonly lowered: Affine | null;
  /** How much its floor is higher, mm. */
  readonly step: number;
}

/** What is over a room, and its floor. */
export interface Overhead {
  /** Of the planes of a roof the lowest counts, of roofs the highest. */
  readonly roofs: readonly (readonly Plane[])[];
  /** What cuts them off; null: nothing. */
  readonly flat: number | null;
  readonly elsewhere: readonly Elsewhere[];
  /** How high its floor is over that of the storey, mm. */
  readonly step: number;
}

/** A piece of a region under one plane. */
export interface Under<R> {
  readonly region: R;
  /** Over the floor of the storey. */
  readonly plane: Plane;
  /** How high the floor is there. */
  readonly step: number;
}

/** How a region of some sort, a floor, a line, a point, is parted where a function is 0; null for what is empty. */
export type Part<R> = (region: R, by: Affine) => { readonly over: R | null; readonly under: R | null };

/** Planes that differ by less than this are one, mm. */
const ALIKE = 1e-6;

const differ = ({ a, b, c }: Affine): boolean => Math.abs(a) > 1e-12 || Math.abs(b) > 1e-12 || Math.abs(c) > ALIKE;

/**
 * What is lowest, or highest, over a region, piece by piece: the region is parted along the lines where planes meet, and along the edges of its breaks. The
 * same for floors, lines and points, so that a plan, an elevation, a section and a figure can't differ.
 */
export function piecesUnder<R>(whole: R, overhead: Overhead, part: Part<R>): Under<R>[] {
  type Piece = Under<R>;
  const pick = (piece: Piece, plane: Plane, lower: boolean): Piece[] => {
    const by = minus(plane.height, piece.plane.height);
    if (!differ(by)) return [piece];
    const { over, under } = part(piece.region, by);
    const [kept, taken] = lower ? [over, under] : [under, over];
    return [...(kept ? [{ ...piece, region: kept }] : []), ...(taken ? [{ ...piece, region: taken, plane }] : [])];
  };
  const lowestOf = (region: R, planes: readonly Plane[], step: number): Piece[] =>
    planes
      .slice(1)
      .reduce<Piece[]>(
        (pieces, plane) => pieces.flatMap((piece) => pick(piece, plane, true)),
        [{ region, plane: planes[0]!, step }],
      );
  const highestOf = (piece: Piece, planes: readonly Plane[]): Piece[] =>
    lowestOf(piece.region, planes, piece.step).flatMap((other) =>
      pick({ ...piece, region: other.region }, other.plane, false),
    );

  const { roofs, flat, elsewhere, step } = overhead;
  const level: Plane | null = flat === null ? null : { of: 'flat', height: constant(flat + step) };
  const [first, ...rest] = roofs;
  let pieces = lowestOf(whole, first ?? [level!], step);
  for (const planes of rest) pieces = pieces.flatMap((piece) => highestOf(piece, planes));
  if (first && level) pieces = pieces.flatMap((piece) => pick(piece, level, true));
  for (const each of elsewhere) {
    pieces = pieces.flatMap((piece) => {
      const outside: Piece[] = [];
      let inside: R | null = piece.region;
      for (const by of each.inside) {
        if (inside === null) break;
        const { over, under }: ReturnType<Part<R>> = part(inside, by);
        if (under) outside.push({ ...piece, region: under });
        inside = over;
      }
      if (inside === null) return outside;
      let within: Piece[] = [{ ...piece, region: inside, step: piece.step + each.step }];
      if (each.raised.length > 0) within = within.flatMap((one) => highestOf(one, each.raised));
      const { lowered } = each;
      if (lowered) within = within.flatMap((one) => pick(one, { of: each.id, height: lowered }, true));
      return [...outside, ...within];
    });
  }
  // no ceiling is under the floor
  return pieces.flatMap((piece) => {
    const floor: Plane = { of: 'floor', height: constant(piece.step) };
    return pick(piece, floor, false);
  });
}

/** The height of a piece over where one stands. */
export const headroomOf = <R>({ plane, step }: Under<R>): Affine => minus(plane.height, constant(step));
