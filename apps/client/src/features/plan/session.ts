import type { Plan } from '@velvet-tape/core';
import { readPlan } from '@velvet-tape/core';
import type { AppDispatch, Command, RootState } from '../../store/store';
import { store } from '../../store/store';
import { inWords } from '../../ui/in-words';
import { Broken, Offline, Refused } from '../../sync/http';
import { device, onTopOf, saveOnDevice, setAside } from '../../sync/device';
import { KEPT_APART, SyncEngine, overruledInWords } from '../../sync/engine';
import { type Unwritten, leaveUnwritten, takeUpUnwritten, writtenAfterAll } from '../../sync/unwritten';
import { takeTool } from './commands';
import { keptEntryUnit } from './entry-unit';
import { keptLeft } from './hand';
import { planActions } from './plan-slice';
import { underlayActions } from './underlay/underlay-slice';
import { keepWalk, keptWalk } from './sketching/kept-walk';
import { viewActions } from './view-slice';

let engine: SyncEngine | null = null;

/** The one sync engine of this tab, started when first needed. */
export function syncEngine(): SyncEngine {
  engine ??= new SyncEngine({
    state: (state, trouble, why) => store.dispatch(planActions.synced({ state, trouble, why: why ?? '' })),
    changed: (id) => void takeFromDevice(id),
    says: (id, text) => {
      if (store.getState().plan.jobId === id) store.dispatch(planActions.said({ text, tone: 'said' }));
    },
  });
  return engine;
}

/** Opens a job: from the device, else from the server. */
export const openJob =
  (id: string) =>
  async (dispatch: AppDispatch, getState: () => RootState): Promise<void> => {
    dispatch(planActions.opening(id));
    dispatch(underlayActions.reset());
    try {
      // what was done in it a moment ago
      await writing;
      if (!(await device.jobs.get(id))) await syncEngine().fetch(id);
      const job = await device.jobs.get(id);
      if (getState().plan.jobId !== id) return;
      const read = job ? readPlan(job.plan) : null;
      if (!read) dispatch(planActions.notOpened({ why: 'missing' }));
      else if (!read.ok) dispatch(planActions.notOpened({ why: 'unreadable', reason: read.reason }));
      else {
        dispatch(planActions.opened(read.plan));
        dispatch(planActions.choicesMade({ entry: keptEntryUnit(id), left: keptLeft() }));
        dispatch(takeUpAgain(id));
        if (keptWalk(id)) dispatch(takeTool('walk'));
      }
    } catch (error) {
      if (error instanceof Offline || error instanceof Broken) dispatch(planActions.notOpened({ why: 'offline' }));
      else if (error instanceof Refused && error.status !== 404)
        dispatch(planActions.notOpened({ why: 'unreadable', reason: error.message }));
      else dispatch(planActions.notOpened({ why: 'missing' }));
    }
    syncEngine().watch(id);
  };

/** A job that can't be read is opened as it was when it last could. */
export const openReadable =
  (id: string) =>
  async (dispatch: AppDispatch): Promise<void> => {
    try {
      await syncEngine().fetchReadable(id);
    } catch (error) {
      const reason = inWords(error);
      dispatch(planActions.notOpened({ why: 'unreadable', reason }));
      return;
    }
    await dispatch(openJob(id));
    dispatch(planActions.said({ text: 'This is the job as it was when it could last be read.', tone: 'said' }));
  };

/** Where jobs were left while the application runs: what can be undone, which floor, how the sheet lay. */
const left = new Map<string, Pick<RootState['plan'], 'past' | 'future' | 'floor'> & { view: RootState['view'] }>();

/** A job that was left a moment ago is as it was then. What can be undone are changes: they hold whatever else was changed since, or are refused in words. */
const takeUpAgain =
  (id: string): Command =>
  (dispatch) => {
    const was = left.get(id);
    if (!was) return;
    const { past, future, floor, view } = was;
    dispatch(planActions.takenUpAgain({ past, future, floor }));
    dispatch(viewActions.takenUpAgain(view));
  };

export const closeJob = () => (dispatch: AppDispatch, getState: () => RootState) => {
  const { jobId, past, future, floor, loading } = getState().plan;
  if (jobId && loading === 'ready') left.set(jobId, { past, future, floor, view: getState().view });
  syncEngine().watch(null);
  dispatch(planActions.closed());
};

/** Edits on their way to the device. */
const unwritten = new Set<Unwritten>();

/** Writes go one after the other, the first of them what another page left unwritten. */
let writing: Promise<void> = takeUpUnwritten().then((ids) => ids.forEach((id) => syncEngine().wrote(id)), sayNotSaved);

globalThis.addEventListener?.('pagehide', () => unwritten.forEach(leaveUnwritten));

/** Every edit is on the device at once: whenever the open plan changed, it is written. */
export function saveEveryEdit(): () => void {
  let last: Plan | null = null;
  return store.subscribe(() => {
    const { plan, jobId, known } = store.getState().plan;
    if (plan === last) return;
    last = plan;
    if (!plan || !known || !jobId || plan === known) return;
    const made = { id: jobId, known, plan };
    unwritten.add(made);
    writing = writing
      .then(() => save(made))
      .catch(sayNotSaved)
      .finally(() => {
        unwritten.delete(made);
        if (![...unwritten].some(({ id }) => id === jobId)) writtenAfterAll(jobId);
      });
  });
}

/** A walk under way is on the device line by line. */
export function keepEveryWalk(): () => void {
  let last: unknown = null;
  return store.subscribe(() => {
    const { proposal, jobId } = store.getState().plan;
    if (proposal === last) return;
    last = proposal;
    if (jobId && proposal?.kind === 'walk') keepWalk(jobId, proposal);
  });
}

/** Writes what the open job is by now; of a job that was left meanwhile, what was made there. */
async function save({ id, ...made }: Unwritten): Promise<void> {
  const open = store.getState().plan;
  const { plan, known } = open.jobId === id && open.plan && open.known ? { plan: open.plan, known: open.known } : made;
  if (plan === known) return;
  const job = await saveOnDevice(id, known, plan);
  const now = store.getState().plan;
  if (now.jobId === id && now.plan) {
    store.dispatch(
      planActions.adopted({
        known: job.plan,
        plan: now.plan === plan ? job.plan : rebased(plan, now.plan, job.plan),
      }),
    );
  }
  syncEngine().wrote(id);
}

function sayNotSaved(error: unknown): void {
  const reason = inWords(error);
  store.dispatch(planActions.said({ text: `This could not be kept on the device: ${reason}`, tone: 'refused' }));
}

/** Another tab or device changed the open job: it is taken in under what was done here since. */
async function takeFromDevice(id: string): Promise<void> {
  await writing;
  const { jobId, plan, known } = store.getState().plan;
  if (jobId !== id || !plan || !known) return;
  const job = await device.jobs.get(id);
  const now = store.getState().plan;
  if (!job || now.jobId !== id || !now.plan || !now.known) return;
  store.dispatch(planActions.adopted({ known: job.plan, plan: rebased(now.known, now.plan, job.plan) }));
}

/** What was done in this tab since, on top of what the device has now; where that can't be, it is kept as a job of its own, and said. */
function rebased(base: Plan, mine: Plan, theirs: Plan): Plan {
  const { plan, overruled, impossible } = onTopOf(base, mine, theirs);
  if (impossible) {
    void setAside(mine).catch(sayNotSaved);
    store.dispatch(planActions.said({ text: KEPT_APART, tone: 'refused' }));
  } else if (overruled.length > 0)
    store.dispatch(planActions.said({ text: overruledInWords(overruled), tone: 'said' }));
  return plan;
}
