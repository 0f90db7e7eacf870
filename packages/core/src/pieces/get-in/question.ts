import type { Id } from '../../plan/plan';
import type { Size } from '../kind';
import type { Pose, Rectangle } from './poses';

/** Which way up it is carried. */
export const CARRIED = ['level', 'on edge', 'on end'] as const;
export type CarriedHow = (typeof CARRIED)[number];

export interface GetInQuestion {
  readonly piece: Id;
  /** The door, or the window, of the house it comes through; or the room it is in. */
  readonly from: Id;
  readonly offHinges: boolean;
  /** As it is carried: without its legs, taken apart. */
  readonly size: Size;
}

/** A part of the way, over one floor. */
export interface Leg {
  readonly floor: Id;
  readonly how: CarriedHow;
  /** On plan, as it is carried. */
  readonly size: Rectangle;
  readonly poses: readonly Pose[];
}

/** How it lies where it sticks. */
export interface Stuck {
  readonly floor: Id;
  readonly pose: Pose;
  readonly size: Rectangle;
}

export type GetInAnswer =
  | { readonly gets: true; readonly words: string; readonly legs: readonly Leg[] }
  | {
      readonly gets: false;
      readonly words: string;
      /** Smaller by so much on all sides together it would get in, mm; null: it would not, however small. */
      readonly by: number | null;
      /** Where it sticks first, and how it lies there. */
      readonly at: Stuck | null;
    };

/** It does not, and there is no place to show it at. */
export const no = (words: string): GetInAnswer => ({ gets: false, words, by: null, at: null });
