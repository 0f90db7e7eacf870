import type { AreaRounding } from '../rounding';
import type { AreaRuleName, RoomUse, Units } from '../../plan/plan';

/** What a piece of floor is. */
export type PieceKind =
  | 'floor'
  | 'stairs'
  | 'stair opening'
  | 'void'
  | 'partition'
  | 'perimeter wall'
  | 'party wall'
  | 'outside wall'
  | 'column'
  | 'chimney breast'
  | 'cavity';

/** All that a rule may ask of a piece of floor; of one piece the answers are everywhere the same. */
export interface PieceFacts {
  readonly kind: PieceKind;
  /** Of the room it is in; of a wall that of the room beside it. Null: of none. */
  readonly use: RoomUse | null;
  /** Why its room is not counted. */
  readonly useReason: string;
  /** Between the heights a rule cuts at: it is at least so high, mm, and lower than `below`. */
  readonly from: number;
  readonly below: number;
  /** Its ceiling slopes, or is lower over a part of the room. */
  readonly sloped: boolean;
  /** Of the floor of its room that is at least 5 ft high, the share that is at least 7 ft high. */
  readonly highShare: number;
  /** Its floor lies below the ground floor. */
  readonly belowGround: boolean;
  /** Of what stands in a room: its own area, mm². */
  readonly size: number;
  /** Of stairs: how many risers. */
  readonly risers: number;
}

/** How much of a piece counts, and why. */
export interface Share {
  readonly share: number;
  readonly reason: string;
  /** It is stated separately under this name. */
  readonly apart?: string;
}

/** One way of counting an area. Its texts are the house's own words; the standard is named. */
export interface AreaRule {
  readonly name: AreaRuleName;
  /** The standard it follows, with its year. */
  readonly standard: string;
  /** In a sentence, what it counts. */
  readonly says: string;
  /** The country it belongs to; null: no one country’s. */
  readonly country: 'Germany' | 'France' | 'the US' | 'the UK' | null;
  /** Heights it cuts floors at, mm, rising. */
  readonly heights: readonly number[];
  /** How its totals are written: to so many of a unit. */
  readonly rounding: AreaRounding;
  readonly judge: (piece: PieceFacts, units: Units) => Share;
}

export const all = (reason: string): Share => ({ share: 1, reason });
export const none = (reason: string): Share => ({ share: 0, reason });
export const apart = (share: number, name: string, reason: string): Share => ({ share, reason, apart: name });

const OUTSIDE: ReadonlySet<RoomUse | null> = new Set(['balcony', 'terrace', 'outside']);
/** Open to the sky or to the side. */
export const isOutside = (use: RoomUse | null): boolean => OUTSIDE.has(use);

/** What is never counted by any rule; null where the rule has to say. */
export function neverCounted({ use, useReason }: PieceFacts): Share | null {
  if (use === 'not counted') return none(`Not counted: ${useReason}.`);
  if (use === 'outside') return none('Outside.');
  return null;
}

/** What is enclosed without being floor, by rules that count floor alone; null for floor, and for stairs and their openings. */
export function noFloor({ kind }: PieceFacts): Share | null {
  switch (kind) {
    case 'floor':
    case 'stairs':
    case 'stair opening':
      return null;
    case 'void':
      return none('No floor: open to below.');
    case 'column':
    case 'chimney breast':
      return none('Taken up by what stands in the room.');
    case 'cavity':
      return none('A gap between walls.');
    default:
      return none('Walls and partitions are taken off.');
  }
}
