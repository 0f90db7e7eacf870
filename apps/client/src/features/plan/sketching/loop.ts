import { type Point, type Straightness, straightenLoop } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

export interface LoopProposal {
  readonly kind: 'loop';
  readonly stroke: readonly Point[];
  readonly straightness: Straightness;
  /** Still under the finger: shown as it is drawn. */
  readonly drawing: boolean;
  readonly reach: number;
}

export const loopKind: ProposalKind<LoopProposal> = {
  fields: () => [],
  value: () => null,
  typed: (loop) => loop,
  intent: ({ stroke, straightness, reach, drawing }, floor) => {
    const points = straightenLoop(stroke, straightness, floor, reach);
    return points && !drawing ? { kind: 'drawPath', floor: floor.floor, points, closed: true } : null;
  },
  measures: () => null,
  freely: true,
};
