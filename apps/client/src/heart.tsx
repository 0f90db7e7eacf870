import type { ReactNode } from 'react';
import { useEffect } from 'react';
import { Provider } from 'react-redux';
import * as core from '@velvet-tape/core/on-loan';
import { lendCore } from './core-later/loan';
import { NewJobScreen as NewJob } from './features/jobs/NewJobScreen';
import { lend } from './features/plan/later/lent';
import * as toLater from './features/plan/later/lent-to-later';
import { PlanScreen as Plan } from './features/plan/PlanScreen';
import { keepEveryWalk, saveEveryEdit, syncEngine } from './features/plan/session';
import { store } from './store/store';

lend(toLater);
lendCore(core);

/** All that knows what a plan is, in one piece that comes when it is needed: the list of jobs does without. */
function Heart({ children }: { children: ReactNode }) {
  useEffect(saveEveryEdit, []);
  useEffect(keepEveryWalk, []);
  return <Provider store={store}>{children}</Provider>;
}

export const PlanScreen = ({ id, part }: { id: string; part: string | null }) => (
  <Heart>
    <Plan id={id} part={part} />
  </Heart>
);

export const NewJobScreen = () => (
  <Heart>
    <NewJob />
  </Heart>
);

export { copyJob } from './features/jobs/copy-job';
export { startPractice } from './features/jobs/practice';
export { syncEngine };
