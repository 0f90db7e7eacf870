import type { Id } from '@velvet-tape/core';
import type { SheetFormat } from '../../../workers/files.worker';
import type { Command } from '../../../store/store';
import { lent } from '../later/lent';
import { broughtFor } from './use-pages';

const { download, fileName, filesWorker, inWords, planActions, stopFiles } = lent();

/** Under way: how many pages of how many are done. */
export interface Making {
  readonly done: number;
  readonly of: number;
}

let ends: ((stopped: 'stopped') => void) | null = null;

/** Ends what is being made: nothing of it is handed out. */
export function stopMaking(): void {
  stopFiles();
  ends?.('stopped');
}

/** Sheets as a file, in the order they stand; told page by page. */
export const makeSheets =
  (ids: readonly Id[], format: SheetFormat, dpi: number, tell: (making: Making | null) => void): Command =>
  (dispatch, getState) => {
    const plan = getState().plan.plan!;
    const of = ids.length;
    tell({ done: 0, of });
    const made = async () => {
      const { proxy } = await import('comlink');
      const files = await filesWorker();
      const name = fileName(plan.job.name);
      const brought = await broughtFor(plan, ids);
      return files.sheets(
        plan,
        ids,
        { format, dpi, name },
        brought,
        proxy((done: number) => tell({ done, of })),
      );
    };
    const stopped = new Promise<'stopped'>((resolve) => (ends = resolve));
    Promise.race([made(), stopped])
      .then((file) => file !== 'stopped' && download(file.name, file.type, file.bytes))
      .catch((error: unknown) => dispatch(planActions.said({ text: inWords(error), tone: 'refused' })))
      .finally(() => tell(null));
  };
