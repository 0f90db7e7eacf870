import { likelier } from '@velvet-tape/core';
import { weakMapMemoize } from '@reduxjs/toolkit';
import type { Sort } from '../chosen/chosen-kind';
import { measuredOf } from '../chosen/kinds';
import type { RootState } from '../../../store/store';
import type { Field } from '../plan-state';
import { selectTyped } from '../selectors';
import { type Proposal, kindOf } from '../sketching/proposal';
import type { ProposalField } from '../sketching/proposal-kind';

const NONE: readonly number[] = [];

/** Sizes that are likelier than the one typed, mm; none while what is typed is likely. Every field of a length asks. */
export function likelierThanTyped(state: RootState): readonly number[] {
  const { pad, proposal } = state.plan;
  const typed = selectTyped(state);
  if (!pad.field || !typed?.ok) return NONE;
  const sort = proposal ? ofProposal(pad.field, proposal) : measuredOf(state, pad.field);
  return sort ? likelierOnce(typed.value, sort.measured, sort.most) : NONE;
}

/** The same list for the same question. */
const likelierOnce = weakMapMemoize(likelier);

function ofProposal(field: Field, proposal: Proposal): Sort | null {
  const measured = kindOf(proposal).measures(proposal, field as ProposalField);
  return measured && { measured };
}
