import { z } from 'zod';
import type { Id, Value } from '../values';
import { history, id, note, theNote, theValue, valueRead } from './fields';
import { type Kind, type Reference, onFloor, together } from './kind';

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

const at = z.union([z.enum(['from', 'to']), z.object({ opening: id, jamb: z.enum(['near', 'far']) })]);

const withMarks = (gap: GapReading, change: (mark: WallMark) => WallMark): GapReading => ({
  ...gap,
  a: change(gap.a),
  b: change(gap.b),
});

const seenMirrored = (mark: WallMark): WallMark => {
  if (typeof mark === 'string') return mark === 'from' ? 'to' : 'from';
  return { ...mark, jamb: mark.jamb === 'near' ? 'far' : 'near' };
};

const lost: Pick<Reference<GapReading, object>, 'lost' | 'gone'> = {
  lost: () => 'A reading along a wall has lost what it was read from.',
  gone: 'drop',
};

export const gapKind: Kind<GapReading, object> = {
  one: 'reading along a wall',
  many: 'readings along walls',
  most: 6000,
  schema: z.object({ id, floor: id, from: id, to: id, a: at, b: at, ...valueRead, note, history }),
  floorOf: (gap) => gap.floor,
  together: [together('the place', 'floor', 'from', 'to', 'a', 'b'), theValue, theNote],
  refers: [
    onFloor('reading along a wall'),
    {
      to: 'openings',
      ids: openingsOfGap,
      with: (gap, other) =>
        withMarks(gap, (mark) => (typeof mark === 'string' ? mark : { ...mark, opening: other(mark.opening) })),
      ...lost,
    },
    {
      to: 'corners',
      ids: ({ from, to }) => [from, to],
      with: (gap, other) => ({ ...gap, from: other(gap.from), to: other(gap.to) }),
      ...lost,
    },
  ],
  moved: (gap, { mirror }) => {
    if (!mirror) return gap;
    const { from, to, a, b } = withMarks(gap, seenMirrored);
    return { ...gap, from: to, to: from, a: b, b: a };
  },
};
