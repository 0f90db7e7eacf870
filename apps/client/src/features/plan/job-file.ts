import { inWords } from '../../ui/in-words';
import type { AppDispatch } from '../../store/store';
import { database } from '../../sync/database';
import { fetchJobFile } from '../../sync/listing';
import { download, fileName } from './downloads';
import { planActions } from './plan-slice';

/** All of a job as one file: plan, named revisions, pictures. The server makes it, so it has to have everything. */
export const downloadJob =
  (id: string, name: string) =>
  async (dispatch: AppDispatch): Promise<void> => {
    try {
      if ((await database.jobs.get(id))?.waiting) throw new Error(NOT_SAVED);
      download(`${fileName(name)}.velvet-tape.zip`, 'application/zip', await fetchJobFile(id));
    } catch (error) {
      dispatch(planActions.said({ text: inWords(error), tone: 'refused' }));
    }
  };

const NOT_SAVED = 'What was done last is not on the server yet, and would be missing. Try again when it says “Saved”.';
