import type { Point, RingPoint } from '../geometry';
import type { SeenWall, TracedBody, TracedLine } from '../underlay';
import type {
  GapReading,
  Id,
  Instrument,
  JobDetails,
  OpeningKind,
  OpeningSpec,
  OpeningType,
  PictureDetails,
  Place,
  Reading,
  RoomColour,
  SolidKind,
  SolidShape,
  Underlay,
  Value,
  WallSide,
} from '../plan/plan';

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

/** Everything a person can do to a plan. */
export type Intent =
  | {
      readonly kind: 'drawBox';
      readonly floor: Id;
      readonly a: Point;
      readonly b: Point;
      readonly width?: TypedLength | null;
      readonly depth?: TypedLength | null;
      readonly traced?: Tracing;
      /** When they were read, ISO 8601. */
      readonly time?: string;
    }
  | {
      readonly kind: 'drawPath';
      readonly floor: Id;
      /** The corners; with a bulge the leg from that corner to the next is an arc. */
      readonly points: readonly RingPoint[];
      readonly closed: boolean;
      /** A boundary without a wall. */
      readonly chalk?: boolean;
      readonly traced?: Tracing;
      /** The length typed for each leg, null where it was only drawn. */
      readonly lengths?: readonly (TypedLength | null)[];
      /** How far each curved leg was measured to bow, null where it was not. */
      readonly bows?: readonly (TypedLength | null)[];
      /** The clockwise turn measured at each corner, degrees; null where it is only assumed. */
      readonly turns?: readonly (TypedLength | null)[];
      /** When they were read, ISO 8601. */
      readonly time?: string;
    }
  | { readonly kind: 'closeEnd'; readonly floor: Id; readonly corner: Id; readonly how: 'straight' | 'squared' }
  | {
      readonly kind: 'bump';
      readonly floor: Id;
      readonly face: string;
      readonly shape: BumpShape;
      /** mm from the left end of the face, seen from inside the room */
      readonly from: number;
      readonly width: number;
      /** mm out of the room; negative into it */
      readonly depth: number;
      /** How much narrower the far side is at each end, mm, for slanted cheeks. */
      readonly splay?: number;
    }
  | {
      readonly kind: 'bendWall';
      readonly floor: Id;
      readonly face: string;
      readonly by: 'sagitta' | 'radius' | 'length';
      /** mm, of the inside face */
      readonly value: number;
      readonly way: 'out' | 'in';
      /** It was measured: a reading is kept of it. */
      readonly read?: Value;
    }
  | { readonly kind: 'moveCorner'; readonly floor: Id; readonly corner: Id; readonly to: Point }
  | { readonly kind: 'addCorner'; readonly floor: Id; readonly face: string; readonly along: number }
  | { readonly kind: 'removeCorner'; readonly floor: Id; readonly corner: Id }
  | {
      readonly kind: 'transformRooms';
      readonly floor: Id;
      readonly rooms: readonly Id[];
      readonly motion: Motion;
      readonly copy: boolean;
    }
  | {
      readonly kind: 'addSolid';
      readonly floor: Id;
      readonly solid: SolidKind;
      readonly shape: SolidShape;
      readonly at: Point;
      readonly turn?: number;
      readonly width?: number;
      readonly depth?: number;
    }
  | {
      readonly kind: 'changeSolid';
      readonly solid: Id;
      readonly width?: number;
      readonly depth?: number;
      readonly shape?: SolidShape;
      readonly turn?: number;
      /** Where its middle goes, for one that stands free. */
      readonly to?: Point;
      /** Where it goes along a wall, for one that leans on it. */
      readonly place?: PlaceOnFace;
    }
  | { readonly kind: 'removeSolid'; readonly solid: Id }
  | { readonly kind: 'placeLabel'; readonly room: Id; readonly at: Point | null }
  | { readonly kind: 'colourRoom'; readonly room: Id; readonly colour: RoomColour | null }
  | { readonly kind: 'setWallKind'; readonly floor: Id; readonly face: string; readonly as: 'wall' | 'party' | 'chalk' }
  | { readonly kind: 'keepFlush'; readonly floor: Id; readonly face: string; readonly side: 'inside' | 'outside' }
  | {
      readonly kind: 'tapeLength';
      readonly floor: Id;
      readonly from: Id;
      readonly to: Id;
      /** Straight across a curved wall. */
      readonly across?: boolean;
      /** On the inner face unless said. */
      readonly along?: Reading['face'];
      readonly value: number;
      readonly text: string;
      readonly unit: Reading['unit'];
      /** A tape unless said. */
      readonly instrument?: Instrument;
      /** The corner that moves; the other stays where it is. */
      readonly moves: 'from' | 'to';
      /** When it was read, ISO 8601. */
      readonly time: string;
    }
  | { readonly kind: 'loosenReading'; readonly reading: Id }
  | {
      readonly kind: 'setThickness';
      readonly floor: Id;
      /** The face it was typed on. */
      readonly face: string;
      readonly thickness: number;
      /** The walls of this face, or all walls of their kind on the floor. */
      readonly scope: 'wall' | 'all';
      /** Seen from the face it was typed on; outwards unless said. */
      readonly grow?: 'outwards' | 'inwards' | 'both';
      /** It was measured on this face: a reading is kept of it. */
      readonly read?: Value;
    }
  | {
      readonly kind: 'setCeilingHeight';
      readonly room: Id;
      readonly height: number;
      readonly scope: 'room' | 'all';
      /** It was measured in this room: a reading is kept of it. */
      readonly read?: Value;
    }
  /** The height under a slope over a point of a room's floor. */
  | { readonly kind: 'readHeight'; readonly room: Id; readonly at: Point; readonly read: Value }
  | { readonly kind: 'nameRoom'; readonly room: Id; readonly name: string }
  | {
      readonly kind: 'takeReading';
      readonly floor: Id;
      readonly place: Place;
      readonly read: Value;
      /** The corners that stay where they are. */
      readonly stay: readonly Id[];
    }
  | {
      readonly kind: 'changeReading';
      readonly reading: Id;
      readonly change: Partial<Pick<Reading, 'held' | 'spread' | 'note'>>;
    }
  /** These corners stay where they are whatever is read, or no longer. */
  | { readonly kind: 'pin'; readonly floor: Id; readonly corners: readonly Id[]; readonly pinned: boolean }
  | {
      readonly kind: 'moveWall';
      readonly floor: Id;
      readonly face: string;
      /** mm into the room */ readonly by: number;
      /** Whether the walls at its ends get longer or shorter along their lines, or turn with it. */
      readonly neighbours?: 'stretch' | 'turn';
    }
  | { readonly kind: 'removeWall'; readonly floor: Id; readonly face: string }
  | ({
      readonly kind: 'addOpening';
      readonly floor: Id;
      readonly opening: OpeningKind;
      /** What it is like, where it is not as usual. */
      readonly spec?: Partial<OpeningSpec>;
      /** An opening it is a copy of. */
      readonly like?: Id;
    } & PlaceOnFace &
      OpeningSize)
  | ({
      readonly kind: 'changeOpening';
      readonly floor: Id;
      readonly opening: Id;
      readonly place?: PlaceOnFace;
      /** Its size is that of all openings of its type. */
      readonly all?: boolean;
      readonly note?: string;
    } & OpeningSize)
  | { readonly kind: 'changeType'; readonly type: Id; readonly change: Partial<Omit<OpeningType, 'id'>> }
  /** Another type: one there is, a new one, or what it is as one of its own. */
  | { readonly kind: 'takeType'; readonly opening: Id; readonly as: Id | OpeningSpec | 'own'; readonly name?: string }
  | { readonly kind: 'spaceOpenings'; readonly floor: Id; readonly face: string }
  | { readonly kind: 'swingOpening'; readonly opening: Id; readonly hinge: 'start' | 'end'; readonly swing: WallSide }
  /** A distance along a straight wall, between the corners of a face; mm. */
  | ({ readonly kind: 'readGap'; readonly floor: Id; readonly read: Value } & Pick<
      GapReading,
      'from' | 'to' | 'a' | 'b'
    >)
  | { readonly kind: 'flipOpening'; readonly opening: Id; readonly what: 'hinge' | 'swing' }
  | { readonly kind: 'removeOpening'; readonly opening: Id }
  | {
      readonly kind: 'addUnderlay';
      readonly floor: Id;
      readonly picture: PictureDetails;
      readonly name: string;
      /** Where its middle goes. */
      readonly at: Point;
      readonly calibration?: Underlay['calibration'];
      readonly paper?: number | null;
    }
  | { readonly kind: 'changeUnderlay'; readonly underlay: Id; readonly change: UnderlayChange }
  /** Another picture of the same: what was marked stays where it was. With a calibration it shows something else. */
  | {
      readonly kind: 'replacePicture';
      readonly underlay: Id;
      readonly picture: PictureDetails;
      readonly calibration?: Underlay['calibration'];
      readonly paper?: number | null;
    }
  | { readonly kind: 'orderUnderlay'; readonly underlay: Id; readonly by: 1 | -1 }
  | { readonly kind: 'removeUnderlay'; readonly underlay: Id }
  /** Lengths that are only scaled follow what was taped since. */
  | { readonly kind: 'rescale'; readonly underlay: Id }
  | {
      readonly kind: 'takeWalls';
      readonly underlay: Id;
      readonly walls: readonly SeenWall[];
      /** ISO 8601 */
      readonly time: string;
    }
  | { readonly kind: 'changeJob'; readonly details: Partial<JobDetails> };

const EDIT_NAMES: Record<Intent['kind'], string> = {
  drawBox: 'draw room',
  drawPath: 'draw walls',
  closeEnd: 'close outline',
  bump: 'bump',
  bendWall: 'bend wall',
  moveCorner: 'move corner',
  addCorner: 'add corner',
  removeCorner: 'remove corner',
  transformRooms: 'move rooms',
  addSolid: 'add column',
  changeSolid: 'change column',
  removeSolid: 'remove column',
  placeLabel: 'move label',
  colourRoom: 'room colour',
  setWallKind: 'kind of wall',
  keepFlush: 'keep flush',
  tapeLength: 'tape length',
  takeReading: 'take reading',
  changeReading: 'change reading',
  pin: 'pin',
  loosenReading: 'loosen reading',
  setThickness: 'wall thickness',
  setCeilingHeight: 'ceiling height',
  readHeight: 'height',
  nameRoom: 'room name',
  moveWall: 'move wall',
  removeWall: 'remove wall',
  addOpening: 'add opening',
  changeOpening: 'change opening',
  changeType: 'change type',
  takeType: 'take type',
  spaceOpenings: 'space openings',
  swingOpening: 'swing',
  readGap: 'read along wall',
  flipOpening: 'flip door',
  removeOpening: 'remove opening',
  addUnderlay: 'add underlay',
  changeUnderlay: 'change underlay',
  replacePicture: 'replace picture',
  orderUnderlay: 'order underlays',
  removeUnderlay: 'remove underlay',
  rescale: 'rescale',
  takeWalls: 'take walls',
  changeJob: 'job details',
};

/** What an edit is called where it can be undone. */
export function editName(intent: Intent): string {
  if (intent.kind === 'drawPath' && intent.chalk) return 'chalk line';
  if (intent.kind === 'bump' && intent.shape === 'breast') return 'chimney breast';
  if (intent.kind === 'transformRooms') {
    if (intent.copy) return 'copy rooms';
    if (intent.motion.mirror) return 'mirror rooms';
    if (intent.motion.turn !== 0) return 'turn rooms';
  }
  return EDIT_NAMES[intent.kind];
}
