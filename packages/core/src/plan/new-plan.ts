import { NEW_FLOOR } from './kinds/floors';
import { USUAL_LABELS } from './kinds/rooms';
import {
  type AreaRuleName,
  COLLECTIONS,
  type Collections,
  type JobDetails,
  type Plan,
  SCHEMA_VERSION,
  type StairRule,
  type Units,
} from './plan';

/** What a new job starts with: common masonry or stud-and-cladding sizes (common practice, no source), mm. */
export const USUAL: Record<Units, JobDetails['usual']> = {
  metric: { externalThickness: 250, internalThickness: 100, partyThickness: 200, ceilingHeight: 2400 },
  imperial: { externalThickness: 152.4, internalThickness: 114.3, partyThickness: 203.2, ceilingHeight: 2438.4 },
};

/** Whose rules stairs are held against unless it is chosen. */
export const usualStairRule = (units: Units): StairRule => (units === 'imperial' ? 'US' : 'general');

/** The rule areas are counted by unless one is chosen. */
export const usualAreaRule = (units: Units): AreaRuleName => (units === 'imperial' ? 'ANSI Z765' : 'net');

/** An empty plan with one floor, `ground`. */
export function newPlan(job: Partial<JobDetails> & { name: string }): Plan {
  const units = job.units ?? 'metric';
  const none = Object.fromEntries(COLLECTIONS.map((name) => [name, {}])) as unknown as Collections;
  return {
    schema: SCHEMA_VERSION,
    job: {
      address: '',
      units,
      usual: USUAL[units],
      north: 0,
      place: null,
      note: '',
      stairRule: usualStairRule(units),
      areaRule: usualAreaRule(units),
      besideRule: null,
      listed: null,
      drawnBy: '',
      disclaimer: '',
      logo: null,
      labels: USUAL_LABELS,
      look: 'on site',
      ...job,
    },
    ...none,
    floors: { ground: { id: 'ground', name: 'Ground floor', level: 0, ...NEW_FLOOR } },
  };
}
