import type { DerivedFloor, Intent, Measured, TypedLength } from '@velvet-tape/core';
import type { ToolChoices } from '../tool-choices';

type RoofField = 'eaves' | 'ridge' | 'pitch' | 'ridgeAt' | 'lowTo' | 'lowPitch';

/** The sizes of a proposal that can be typed. */
export type ProposalField =
  | 'width'
  | 'depth'
  | 'leg'
  | 'turn'
  | 'bow'
  | 'left'
  | 'splay'
  | 'reading'
  | 'known'
  | RoofField;

/** All that is particular to one kind of proposal, but for what is done with it (`hands.ts`) and what is seen of it (`parts.tsx`). Plain data in, plain data out. */
export interface ProposalKind<P> {
  /** The sizes that can be typed, in the order they are asked for. */
  readonly fields: (proposal: P) => readonly ProposalField[];
  /** What a field is now, mm (degrees for a turn); null while there is nothing to measure. */
  readonly value: (proposal: P, field: ProposalField) => number | null;
  /** The proposal with a size that was typed. */
  readonly typed: (proposal: P, field: ProposalField, typed: TypedLength) => P;
  /** What keeping it would do; null while there is nothing to keep. When it is kept is not for it to say. */
  readonly intent: (proposal: P, floor: DerivedFloor) => Intent | null;
  /** What has yet to be typed before it can be kept, as a question; null where nothing has. */
  readonly lacks?: (proposal: P) => string | null;
  /** What a field is called here, where not as always. */
  readonly label?: (proposal: P, field: ProposalField) => string | null;
  /** What a field measures, for asking about slips; null where any size is as likely as another. */
  readonly measures: (proposal: P, field: ProposalField) => Measured | null;
  /** Where a meter would be aimed, mm. */
  readonly aimed?: (proposal: P) => number | null;
  /** It is typed in degrees. */
  readonly angle?: (proposal: P) => boolean;
  /** Drawn without a pencil's care: over a picture it goes onto the lines beside it. */
  readonly freely?: true;
  /** It is not seen as if it were kept. */
  readonly unseen?: true;
  /** Both ends are to be seen, not what is under the finger. */
  readonly whole?: true;
  /** What it takes over of a choice about tools that is made while it is drawn. */
  readonly chosen?: (proposal: P, choices: Partial<ToolChoices>) => P;
}
