import { LONGEST_NOTE, type Plan, parseAngle } from '@velvet-tape/core';
import { useMemo } from 'react';
import { z } from 'zod';
import { useAppDispatch } from '../../store/store';
import { edit } from '../plan/edit';
import { planActions } from '../plan/plan-slice';
import { DetailsForm } from './DetailsForm';
import { type Details, askOnce, detailRows, detailsSchema, sizesIn, usualOf } from './details';
import type { Row } from './JobForm';

const read = (text: string) => parseAngle(text, 0, 360, 'North is 0 to 360 degrees, clockwise from straight up.');
const schema = z.intersection(
  detailsSchema,
  z.object({
    north: z.string().superRefine((text, context) => {
      const angle = read(text);
      if (!angle.ok) context.addIssue({ code: 'custom', message: angle.reason });
    }),
    note: z.string().max(LONGEST_NOTE, `A note can have ${LONGEST_NOTE} characters at most.`),
  }),
);
type Form = Details & { north: string; note: string };

const valuesOf = ({ job }: Plan): Form => ({
  name: job.name,
  address: job.address,
  units: job.units,
  ...sizesIn(job.units, job.usual),
  north: String(job.north),
  note: job.note,
});

/** What is known of the open job as a whole, to be changed at any time. Other units change how things read, not what was read. */
export function JobDetailsScreen({ plan }: { plan: Plan }) {
  const dispatch = useAppDispatch();
  const { usual } = plan.job;
  const ask = useMemo(() => askOnce('Press'), []);
  const rows = useMemo(
    (): readonly Row<Form>[] => [
      ...(detailRows((units) => sizesIn(units, usual)) as readonly Row<Form>[]),
      { kind: 'text', name: 'north', label: 'North, degrees clockwise from straight up' },
      { kind: 'text', name: 'note', label: 'Note: the key, whom to ask, what to look out for', lines: 4 },
    ],
    [usual],
  );
  const values = useMemo(() => valuesOf(plan), [plan]);
  const close = () => dispatch(planActions.listed(null));
  const keep = async (form: Form) => {
    const questions = ask(form);
    if (questions.length > 0) return questions;
    const north = read(form.north);
    const { name, address, units, note } = form;
    const details = {
      name,
      address,
      units,
      note,
      north: north.ok ? north.value % 360 : plan.job.north,
      usual: { ...usual, ...usualOf(form, usual) },
    };
    const done = dispatch(edit({ kind: 'changeJob', details }));
    if (!done.ok) return [['name', done.reason] as const];
    close();
    return [];
  };
  return (
    <DetailsForm
      title="This job"
      schema={schema}
      values={values}
      rows={rows}
      done={{ label: 'Keep', icon: 'check' }}
      submit={keep}
      back={{ label: 'Back to the plan', now: close }}
      aside={{ label: 'History', icon: 'history', now: () => dispatch(planActions.listed('history')) }}
    />
  );
}
