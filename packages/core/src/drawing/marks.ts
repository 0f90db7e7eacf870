import type { DerivedFloor } from '../derived';
import type { LetterBox } from './lettering';
import type { Point, Ring } from '../geometry';
import type {
  Collection,
  Finish,
  Id,
  LabelSays,
  Look,
  Piece,
  RoomColour,
  ShownPart,
  Units,
  Vantage,
} from '../plan/plan';

/** What a mark stands for; a painter chooses line, colour and lettering by it. */
export type Role =
  | 'underlay'
  | 'floor'
  | 'wall.cut'
  | 'wall.hatched'
  | 'wall.gone'
  | 'wall.new'
  | 'solid.cut'
  | 'solid.hatch'
  | 'chalk.line'
  | 'stair.tread'
  | 'stair.hidden'
  | 'stair.line'
  | 'stair.start'
  | 'stair.cut'
  | 'stair.text'
  | 'stair.rail'
  | 'void.edge'
  | 'level'
  | 'void.cross'
  | 'ceiling.line'
  | 'ceiling.meet'
  | 'ceiling.text'
  | 'break.edge'
  | 'break.over'
  | 'section.ceiling'
  | 'open.end'
  | 'opening.gap'
  | 'opening.over'
  | 'opening.pocket'
  | 'opening.frame'
  | 'elevation.wall'
  | 'elevation.opening'
  | 'elevation.glass'
  | 'elevation.line'
  | 'elevation.hidden'
  | 'door.leaf'
  | 'door.swing'
  | 'window.frame'
  | 'window.glass'
  | 'dimension.rough'
  | 'dimension.taped'
  | 'dimension.scaled'
  | 'dimension.workedOut'
  | 'dimension.tick'
  | 'dimension.check'
  | 'opening.number'
  | 'room.name'
  | 'room.area'
  | 'note.line'
  | 'note.end'
  | 'note.head'
  | 'note.figure'
  | 'note.text'
  | 'note.sign'
  | 'hatch.line'
  | 'finish.tint'
  | 'finish.joint'
  | 'vantage.eye'
  | 'vantage.side'
  | 'axonometric.line'
  | 'axonometric.fine'
  | 'axonometric.cut'
  | 'piece.form'
  | 'piece.line'
  | 'piece.over'
  | 'piece.top'
  | 'piece.joint'
  | 'piece.number'
  | 'sheet.edge'
  | 'sheet.line'
  | 'sheet.fill'
  | 'sheet.mask'
  | 'sheet.tape'
  | 'sheet.title'
  | 'sheet.text'
  | 'sheet.small';

interface MarkOf<Kind extends string> {
  readonly kind: Kind;
  readonly role: Role;
  /** Stable among drawings of the same plan: says what the mark belongs to. */
  readonly key: string;
  /** What it belongs to: marks of one unit are shown, or left out where there is no room for them, together. */
  readonly unit?: string;
}

/** Closed outlines (holes by the even-odd rule) or open lines, with arcs where points have a bulge. */
export interface PathMark extends MarkOf<'path'> {
  readonly rings: readonly Ring[];
  readonly closed: boolean;
  readonly tint?: RoomColour;
  /** What it is filled with, where that is its own: sRGB, #RRGGBB. */
  readonly colour?: string;
}

export interface ArcMark extends MarkOf<'arc'> {
  readonly centre: Point;
  readonly radius: number;
  /** The arc runs the short way from one to the other. */
  readonly from: Point;
  readonly to: Point;
}

export interface TextMark extends MarkOf<'text'> {
  readonly at: Point;
  readonly text: string;
  /** Degrees, clockwise. */
  readonly turn: number;
  /** Lettering height as a multiple of the sheet's body height. */
  readonly size: number;
  /** It begins at its place, or ends there; not given: its middle lies there. */
  readonly align?: 'left' | 'right';
}

/** A picture, or the part of it that is shown. */
export interface PictureMark extends MarkOf<'picture'> {
  readonly role: 'underlay';
  /** Under which its bytes are kept. */
  readonly picture: string;
  /** px */
  readonly width: number;
  readonly height: number;
  readonly shown: { readonly left: number; readonly top: number; readonly width: number; readonly height: number };
  /** From px to mm, as of SVG: a b c d e f. */
  readonly matrix: readonly [number, number, number, number, number, number];
  readonly look: Look;
}

/** A renderer-neutral drawing: marks in mm of the real house, in painting order. */
export type Mark = PathMark | ArcMark | TextMark | PictureMark;

export interface DrawingStyle {
  /** Height of body lettering, in mm of the real house: 2.5 mm at 1:50 is 125. */
  readonly lettering: number;
  readonly units: Units;
  /** It is a part of a floor that is drawn: rooms too small for their names have no number, as there is no legend to them. */
  readonly part?: boolean;
  /** What will be laid over the drawing, words and handles: figures make room for it, names stay. */
  readonly over?: readonly LetterBox[];
  /** What of the plan is left out: roles, parts as a whole, layers of notes. */
  readonly hides?: ReadonlySet<Role>;
  readonly without?: ReadonlySet<ShownPart>;
  readonly withoutLayers?: ReadonlySet<string>;
  /** Of which floor what is written is drawn, the part of it that is being dragged, and which is chosen and so shown whatever it lies over; null: nothing is. Not given: of the floor that is drawn. */
  readonly notes?: {
    readonly whole: DerivedFloor;
    readonly near: DerivedFloor | null;
    readonly chosen?: Id | null;
  } | null;
  /** The pieces of the plan, where they are to be drawn. */
  readonly pieces?: Collection<Piece>;
  /** How its floors are finished, where that is to be drawn. */
  readonly finishes?: Collection<Finish>;
  /** Where one looks at the house from, where that is to be marked. */
  readonly vantages?: Collection<Vantage>;
  /** What labels of rooms say; not given: as the job has it. */
  readonly labels?: LabelSays;
  /** Rooms say how long and wide they are. */
  readonly sizes?: boolean;
}
