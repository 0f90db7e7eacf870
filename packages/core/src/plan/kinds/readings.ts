import { z } from 'zod';
import type { Id, Value } from '../values';
import { history, id, note, theNote, theValue, valueRead } from './fields';
import { type Kind, onFloor, together } from './kind';

export const READING_KINDS = [
  'length',
  'chord',
  'diagonal',
  'between',
  'angle',
  'thickness',
  'sagitta',
  'radius',
  'arc',
] as const;
/**
 * What was measured, as someone in the room sees it (the room at the right hand from `from` to `to`):
 * - `length`: along a wall, from one corner to another; `chord`: straight across a curved wall.
 * - `sagitta`, `radius`, `arc`: how far the inner face of a curved wall bows, its radius, its length along the arc.
 * - `thickness`: through the wall from corner to corner.
 * - `diagonal`: from one inside corner to any other; `via` are the corners that follow each on the outline of its room.
 * - `between`: square across, from the face `from`–`to` to the face between the corners in `via`.
 * - `angle`: inside, at the corner `from`, of which `to` is the corner that follows.
 */
export type ReadingKind = (typeof READING_KINDS)[number];

/** Something read on site: an observation that the plan is fitted to. */
export interface Reading extends Value {
  readonly id: Id;
  readonly floor: Id;
  readonly kind: ReadingKind;
  /** Where along a wall it was taken: on its inner face, on its outer face, or along its middle, as some drawings give it. */
  readonly face: 'inside' | 'outside' | 'centre';
  readonly from: Id;
  readonly to: Id;
  readonly via: readonly Id[];
  readonly note: string;
  /** It counts as certain: where others contradict it, they give way. */
  readonly held: boolean;
  /** What contradicts it was seen and is to be spread: it is not said again. */
  readonly spread: boolean;
  /** What was read here before, the last first. */
  readonly history: readonly Value[];
}

/** Where a reading is taken. */
export type Place = Pick<Reading, 'kind' | 'face' | 'from' | 'to' | 'via'>;

/** Readings taken along one wall, or of the wall itself: `from` and `to` are its ends. */
export const isAlong = ({ kind }: Pick<Reading, 'kind'>): boolean =>
  kind !== 'diagonal' && kind !== 'between' && kind !== 'angle';
/** Readings of how a curved wall is bent. */
export const isOfBend = ({ kind }: Pick<Reading, 'kind'>): boolean =>
  kind === 'sagitta' || kind === 'radius' || kind === 'arc';

/** All corners a reading names. */
export const cornersOfReading = ({ from, to, via }: Place): readonly Id[] => [from, to, ...via];

/** The reading with other corners in the place of some of its own; itself when none of them is. */
export function withCorners(reading: Reading, other: (corner: Id) => Id): Reading {
  const [from, to, ...via] = cornersOfReading(reading).map(other) as [Id, Id, ...Id[]];
  const same = from === reading.from && to === reading.to && via.every((id, i) => id === reading.via[i]);
  return same ? reading : { ...reading, from, to, via };
}

/** Where a reading was taken: two readings of one place are one measured again. */
export const placeOfReading = ({ kind, face, from, to, via }: Place): string =>
  `${kind} ${face} ${from}>${to} ${via.join('>')}`;

export const readingKind: Kind<Reading, object> = {
  one: 'reading',
  many: 'readings',
  most: 6000,
  schema: z.object({
    id,
    floor: id,
    kind: z.enum(READING_KINDS),
    face: z.enum(['inside', 'outside', 'centre']),
    from: id,
    to: id,
    via: z.array(id).max(2).readonly(),
    ...valueRead,
    note,
    held: z.boolean(),
    spread: z.boolean(),
    history,
  }),
  floorOf: (reading) => reading.floor,
  together: [
    together('the place', 'floor', 'kind', 'face', 'from', 'to', 'via'),
    theValue,
    theNote,
    together('that it holds', 'held'),
    together('that it is spread', 'spread'),
  ],
  refers: [
    onFloor('reading'),
    {
      to: 'corners',
      ids: cornersOfReading,
      with: withCorners,
      lost: () => 'A reading has lost its wall.',
      gone: 'drop',
    },
  ],
  moved: (reading, { mirror }) => {
    if (!mirror) return reading;
    // the corner that followed is the one before: which that is cannot be told from the reading
    if (reading.kind === 'diagonal' || reading.kind === 'angle') return null;
    return { ...reading, from: reading.to, to: reading.from, via: [...reading.via].reverse() };
  },
};
