import type { Piece, PieceStand } from '../../plan/plan';
import type { Guide } from '../../snapping';
import type { PieceOnFloor } from '../on-floor';

/** Where something comes to stand, and what it was caught by. */
export interface Placed {
  readonly stand: PieceStand;
  readonly guides: readonly Guide[];
  /** What goes into a corner is handed by it; not given: as it is. */
  readonly mirrored?: boolean;
}

/** What is put down. */
export type Standing = Pick<Piece, 'form' | 'width' | 'depth' | 'height' | 'up' | 'gap'>;

export interface Placing {
  /** How far a finger may miss, mm; 0: nothing catches. */
  readonly reach: number;
  /** How it is turned where no wall turns it, degrees. */
  readonly turn: number;
  /** It is new: it goes to the nearest wall even from the middle of a small room. */
  readonly fresh?: boolean;
  /** The other pieces of the floor. */
  readonly others: readonly PieceOnFloor[];
}

/** Places go in steps of a centimetre, mm. */
const STEP = 10;
export const inSteps = (mm: number) => Math.round(mm / STEP) * STEP;
