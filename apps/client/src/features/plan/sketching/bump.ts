import type { BumpShape } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

export interface BumpProposal {
  readonly kind: 'bump';
  readonly face: string;
  readonly shape: BumpShape;
  /** Of the face, mm. */
  readonly length: number;
  readonly from: number;
  readonly width: number;
  readonly depth: number;
  readonly splay: number;
}

export const bumpKind: ProposalKind<BumpProposal> = {
  fields: ({ shape }) => (shape === 'slanted' ? ['width', 'depth', 'left', 'splay'] : ['width', 'depth', 'left']),
  value: ({ from, depth, width, splay }, field) => {
    if (field === 'left') return from;
    if (field === 'depth') return Math.abs(depth);
    return field === 'width' ? width : field === 'splay' ? splay : null;
  },
  typed: (bump, field, { value }) => {
    if (field === 'left') return { ...bump, from: value };
    if (field === 'depth') return { ...bump, depth: bump.depth < 0 ? -value : value };
    return field === 'width' ? { ...bump, width: value } : { ...bump, splay: value };
  },
  intent: ({ face, shape, from, width, depth, splay }, { floor }) => ({
    kind: 'bump',
    floor,
    face,
    shape,
    from,
    width,
    depth,
    splay,
  }),
  measures: (_, field) => (field === 'left' ? 'place' : field === 'splay' ? 'bow' : 'depth'),
  chosen: (proposal, { bump }) => {
    if (!bump) return proposal;
    const depth = bump === 'breast' ? -Math.abs(proposal.depth) : proposal.depth;
    return { ...proposal, shape: bump, depth };
  },
};
