/** What the parts of a plan are described with. */

export type Id = string;
export type Collection<T> = Readonly<Record<Id, T>>;

/** Of someone walking from the start of a wall to its end. */
export type WallSide = 'left' | 'right';
export type WallEnd = 'start' | 'end';

export const otherEnd = (end: WallEnd): WallEnd => (end === 'start' ? 'end' : 'start');
export const otherSide = (side: WallSide): WallSide => (side === 'left' ? 'right' : 'left');

export const INSTRUMENTS = ['tape', 'laser', 'scaled', 'guess'] as const;
/** What a reading was taken with: a tape, a laser meter, a drawing of known scale, or the eye. */
export type Instrument = (typeof INSTRUMENTS)[number];
export type ReadingUnit = 'm' | 'cm' | 'mm' | 'ft' | 'in' | 'deg';

/** A length that was taken off an underlay. */
export interface Traced {
  readonly underlay: Id;
  /** How far it reaches along the rows of the picture and down its columns, px: with the scale of the picture it is so many mm. */
  readonly span: { readonly x: number; readonly y: number };
  /** Standard deviation, mm: it follows from how well the scale is known and from the pixels. */
  readonly deviation: number;
}

/** What was read, and how. */
export interface Value {
  /** mm; an angle in degrees */
  readonly value: number;
  readonly text: string;
  readonly unit: ReadingUnit;
  readonly instrument: Instrument;
  /** When it was read, ISO 8601. */
  readonly time: string;
  /** It was taken off an underlay. */
  readonly traced?: Traced;
}
