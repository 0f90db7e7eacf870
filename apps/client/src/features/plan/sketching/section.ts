import type { Point } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

/** Where a section is looked at: nothing of it is kept. */
export interface SectionProposal {
  readonly kind: 'section';
  readonly a: Point;
  readonly b: Point;
}

export const sectionKind: ProposalKind<SectionProposal> = {
  fields: () => [],
  value: () => null,
  typed: (section) => section,
  intent: () => null,
  measures: () => null,
  unseen: true,
  whole: true,
};
