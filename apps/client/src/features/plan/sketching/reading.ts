import { capital } from '../../../ui/capital';
import { type Place, type Point, type TypedLength, isAlong, placeInWords } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

/** What a distance or an angle is measured from or to. */
export type Picked =
  | { readonly kind: 'corner'; readonly corner: string; readonly towards: string; readonly at: Point }
  | { readonly kind: 'face'; readonly from: string; readonly to: string; readonly at: Point };

export interface ReadingProposal {
  readonly kind: 'reading';
  /** What was tapped first, while the second is waited for. */
  readonly first: Picked | null;
  readonly place: Place | null;
  /** What it is on the plan, mm (an angle in degrees). */
  readonly now: number;
  readonly read: TypedLength | null;
  /** Of a diagonal: which, and the one that crosses it, with what that is on the plan; only where both are known well. */
  readonly named?: { readonly words: string; readonly other: { readonly words: string; readonly place: Place } };
  /** It was asked for: when it is read, one goes on as before. */
  readonly asked?: boolean;
}

const isAngle = ({ place }: ReadingProposal): boolean => place?.kind === 'angle';

export const readingKind: ProposalKind<ReadingProposal> = {
  fields: ({ place }) => (place ? ['reading'] : []),
  value: ({ read, now }) => read?.value ?? now,
  typed: (reading, _, typed) => ({ ...reading, read: typed }),
  intent: ({ place, read }, { floor }) => {
    if (!place || !read) return null;
    const { value, text, instrument = 'tape' } = read;
    const unit = place.kind === 'angle' ? 'deg' : read.unit;
    return {
      kind: 'takeReading',
      floor,
      place,
      read: { value, text, unit, instrument, time: '' },
      stay: [],
    };
  },
  label: ({ place, named }) => {
    if (!place) return null;
    const words = placeInWords(place);
    return capital(named ? `${words} ${named.words}` : words);
  },
  measures: ({ place }) => {
    if (!place || place.kind === 'angle') return null;
    if (place.kind === 'thickness') return 'thickness';
    return isAlong(place) && place.kind !== 'sagitta' && place.kind !== 'radius' ? 'wall' : 'across';
  },
  aimed: (reading) => (isAngle(reading) ? null : reading.now),
  angle: isAngle,
  whole: true,
};
