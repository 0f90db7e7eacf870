import type { Point } from '../geometry';
import type { TracedBody, TracedLine } from '../underlay';
import type { Id, Instrument, Reading, Underlay, Value } from '../plan/plan';

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

/** A length as it was typed. */
export interface TypedLength {
  /** mm */
  readonly value: number;
  readonly text: string;
  readonly unit: Reading['unit'];
  /** A tape unless said. */
  readonly instrument?: Instrument;
  readonly traced?: Value['traced'];
}

/** What was typed for each leg; null where nothing was. */
export type Typed = readonly (TypedLength | null)[];

/** What was read while walls were drawn. */
export interface ReadOnTheWay {
  readonly lengths: Typed;
  readonly bows: Typed;
  /** The inside angle at each corner, degrees. */
  readonly angles: Typed;
}

/** Turned clockwise by `turn` degrees and, if said, mirrored left to right, about a point; then moved. mm. */
export interface Motion {
  readonly dx: number;
  readonly dy: number;
  readonly turn: number;
  readonly mirror: boolean;
  readonly about: Point;
}

export type BumpShape = 'box' | 'slanted' | 'round' | 'breast';

/** Walls drawn over an underlay of known scale: what nobody typed is as long as the picture says. */
export interface Tracing {
  readonly underlay: Id;
  /** The line of the walls that was followed. */
  readonly line: TracedLine;
  /** What is seen of the wall under each leg; null where nothing is. */
  readonly bodies: readonly (TracedBody | null)[];
}

/** What can be changed about an underlay without bringing in another picture. */
export type UnderlayChange = Partial<
  Pick<Underlay, 'name' | 'calibration' | 'at' | 'turn' | 'crop' | 'look' | 'locked' | 'hidden' | 'prints'>
>;
