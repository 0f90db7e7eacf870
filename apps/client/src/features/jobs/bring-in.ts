import { pickFiles } from '../../pictures/pick';
import { sendJobFile } from '../../sync/listing';

/** Asks for a job file and makes a job of it; gives back its id, or null where none was chosen. Throws in plain words. */
export async function bringInJob(): Promise<string | null> {
  const [file] = await pickFiles({ accept: '.zip,application/zip', several: false });
  return file ? (await sendJobFile(file)).id : null;
}
