import { decimalMark } from '@velvet-tape/core';
import type { Remote } from 'comlink';
import type { Files } from '../../workers/files.worker';

let running: { worker: Worker; files: Promise<Remote<Files>> } | null = null;

const BROKEN = 'What makes sheets and files could not be loaded. Load the page again, then try once more.';

/** What makes sheets and files, on the device, beside the page. */
export function filesWorker(): Promise<Remote<Files>> {
  if (!running) {
    const worker = new Worker(new URL('../../workers/files.worker.ts', import.meta.url));
    const broken = new Promise<never>((_, reject) => {
      worker.addEventListener('error', () => reject(new Error(BROKEN)));
    });
    const ready = import('comlink').then(async ({ wrap }) => {
      const remote = wrap<Files>(worker);
      await remote.decimals(decimalMark());
      return remote;
    });
    const files = Promise.race([ready, broken]);
    running = { worker, files };
    files.catch(stopFiles);
  }
  return running.files;
}

/** Whatever is under way ends; the next call begins anew. */
export function stopFiles(): void {
  running?.worker.terminate();
  running = null;
}
