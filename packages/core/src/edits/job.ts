import { type Draft, Refusal } from '../plan/draft';
import type { JobDetails } from '../plan/plan';
import { LONGEST_NAME } from '../plan/schema';
import { edit } from './edit';
import { requireName, requireNote, requirePositive } from './require';

/** minutes */
const MOST_ZONE = 840;

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
  const { place } = details;
  if (place && !(Math.abs(place.latitude) <= 90 && Math.abs(place.longitude) <= 180))
    throw new Refusal('Latitude is −90 to 90 degrees, longitude −180 to 180.');
  if (place && !(Math.abs(place.zone) <= MOST_ZONE)) throw new Refusal('Clocks are at most 14 hours from Greenwich.');
  Object.values(details.usual).forEach((mm) => requirePositive(mm, 'A usual size'));
  draft.job = { ...details, name, note: requireNote(details.note) };
}

export const jobEdits = { changeJob: edit<ChangeJob>('job details', changeJob) };
