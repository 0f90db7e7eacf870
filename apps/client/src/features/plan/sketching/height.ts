import type { Point, TypedLength } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

/** The height under a slope over a point of a room's floor. */
export interface HeightProposal {
  readonly kind: 'height';
  readonly room: string;
  /** The slope over it; null where there is none. */
  readonly slope: string | null;
  readonly at: Point;
  /** What was read there before, mm. */
  readonly now: number | null;
  readonly read: TypedLength | null;
}

/** What the simulated meter finds over a point nothing was read at, mm. */
const SOMEWHERE = 2000;

export const heightKind: ProposalKind<HeightProposal> = {
  fields: () => ['reading'],
  value: ({ read, now }) => read?.value ?? now,
  typed: (height, _, typed) => ({ ...height, read: typed }),
  intent: ({ room, slope, at, read }) => {
    if (!read) return null;
    const { value, text, unit, instrument = 'tape' } = read;
    const taken = { value, text, unit, instrument, time: '' };
    return slope === null
      ? { kind: 'readHeight', room, at, read: taken }
      : { kind: 'readSlope', slope, at: { point: at }, read: taken };
  },
  label: ({ slope }) => (slope === null ? 'Height here' : 'Height of the slope'),
  measures: () => 'headroom',
  aimed: ({ now }) => now ?? SOMEWHERE,
};
