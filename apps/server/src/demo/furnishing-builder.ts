import { piecesOfOption } from '@velvet-tape/core/options';
import { newPiece, pieceKindOf, piecesOn, placePiece } from '@velvet-tape/core/pieces';
import { type Piece, deriveFloor, standOnFace, usualSpec } from '@velvet-tape/core';
import { PlanBuilder, type Side } from './plan-builder';

/** How a piece is put down: sizes as typed, degrees. */
export interface Put extends Partial<Pick<Piece, 'name' | 'price' | 'maker' | 'note' | 'colour' | 'mirrored' | 'up'>> {
  readonly width?: string;
  readonly depth?: string;
  readonly height?: string;
  readonly turn?: number;
}

/** Pieces, and the options they are part of. */
export class FurnishingBuilder extends PlanBuilder {
  /** Loose pieces that come next are part of this option; null: of all. */
  option: string | null = null;

  /** Another option, with all of one that is there. */
  addOption(name: string, like: string | null = null): string {
    return this.do({ kind: 'addOption', name, like });
  }

  /** What an option takes away of the house: the wall of a room on this side. */
  takeAway(option: string, room: string, side: Side): void {
    for (const { wall } of this.face(room, side).halves.filter((half) => half.wall.kind === 'internal'))
      this.do({ kind: 'alterHouse', option, floor: this.floor, altered: { kind: 'wall gone', wall: wall.id } });
  }

  /** A plain opening, so wide, in the middle of the wall of a room. */
  openUp(option: string, room: string, side: Side, width: string): void {
    const face = this.face(room, side);
    const spec = { ...usualSpec('plain opening', this.made.job.units), width: this.mm(width).value };
    const derived = deriveFloor(this.made, this.floor);
    const stand = standOnFace(derived.network, face, (face.length - spec.width) / 2, spec.width);
    const altered = { kind: 'opening' as const, stand, spec, hinge: 'start' as const, swing: stand.side };
    this.do({ kind: 'alterHouse', option, floor: this.floor, altered });
  }

  /** A piece put down as anybody does: it goes to the wall that is near, or stands free where it is told how it is turned. Sizes as typed. */
  put(form: string, x: number, y: number, how: Put = {}): string {
    const { width, depth, height, turn, ...more } = how;
    const kind = pieceKindOf(form);
    const size = (side: 'width' | 'depth' | 'height', text: string | undefined) =>
      text === undefined ? kind[side][0] : this.mm(text).value;
    const piece = newPiece(kind, {
      width: size('width', width),
      depth: size('depth', depth),
      height: size('height', height),
    });
    const derived = deriveFloor(this.made, this.floor);
    const others = piecesOn(piecesOfOption(this.made.pieces, this.option), derived);
    const free = turn !== undefined;
    const placed = placePiece(
      derived,
      piece,
      { x, y },
      { reach: free ? 0 : 120, turn: turn ?? 0, fresh: true, others },
    );
    const up = placed.stand.kind === 'piece' ? 0 : piece.up;
    return this.do({
      kind: 'addPiece',
      floor: this.floor,
      piece: {
        ...piece,
        up,
        stand: placed.stand,
        mirrored: placed.mirrored ?? false,
        option: this.option ?? '',
        ...more,
      },
    });
  }
}
