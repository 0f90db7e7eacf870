import { formatLength, likelier, valueOnPlan } from '@velvet-tape/core';
import { weakMapMemoize } from '@reduxjs/toolkit';
import type { Sort } from '../chosen/chosen-kind';
import { measuredOf } from '../chosen/kinds';
import type { RootState } from '../../../store/store';
import type { Field } from '../plan-state';
import { selectFloor, selectTyped } from '../selectors';
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

/** Known no better than this the other diagonal says nothing, mm; nor does one that differs by less. */
const KNOWN = 30;
const DIFFERS = 8;

/** A figure that fits the diagonal that crosses the one it was typed for: what is asked then, else null. */
export function likelierDiagonal(state: RootState, typed: number): string | null {
  const { proposal } = state.plan;
  const floor = selectFloor(state);
  if (!floor || proposal?.kind !== 'reading' || !proposal.named || !proposal.place) return null;
  const { words, other } = proposal.named;
  const there = valueOnPlan(floor.network, other.place);
  const [here, sure] = [floor.survey.deviation(proposal.place), floor.survey.deviation(other.place)];
  if (there === null || here === null || sure === null || Math.max(here, sure) > KNOWN) return null;
  const [off, offThere] = [Math.abs(typed - proposal.now), Math.abs(typed - there)];
  if (off < DIFFERS || off < 3 * offThere) return null;
  const said = (mm: number) => formatLength(mm, floor.plan.job.units);
  return `${said(typed)} would fit ${other.words}, which is ${said(there)} on the plan; ${words} is ${said(proposal.now)}. Was it that one? Enter again keeps it for ${words}.`;
}

/** The same list for the same question. */
const likelierOnce = weakMapMemoize(likelier);

function ofProposal(field: Field, proposal: Proposal): Sort | null {
  const measured = kindOf(proposal).measures(proposal, field as ProposalField);
  return measured && { measured };
}
