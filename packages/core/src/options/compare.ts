import { middle } from '../geometry';
import { deriveFloor } from '../derived';
import { adviceOn } from '../pieces/fit/advice';
import { passagesOn } from '../pieces/fit/passages';
import { roomSpace } from '../pieces/fit/space';
import { layModules } from '../pieces/forms/built-in';
import { priceOf } from '../pieces/list';
import { type PieceOnFloor, inFrame, middleOfPiece, piecesOn } from '../pieces/on-floor';
import { runsOf } from '../pieces/runs';
import type { Id, Plan } from '../plan/plan';
import { ofOption } from '../finishes/look-of';
import { houseOfOption, piecesOfOption } from './with-option';

/** What options are compared by. mm, mm², mm³; prices in the money of the job. */
export interface OptionFigures {
  readonly freeFloor: number;
  readonly storage: number;
  readonly shelf: number;
  readonly worktop: number;
  readonly seats: number;
  readonly price: number;
  /** Pieces without a price. */
  readonly unpriced: number;
  /** Null: nothing stands in a way. */
  readonly narrowest: number | null;
  readonly checks: number;
  /** Alterations that can't be done any more. */
  readonly undone: number;
}

/** What of a piece is storage: its volume, less walls and what is lost; metres of shelf in it, or drawer. */
export function storageOf({ piece, kind }: Pick<PieceOnFloor, 'piece' | 'kind'>): { volume: number; shelf: number } {
  const volume = piece.width * piece.depth * piece.height;
  if (piece.builtIn) {
    const { laid } = layModules(piece.width, piece.builtIn.modules);
    const share = kind.stores?.share ?? 0.85;
    const boards = laid.reduce((sum, { wide, fill, count }) => {
      if (fill === 'open') return sum;
      // a rail has one board over it; doors have as many shelves behind them as are usual so high
      const boards = fill === 'rail' ? 1 : fill === 'doors' ? Math.max(1, Math.round(piece.height / 400)) : count;
      return sum + wide * boards;
    }, 0);
    return { volume: volume * share, shelf: boards };
  }
  return kind.stores
    ? { volume: volume * kind.stores.share, shelf: piece.width * kind.stores.shelves }
    : { volume: 0, shelf: 0 };
}

/** A chair stands at a table as far off as this, mm. */
const AT_TABLE = 600;

/** Where one can sit: what is sat on, and the places at tables and desks that have no chair of their own yet. */
export function seatsOf(all: readonly PieceOnFloor[]): number {
  const count = (on: PieceOnFloor) => on.kind.seats?.(on.piece) ?? 0;
  const free = new Set(all.filter((on) => on.kind.group === 'seating' && count(on) > 0));
  let sum = [...free].reduce((seats, on) => seats + count(on), 0);
  for (const on of all) {
    if (on.kind.group === 'seating' || count(on) === 0) continue;
    let places = count(on);
    for (const seat of free) {
      const { x, y } = inFrame(on.frame, middleOfPiece(seat));
      const near = Math.max(-x, x - on.piece.width, -y, y - on.piece.depth) < AT_TABLE;
      if (!near || places === 0) continue;
      places -= Math.min(places, count(seat));
      free.delete(seat);
    }
    sum += places;
  }
  return sum;
}

/** The figures of an option; null: of the measured house with what is there in all options. All floors together. */
export function figuresOf(plan: Plan, option: Id | null): OptionFigures {
  const house = option === null ? null : houseOfOption(plan, option);
  const pieces = piecesOfOption(plan.pieces, option);
  const own = house?.plan ?? plan;
  const sum = { freeFloor: 0, storage: 0, shelf: 0, worktop: 0, seats: 0, price: 0, unpriced: 0, checks: 0 };
  let narrowest: number | null = null;
  for (const id of Object.keys(plan.floors)) {
    // pieces stand where they do in the measured house
    const all = piecesOn(pieces, deriveFloor(plan, id));
    const floor = deriveFloor(own, id);
    for (const room of floor.rooms) sum.freeFloor += roomSpace(room, all).free;
    for (const on of all) {
      const { volume, shelf } = storageOf(on);
      sum.storage += volume;
      sum.shelf += shelf;
    }
    sum.seats += seatsOf(all);
    for (const { length } of runsOf(all)) sum.worktop += length;
    for (const { kind, piece } of all) if (kind.worktop) sum.worktop += Math.max(piece.width, piece.depth);
    const { total, unknown } = priceOf(all.map((on) => ({ on })));
    sum.price += total;
    sum.unpriced += unknown;
    sum.checks += adviceOn(floor, all).length;
    for (const { narrow } of passagesOn(floor, all))
      if (narrow && Number.isFinite(narrow.width)) narrowest = Math.min(narrowest ?? Infinity, narrow.width);
  }
  return { ...sum, narrowest, undone: house?.undone.length ?? 0 };
}

/** The whole of an option as a plan of its own, its pieces standing free where they stand: for what asks about plans. */
export function planOfOption(plan: Plan, option: Id): Plan {
  const { plan: house } = houseOfOption(plan, option);
  const pieces = piecesOfOption(plan.pieces, option);
  const placed = Object.keys(plan.floors).flatMap((id) => piecesOn(pieces, deriveFloor(plan, id)));
  const free = placed.map(({ piece, frame, bottom, ring }) => ({
    ...piece,
    up: bottom,
    stand: {
      kind: 'free' as const,
      ...middle(ring[0]!, ring[2]!),
      turn: (Math.atan2(frame.d.y, frame.d.x) * 180) / Math.PI,
    },
  }));
  return {
    ...house,
    pieces: Object.fromEntries(free.map((piece) => [piece.id, piece])),
    finishes: ofOption(house.finishes, option),
    trims: ofOption(house.trims, option),
  };
}
