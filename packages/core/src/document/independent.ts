import type { JobDetails } from '../plan/plan';

/** What the details of a job are called where two people changed them; what is usual in the house stands size by size. */
export const OF_JOB: Readonly<Record<keyof Omit<JobDetails, 'usual'>, string>> = {
  name: 'the name of the job',
  address: 'the address',
  units: 'the unit',
  north: 'north',
  place: 'where it is',
  note: 'the note',
  stairRule: 'the rule for stairs',
  areaRule: 'the rule for areas',
  besideRule: 'the rule beside it',
  listed: 'what the listing says',
  drawnBy: 'who draws',
  disclaimer: 'what sheets say of what can be relied on',
  logo: 'the logo',
  labels: 'what labels say',
  look: 'what shows',
};
