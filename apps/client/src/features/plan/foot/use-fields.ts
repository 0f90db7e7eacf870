import { decimals, formatLength } from '@velvet-tape/core';
import { shallowEqual } from 'react-redux';
import { type RootState, useAppSelector } from '../../../store/store';
import { fieldsOfChosen } from '../chosen/kinds';
import { spotInWords, spotLength } from '../openings/reading-along';
import { DEGREES, selectFace, selectGapSpot, selectProposal } from '../selectors';
import { type Proposal, kindOf } from '../sketching/proposal';
import { type FieldShown, LABEL, field } from './fields';
import { capital } from '../../../ui/capital';

/** What can be typed about what is being drawn, else about what is chosen, each with its value. */
export const useFields = (): FieldShown[] =>
  useAppSelector(fieldsShown, (a, b) => a.length === b.length && a.every((one, i) => shallowEqual(one, b[i])));

function fieldsShown(state: RootState): FieldShown[] {
  const { plan } = state.plan;
  if (!plan) return [];
  const long = (mm: number) => formatLength(mm, plan.job.units);
  const proposal = selectProposal(state);
  if (proposal) return proposalFields(proposal, long);
  const face = selectFace(state);
  const spot = selectGapSpot(state);
  if (spot && face) return [field('gap', long(spotLength(face, spot)), capital(spotInWords(face, spot)))];
  return fieldsOfChosen(state);
}

function proposalFields(proposal: Proposal, long: (mm: number) => string): FieldShown[] {
  const kind = kindOf(proposal);
  return kind.fields(proposal).map((name) => {
    const value = kind.value(proposal, name);
    const shown = () =>
      kind.angle?.(proposal) || DEGREES.includes(name)
        ? `${decimals(value!, 1)}°`
        : name === 'turn'
          ? turnOf(value!)
          : long(value!);
    return { name, label: kind.label?.(proposal, name) ?? LABEL[name], value: value === null ? '–' : shown() };
  });
}

function turnOf(degrees: number): string {
  const round = Math.round(Math.abs(degrees) * 10) / 10;
  return round === 0 ? 'straight on' : `${round}° ${degrees > 0 ? 'right' : 'left'}`;
}
