import { type Draft, Refusal } from '../plan/draft';
import type { JobDetails } from '../plan/plan';
import { LONGEST_NAME } from '../plan/schema';
import { edit } from './edit';
import { requireName, requireNote, requirePositive } from './require';

export interface ChangeJob {
  readonly kind: 'changeJob';
  readonly details: Partial<JobDetails>;
}

function changeJob(draft: Draft, intent: ChangeJob): void {
  const details = { ...draft.job, ...intent.details };
  const name = requireName(details.name);
  if (name === '') throw new Refusal('Give the job a name.');
  if (details.address.length > LONGEST_NAME)
    throw new Refusal(`An address can have ${LONGEST_NAME} characters at most.`);
  Object.values(details.usual).forEach((mm) => requirePositive(mm, 'A usual size'));
  draft.job = { ...details, name, note: requireNote(details.note) };
}

export const jobEdits = { changeJob: edit<ChangeJob>('job details', changeJob) };
