import { type Collection, type DerivedFloor, MM_PER_FOOT, type Piece } from '@velvet-tape/core';
import { pieceLines, pieceKindOf, piecesOn } from '@velvet-tape/core/pieces';
import type { Row } from './row';

/** The columns of the piece list of a floor, sizes in the job's units, as files show them. */
export function pieceRows(floor: DerivedFloor, pieces: Collection<Piece>): Row[] {
  const metric = floor.plan.job.units === 'metric';
  const [length, unit, digits] = metric ? [1000, 'm', 3] : [MM_PER_FOOT, 'ft', 4];
  const size = (mm: number) => Number((mm / length).toFixed(digits));
  return pieceLines(floor, piecesOn(pieces, floor)).map(({ on: { piece, bottom }, number, name, room }) => ({
    Floor: floor.name,
    No: number,
    Name: name,
    Kind: pieceKindOf(piece.form).name,
    [`Width (${unit})`]: size(piece.width),
    [`Depth (${unit})`]: size(piece.depth),
    [`Height (${unit})`]: size(piece.height),
    [`Off the floor (${unit})`]: size(bottom),
    Room: room || 'Outside',
    Belongs: piece.fixed ? 'to the house' : 'loose',
    Maker: piece.maker,
    Price: piece.price ?? '',
    Note: piece.note,
    Link: piece.link,
  }));
}
