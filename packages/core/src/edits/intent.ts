import type { Point } from '../geometry';
import type { Id, JobDetails, OpeningKind, Reading } from '../plan/plan';

/** The changes of an opening that can be typed or flipped. Distances from the inside corner at that end of the face. */
export interface OpeningSize {
  readonly width?: number;
  readonly height?: number;
  readonly sill?: number;
}

/** Where on a wall face an opening goes: mm from the inside corner at the left or right end, seen from inside the room. */
export interface PlaceOnFace {
  readonly face: string;
  readonly end: 'left' | 'right';
  readonly offset: number;
}

/** Everything a person can do to a plan. */
export type Intent =
  | { readonly kind: 'drawBox'; readonly floor: Id; readonly a: Point; readonly b: Point }
  | {
      readonly kind: 'tapeLength';
      readonly floor: Id;
      readonly from: Id;
      readonly to: Id;
      readonly value: number;
      readonly text: string;
      readonly unit: Reading['unit'];
      /** The corner that moves; the other stays where it is. */
      readonly moves: 'from' | 'to';
      /** When it was read, ISO 8601. */
      readonly time: string;
    }
  | { readonly kind: 'loosenReading'; readonly reading: Id }
  | {
      readonly kind: 'setThickness';
      readonly floor: Id;
      /** The face it was typed on: that face stays, the wall grows behind it. */
      readonly face: string;
      readonly thickness: number;
      /** The walls of this face, or all walls of their kind on the floor. */
      readonly scope: 'wall' | 'all';
    }
  | { readonly kind: 'setCeilingHeight'; readonly room: Id; readonly height: number; readonly scope: 'room' | 'all' }
  | { readonly kind: 'nameRoom'; readonly room: Id; readonly name: string }
  | {
      readonly kind: 'moveWall';
      readonly floor: Id;
      readonly face: string;
      /** mm into the room */ readonly by: number;
    }
  | { readonly kind: 'removeWall'; readonly floor: Id; readonly face: string }
  | ({ readonly kind: 'addOpening'; readonly floor: Id; readonly opening: OpeningKind } & PlaceOnFace & OpeningSize)
  | ({
      readonly kind: 'changeOpening';
      readonly floor: Id;
      readonly opening: Id;
      readonly place?: PlaceOnFace;
    } & OpeningSize)
  | { readonly kind: 'flipOpening'; readonly opening: Id; readonly what: 'hinge' | 'swing' }
  | { readonly kind: 'removeOpening'; readonly opening: Id }
  | { readonly kind: 'changeJob'; readonly details: Partial<JobDetails> };

/** What an edit is called where it can be undone. */
export const EDIT_NAMES: Record<Intent['kind'], string> = {
  drawBox: 'draw room',
  tapeLength: 'tape length',
  loosenReading: 'loosen reading',
  setThickness: 'wall thickness',
  setCeilingHeight: 'ceiling height',
  nameRoom: 'room name',
  moveWall: 'move wall',
  removeWall: 'remove wall',
  addOpening: 'add opening',
  changeOpening: 'change opening',
  flipOpening: 'flip door',
  removeOpening: 'remove opening',
  changeJob: 'job details',
};
