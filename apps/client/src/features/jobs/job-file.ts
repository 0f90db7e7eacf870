import { pickFiles } from '../../pictures/pick';
import type { AppDispatch } from '../../store/store';
import { fetchJobFile, sendJobFile } from '../../sync/api';
import { device } from '../../sync/device';
import { download, fileName } from '../plan/downloads';
import { planActions } from '../plan/plan-slice';

/** All of a job as one file: plan, named revisions, pictures. The server makes it, so it has to have everything. */
export const downloadJob =
  (id: string, name: string) =>
  async (dispatch: AppDispatch): Promise<void> => {
    try {
      if ((await device.jobs.get(id))?.waiting) throw new Error(NOT_SAVED);
      download(`${fileName(name)}.velvet-tape.zip`, 'application/zip', await fetchJobFile(id));
    } catch (error) {
      dispatch(planActions.said({ text: error instanceof Error ? error.message : String(error), tone: 'refused' }));
    }
  };

const NOT_SAVED = 'What was done last is not on the server yet, and would be missing. Try again when it says “Saved”.';

/** Asks for a job file and makes a job of it; gives back its id, or null where none was chosen. Throws in plain words. */
export async function bringInJob(): Promise<string | null> {
  const [file] = await pickFiles({ accept: '.zip,application/zip', several: false });
  return file ? (await sendJobFile(file)).id : null;
}
