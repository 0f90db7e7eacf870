import type { Collection, Id, Value, WallSide } from './values';

const DOORS = [
  'hinged door',
  'double door',
  'leaf and a half',
  'sliding door',
  'pocket door',
  'bi-fold door',
  'up-and-over door',
] as const;
const PLAIN = ['plain opening', 'arched opening'] as const;
const WINDOWS = [
  'fixed window',
  'side-hung window',
  'top-hung window',
  'sash window',
  'sliding window',
  'roof light',
  'hatch',
] as const;

export const OPENING_FORMS = [...DOORS, ...PLAIN, ...WINDOWS] as const;
/** How it opens, and with that how it is drawn. */
export type OpeningForm = (typeof OPENING_FORMS)[number];

/** What it counts as, and is numbered as. */
export type OpeningKind = 'door' | 'window' | 'opening';

const isOf = (forms: readonly OpeningForm[], form: OpeningForm): boolean => forms.includes(form);

export const kindOfForm = (form: OpeningForm): OpeningKind =>
  isOf(DOORS, form) ? 'door' : isOf(WINDOWS, form) ? 'window' : 'opening';

/** “a door”, “an opening”. */
export const withArticle = (kind: OpeningKind): string => (kind === 'opening' ? 'an opening' : `a ${kind}`);

/** What openings of one type have in common. mm. */
export interface OpeningSpec {
  readonly form: OpeningForm;
  /** From jamb to jamb, as a tape reads it: of a door between its linings, of a window between its reveals. */
  readonly width: number;
  readonly height: number;
  /** Height of the sill over the floor; 0 for a door. */
  readonly sill: number;
  /** It is as high as the ceiling, whatever that measures. */
  readonly toCeiling: boolean;
  /** How broad the frame is, seen from the room: of a door outside of its width, of a window within it. */
  readonly frame: number;
  /** How deep the frame is; null: as the wall is thick. */
  readonly depth: number | null;
  /** The share of its area that is glass, 0 to 1. */
  readonly glazing: number;
  /** Glazing bars across and upright. */
  readonly bars: { readonly across: number; readonly upright: number };
  /** How far a leaf opens, degrees. */
  readonly angle: number;
  /** What it is made of, for whoever makes it. */
  readonly material: string;
}

/** Doors and windows that are alike: what is changed of the type is changed of all of them. */
export interface OpeningType extends OpeningSpec {
  readonly id: Id;
  /** Empty: it is called by its form and size. */
  readonly name: string;
}

/** An opening as it is kept: where it is, and which type it is of. */
export interface PlacedOpening {
  readonly id: Id;
  readonly wall: Id;
  readonly type: Id;
  /** Among the doors, the windows, or the plain openings, of its floor; it keeps its number whatever becomes of the others. */
  readonly number: number;
  /** The end of the wall, and the side, whose corner the distance is taped from. */
  readonly anchor: 'start' | 'end';
  readonly side: WallSide;
  /** From that inside corner to the nearer jamb, mm, as it was read: where the wall has become too short it stands as near as it can. */
  readonly offset: number;
  /** The jamb that carries the hinges, and the side a leaf opens to. */
  readonly hinge: 'start' | 'end';
  readonly swing: WallSide;
  /** Its own height of the sill over the floor, mm; null: that of its type. */
  readonly ownSill: number | null;
  readonly note: string;
}

/** An opening with what its type says of it. */
export interface Opening extends PlacedOpening, OpeningSpec {
  readonly kind: OpeningKind;
}

const resolved = new WeakMap<PlacedOpening, { type: OpeningType; opening: Opening }>();

/** The opening with what its type says; the same one as last time while neither changed. Throws when the plan has no such type. */
export function openingOf(types: Collection<OpeningType>, placed: PlacedOpening): Opening {
  const type = types[placed.type];
  if (!type) throw new Error(`Opening ${placed.id} has lost its type.`);
  const last = resolved.get(placed);
  if (last?.type === type) return last.opening;
  const { id: _, name: __, ...spec } = type;
  const sill = placed.ownSill ?? type.sill;
  const opening = { ...spec, ...placed, sill, kind: kindOfForm(type.form) };
  resolved.set(placed, { type, opening });
  return opening;
}

/** Only what is kept of an opening; what its type says stays in the type. */
export const placedOpening = ({
  id,
  wall,
  type,
  number,
  anchor,
  side,
  offset,
  hinge,
  swing,
  ownSill,
  note,
}: PlacedOpening): PlacedOpening => ({ id, wall, type, number, anchor, side, offset, hinge, swing, ownSill, note });

/** A mark along a wall: the inside corner at either end, or a jamb, the near one being nearer to the corner `from`. */
export type WallMark = 'from' | 'to' | { readonly opening: Id; readonly jamb: 'near' | 'far' };

/**
 * A distance read along a straight wall from one mark to another, as someone in the room sees it: from a corner (running), or over a
 * gap or an opening. `from` and `to` are the corners of the face.
 */
export interface GapReading extends Value {
  readonly id: Id;
  readonly floor: Id;
  readonly from: Id;
  readonly to: Id;
  readonly a: WallMark;
  readonly b: WallMark;
  readonly note: string;
  readonly history: readonly Value[];
}

const wordOf = (mark: WallMark): string => (typeof mark === 'string' ? mark : `${mark.opening}/${mark.jamb}`);

/** Where it was read: two readings of one place are one measured again. */
export const placeOfGap = ({ from, to, a, b }: Pick<GapReading, 'from' | 'to' | 'a' | 'b'>): string =>
  `${from}>${to} ${wordOf(a)} ${wordOf(b)}`;

/** The openings it names. */
export const openingsOfGap = ({ a, b }: Pick<GapReading, 'a' | 'b'>): readonly Id[] =>
  [a, b].flatMap((mark) => (typeof mark === 'string' ? [] : [mark.opening]));
