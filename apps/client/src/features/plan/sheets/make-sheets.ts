import type { Id, Plan } from '@velvet-tape/core';
import type { Brought, Handed, MadeFile, SheetFormat } from '../../../workers/files.worker';
import type { Command } from '../../../store/store';
import { lent } from '../later/lent';
import { sayWrong } from './say-wrong';
import { type Making, stepsOf } from './steps';
import { broughtFor } from './use-pages';

const { download, fileName, filesWorker, planActions, stopFiles } = lent();

type Tell = (making: Making | null) => void;
type Files = Awaited<ReturnType<typeof filesWorker>>;

let ends: ((stopped: 'stopped') => void) | null = null;

/** Ends what is being made: nothing of it is handed out. */
export function stopMaking(): void {
  stopFiles();
  ends?.('stopped');
}

/** Makes a file with the worker, step by step, till it is there or stopped; what goes wrong is said. */
const making =
  (
    { sheets, of, tell }: { sheets: readonly Id[]; of: number; tell: Tell },
    make: (files: Files, plan: Plan, brought: Brought, onStep: (done: number) => void) => Promise<MadeFile>,
    done: (file: MadeFile) => void,
  ): Command =>
  (dispatch, getState) => {
    const plan = getState().plan.plan!;
    const { step, end } = stepsOf(of, tell);
    const made = async () => {
      const { proxy } = await import('comlink');
      const brought = await broughtFor(plan, sheets);
      return make(await filesWorker(), plan, brought, proxy(step));
    };
    const stopped = new Promise<'stopped'>((resolve) => (ends = resolve));
    Promise.race([made(), stopped])
      .then((file) => {
        if (file === 'stopped') return;
        done(file);
        if (file.says) dispatch(planActions.said({ text: file.says, tone: 'refused' }));
      })
      .catch(sayWrong(dispatch))
      .finally(end);
  };

/** Sheets as a file, in the order they stand; told page by page. */
export const makeSheets = (sheets: readonly Id[], format: SheetFormat, dpi: number, tell: Tell): Command =>
  making(
    { sheets, of: sheets.length, tell },
    (files, plan, brought, onPage) =>
      files.sheets(plan, sheets, { format, dpi, name: fileName(plan.job.name) }, brought, onPage),
    ({ name, type, bytes }) => download(name, type, bytes),
  );

/** The plans of all floors as DXF. */
export const makeDxf = (tell: Tell): Command =>
  making(
    { sheets: [], of: 1, tell },
    (files, plan) => files.dxf(plan, fileName(plan.job.name)),
    ({ name, type, bytes }) => download(name, type, bytes),
  );

/** All that is wanted in one file; told part by part. */
export const makeHandOver =
  (wanted: readonly Handed[], tell: Tell, done: (file: MadeFile) => void): Command =>
  (dispatch, getState) =>
    dispatch(
      making(
        { sheets: Object.keys(getState().plan.plan!.sheets), of: wanted.length, tell },
        (files, plan, brought, onStep) => files.handOver(plan, wanted, fileName(plan.job.name), brought, onStep),
        done,
      ),
    );
