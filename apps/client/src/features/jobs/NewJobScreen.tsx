import { USUAL, newPlan } from '@velvet-tape/core';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { newOnDevice } from '../../sync/device';
import { syncEngine } from '../plan/session';
import { keptLogo } from './kept-logo';
import { useTitle } from '../../ui/use-title';
import { DetailsForm } from './DetailsForm';
import { type Details, askOnce, detailRows, detailsSchema, sizesIn, usualOf } from './details';

const ROWS = detailRows((units) => sizesIn(units));
const VALUES: Details = { name: '', address: '', units: 'metric', ...sizesIn('metric') };

/** Two jobs of one day are told apart by the time: “29 November, 14:05”. */
const nameOfNow = (): string =>
  new Date()
    .toLocaleString('en-GB', { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' })
    .replace(' at ', ', ');

/** A new job: everything has a sensible default, so one tap is enough. */
export function NewJobScreen() {
  const router = useRouter();
  useTitle('New job');
  const ask = useMemo(() => askOnce('Start'), []);
  const start = async (form: Details) => {
    const questions = ask(form);
    if (questions.length > 0) return questions;
    const { name, address, units } = form;
    const usual = { ...USUAL[units], ...usualOf(form) };
    const id = await newOnDevice(newPlan({ name: name || nameOfNow(), address, units, usual, logo: await keptLogo() }));
    syncEngine().wrote(id);
    router.replace(`/job/${id}`);
    return [];
  };
  return (
    <DetailsForm
      title="New job"
      schema={detailsSchema}
      values={VALUES}
      rows={ROWS}
      done={{ label: 'Start measuring', icon: 'vector-square-plus' }}
      submit={start}
      back={{ label: 'Jobs', now: () => router.dismissTo('/') }}
    />
  );
}
