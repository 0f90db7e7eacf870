import type { DerivedFloor, Guide, Intent, Plan, Point } from '@velvet-tape/core';
import type { Selection, ToolName } from '../plan-state';
import type { ToolChoices } from '../tool-choices';
import type { OtherFloor } from '../floors/other-floor';
import type { Proposal } from '../sketching/proposal';
import type { TracedPicture } from '../underlay/trace';

/** One finger or the mouse, at a point of the house. */
export interface Pointer {
  /** mm */
  readonly at: Point;
  /** px on the screen */
  readonly px: Point;
  /** How far a finger or the mouse may miss, mm. */
  readonly reach: number;
  /** Snapping is suspended. */
  readonly free: boolean;
  /** The mouse draws a rectangle of what is to be chosen. */
  readonly several: boolean;
  /** It rested where it was pressed before it moved: what is under it is meant, not the sheet. */
  readonly rested: boolean;
}

/** What a tool can see and do. It knows nothing of the screen or of React. */
export interface Bench {
  floor(): DerivedFloor;
  selection(): Selection;
  choices(): ToolChoices;
  /** Show what an edit would do; null: show the plan as it is. */
  preview(intent: Intent | null, seed: string): void;
  /** Do it; the id of what was made, null when it was refused or made nothing. */
  commit(intent: Intent, seed: string): { ok: boolean; made: string | null };
  /** What is drawn but not kept yet. */
  proposal(): Proposal | null;
  propose(proposal: Proposal | null): void;
  /** Keep it; false when that was refused. */
  keep(): boolean;
  select(selection: Selection): void;
  /** Go on with what is proposed with the tool that draws such things. */
  handOver(tool: ToolName): void;
  /** Show what a point was caught by. */
  guide(guides: readonly Guide[]): void;
  /** Show a line as it is being drawn: a lasso, a rectangle. */
  lasso(points: readonly Point[]): void;
  /** The floor that shines through. */
  otherFloor(): OtherFloor | null;
  /** The picture under the pencil, where its lines can be caught. */
  traced(): TracedPicture | null;
  /** Take what was found on a picture here: a wall, or those round a room. False where nothing was. */
  takeSeen(at: Point, reach: number): boolean;
  /** Why does the floor here count, or not? */
  ask(at: Point): void;
  /** Where the mark of a vantage is near, offers to look from it. */
  offerLook(at: Point, reach: number): void;
  /** Says why something can’t be done. */
  refuse(words: string): void;
  /** Height of body lettering as it is drawn, mm of the house. */
  lettering(): number;
  /** The pieces of the option that is looked at, as they are without what is being dragged. */
  pieces(): Plan['pieces'];
  /** That option; null: the measured house. */
  option(): string | null;
  /** Looks of the job’s own. */
  looks(): Pick<Plan, 'looks'>;
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
  /** The mouse passes over the sheet with no button down. */
  hover?(pointer: Pointer): void;
  cancel(): void;
  /** True while something is being dragged: Escape then means cancel. */
  readonly busy: boolean;
}

/** A drag shorter than this is a tap, px. */
export const SLACK = 8;

/** A finger that stays where it was pressed for so long means what is under it, ms. */
export const REST = 250;

export const isTap = (from: Point, to: Point): boolean => Math.hypot(to.x - from.x, to.y - from.y) < SLACK;

/** A tool that does something where it is tapped; a drag moves the sheet. */
export function tapTool(bench: Bench, tapped: (pointer: Pointer) => void): Tool {
  let pressed: Point | null = null;
  return {
    busy: false,
    down(pointer) {
      pressed = pointer.px;
    },
    move(pointer) {
      if (!pressed || isTap(pressed, pointer.px)) return;
      bench.pan(pointer.px.x - pressed.x, pointer.px.y - pressed.y);
      pressed = pointer.px;
    },
    up(pointer) {
      if (pressed && isTap(pressed, pointer.px)) tapped(pointer);
      pressed = null;
    },
    cancel() {
      pressed = null;
    },
  };
}
