import type { Point, TypedLength } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

/** The height under a slope over a point of a room's floor. */
export interface HeightProposal {
  readonly kind: 'height';
  readonly room: string;
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
  intent: ({ room, at, read }) => {
    if (!read) return null;
    const { value, text, unit, instrument = 'tape' } = read;
    return { kind: 'readHeight', room, at, read: { value, text, unit, instrument, time: '' } };
  },
  label: () => 'Height here',
  measures: () => 'ceiling',
  aimed: ({ now }) => now ?? SOMEWHERE,
};
