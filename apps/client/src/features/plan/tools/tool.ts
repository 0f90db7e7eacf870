import type { DerivedFloor, Intent, Point } from '@velvet-tape/core';
import type { Selection } from '../plan-slice';

/** One finger or the mouse, at a point of the house. */
export interface Pointer {
  /** mm */
  readonly at: Point;
  /** px on the screen */
  readonly px: Point;
  /** How far a finger or the mouse may miss, mm. */
  readonly reach: number;
  /** Held to suspend snapping. */
  readonly free: boolean;
}

/** What a tool can see and do. It knows nothing of the screen or of React. */
export interface Bench {
  floor(): DerivedFloor;
  selection(): Selection;
  /** Show what an edit would do; null: show the plan as it is. */
  preview(intent: Intent | null, seed: string): void;
  /** Do it; the id of what was made, null when it was refused or made nothing. */
  commit(intent: Intent, seed: string): { ok: boolean; made: string | null };
  select(selection: Selection): void;
  /** Move the sheet under the finger, px. */
  pan(dx: number, dy: number): void;
  /** A room was drawn and wants a name. */
  drawn(room: string): void;
  seed(): string;
}

/** A gesture as a small state machine. `cancel` backs out of whatever is under way. */
export interface Tool {
  down(pointer: Pointer): void;
  move(pointer: Pointer): void;
  up(pointer: Pointer): void;
  cancel(): void;
  /** True while something is being dragged: Escape then means cancel. */
  readonly busy: boolean;
}
