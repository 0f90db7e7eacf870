import type {
  BreakForm,
  BumpShape,
  Instrument,
  LengthUnit,
  Reading,
  RoofForm,
  ShapeName,
  SignName,
  SolidKind,
  SolidShape,
  StairForm,
  TracedLine,
} from '@velvet-tape/core';

/** A dimension line, an angle, a radius, a level; a text, an arrow, a plain line, a sign. */
export type NoteChoice = 'line' | 'angle' | 'radius' | 'level' | 'text' | 'arrow' | 'rule' | 'sign';

/** What was last chosen about the tools; it stays until it is chosen anew. */
export interface ToolChoices {
  readonly chalk: boolean;
  readonly shape: ShapeName;
  readonly bump: BumpShape;
  readonly stairs: { readonly form: StairForm; readonly turning: 'landing' | 'winders' };
  readonly ceiling: 'slope' | RoofForm | BreakForm;
  readonly solid: { readonly solid: SolidKind; readonly shape: SolidShape };
  /** What is put on the plan; what is tapped is measured to by the chosen dimension line. */
  readonly note: { readonly form: NoteChoice; readonly sign: SignName; readonly adding: boolean };
  /** The kind of piece that is put down next; what is tapped joins those that are chosen. */
  readonly piece: { readonly form: string | null; readonly adding: boolean };
  /** What the neighbours of a dragged wall do. */
  readonly neighbours: 'stretch' | 'turn';
  /** Nothing catches. */
  readonly free: boolean;
  /** Which way round a room the walls are taped. */
  readonly round: 'clockwise' | 'anticlockwise';
  /** What lengths are read with, unless a meter sends them, and on which face of the wall. */
  readonly instrument: Instrument;
  readonly along: Reading['face'];
  /** What a bare number is read in; null: what is usual for the field. */
  readonly entry: LengthUnit | null;
  /** Which line of the walls of an underlay is followed; off: what is drawn over it is rough. */
  readonly trace: TracedLine | 'off';
  /** The chosen wall is shown from inside the room too. */
  readonly elevation: boolean;
  /** The number pad is shown where there is a keyboard too. */
  readonly pad: boolean;
  /** The device is held in the right hand and worked with the left: what the thumb needs stands on its side. */
  readonly left: boolean;
  /** The card of a room is drawn down to one line. */
  readonly cardDown: boolean;
  /** How strongly the floor below, of the lowest the one above, shines through. */
  readonly otherFloor: 'off' | 'faint' | 'strong';
}

export const usualChoices: ToolChoices = {
  chalk: false,
  shape: 'L',
  bump: 'box',
  stairs: { form: 'stairs', turning: 'landing' },
  ceiling: 'slope',
  solid: { solid: 'column', shape: 'rectangle' },
  note: { form: 'line', sign: 'socket', adding: false },
  piece: { form: null, adding: false },
  neighbours: 'stretch',
  free: false,
  round: 'clockwise',
  instrument: 'tape',
  along: 'inside',
  entry: null,
  trace: 'inner',
  elevation: false,
  pad: false,
  left: false,
  cardDown: false,
  otherFloor: 'faint',
};
