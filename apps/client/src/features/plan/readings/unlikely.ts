import { type Measured, likelier } from '@velvet-tape/core';
import { createSelector } from '@reduxjs/toolkit';
import type { RootState } from '../../../store/store';
import type { Field } from '../plan-state';
import { selectFace, selectOpening, selectTyped } from '../selectors';
import { type Proposal, kindOf } from '../sketching/proposal';
import type { ProposalField } from '../sketching/proposal-kind';

/** What a field measures, and how much there is room for, mm; null where any size is as likely as another. */
interface Sort {
  readonly measured: Measured;
  readonly most?: number;
}

const NONE: readonly number[] = [];

/** Sizes that are likelier than the one typed, mm; none while what is typed is likely. Every field of a length asks. */
export const likelierThanTyped = createSelector(
  [
    selectTyped,
    (state: RootState) => state.plan.pad.field,
    (state: RootState) => state.plan.proposal,
    selectFace,
    selectOpening,
  ],
  (typed, field, proposal, face, on): readonly number[] => {
    if (!typed?.ok || !field) return NONE;
    const sort = proposal ? ofProposal(field, proposal) : ofChosen(field, face?.length, on?.opening.kind);
    return sort ? likelier(typed.value, sort.measured, sort.most) : NONE;
  },
);

function ofProposal(field: Field, proposal: Proposal): Sort | null {
  const measured = kindOf(proposal).measures(proposal, field as ProposalField);
  return measured && { measured };
}

function ofChosen(
  field: Field,
  along: number | undefined,
  opening: 'door' | 'window' | 'opening' | undefined,
): Sort | null {
  const room = along === undefined ? {} : { most: along };
  switch (field) {
    case 'length':
      return along === undefined ? null : { measured: 'wall' };
    case 'arc':
      return { measured: 'wall' };
    case 'thickness':
      return { measured: 'thickness' };
    case 'ceiling':
      return { measured: 'ceiling' };
    case 'left':
    case 'right':
    case 'gap':
      return { measured: 'place', ...room };
    case 'width':
      return { measured: opening ?? 'depth' };
    case 'height':
    case 'head':
      return { measured: 'height' };
    case 'sill':
      return { measured: 'sill' };
    case 'depth':
      return { measured: opening ? 'thickness' : 'depth' };
    case 'sagitta':
      return { measured: 'bow' };
    case 'radius':
      return { measured: 'radius' };
    case 'frame':
      return { measured: 'frame' };
    default:
      return null;
  }
}
