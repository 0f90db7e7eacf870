import type { DerivedFloor, Intent, TypedLength } from '@velvet-tape/core';
import { type MarksProposal, marksKind } from '../underlay/marks';
import { type BoxProposal, boxKind } from './box';
import { type BumpProposal, bumpKind } from './bump';
import { type HeightProposal, heightKind } from './height';
import { type LoopProposal, loopKind } from './loop';
import { type PathProposal, pathKind } from './path';
import type { ProposalField, ProposalKind } from './proposal-kind';
import { type ReadingProposal, readingKind } from './reading';
import { type RoofProposal, roofKind } from './roof';
import { type SectionProposal, sectionKind } from './section';
import { type ShapeProposal, shapeKind } from './shape';
import { type WalkProposal, walkKind } from './walk';

/**
 * Something that is drawn but not kept yet. It is shown on the plan as if it were there; its sizes can be typed and
 * dragged, and it is kept or dropped as a whole. A new kind: a file of its own, a line here, one in `hands.ts`, one in `parts.tsx`.
 */
export type Proposal =
  | BoxProposal
  | PathProposal
  | LoopProposal
  | WalkProposal
  | ShapeProposal
  | BumpProposal
  | ReadingProposal
  | HeightProposal
  | RoofProposal
  | SectionProposal
  | MarksProposal;

export type Named<K extends Proposal['kind']> = Extract<Proposal, { kind: K }>;

const KINDS: { readonly [K in Proposal['kind']]: ProposalKind<Named<K>> } = {
  box: boxKind,
  path: pathKind,
  loop: loopKind,
  walk: walkKind,
  shape: shapeKind,
  bump: bumpKind,
  reading: readingKind,
  height: heightKind,
  roof: roofKind,
  section: sectionKind,
  marks: marksKind,
};

/** What is particular to the kind of a proposal. */
export const kindOf = <P extends Proposal>(proposal: P): ProposalKind<P> =>
  KINDS[proposal.kind] as unknown as ProposalKind<P>;

export const fieldsOf = (proposal: Proposal): readonly ProposalField[] => kindOf(proposal).fields(proposal);

export const withTyped = (proposal: Proposal, field: ProposalField, typed: TypedLength): Proposal =>
  kindOf(proposal).typed(proposal, field, typed);

/** What keeping the proposal would do; null while there is nothing to keep. Its time is told when it is kept (`timed`). */
export const intentOf = (proposal: Proposal, floor: DerivedFloor): Intent | null =>
  kindOf(proposal).intent(proposal, floor);
