import type { DerivedFloor } from '../derived';
import { surfaceContains } from '../rooms';
import { pieceName } from './catalogue';
import { numbersOf } from './numbers';
import { type PieceOnFloor, middleOfPiece } from './on-floor';

/** A line of the piece list. */
export interface PieceLine {
  readonly on: PieceOnFloor;
  readonly number: number;
  readonly name: string;
  /** What the room it stands in is called; empty: it stands outside. */
  readonly room: string;
}

export type PieceOrder = 'number' | 'name' | 'room' | 'price';

/** The pieces of a floor as lines, by their numbers. */
export function pieceLines(floor: DerivedFloor, all: readonly PieceOnFloor[]): readonly PieceLine[] {
  const numbers = numbersOf(all);
  return all.map((on) => {
    const p = middleOfPiece(on);
    const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, p));
    return {
      on,
      number: numbers.get(on.piece.id)!,
      name: pieceName(on.piece),
      room: room ? room.room.name || 'Unnamed' : '',
    };
  });
}

/** In another order; alike ones by their numbers. */
export function orderedPieces(lines: readonly PieceLine[], by: PieceOrder): readonly PieceLine[] {
  const words = (a: string, b: string) => a.localeCompare(b, 'en');
  const order = {
    number: () => 0,
    name: (a: PieceLine, b: PieceLine) => words(a.name, b.name),
    room: (a: PieceLine, b: PieceLine) => words(a.room, b.room) || words(a.name, b.name),
    price: (a: PieceLine, b: PieceLine) => (b.on.piece.price ?? -1) - (a.on.piece.price ?? -1),
  }[by];
  return [...lines].sort((a, b) => order(a, b) || a.number - b.number);
}

/** What all together cost, as far as it is known; how many have no price. */
export function priceOf(lines: readonly Pick<PieceLine, 'on'>[]): { total: number; unknown: number } {
  const known = lines.flatMap(({ on }) => on.piece.price ?? []);
  return { total: known.reduce((sum, price) => sum + price, 0), unknown: lines.length - known.length };
}
